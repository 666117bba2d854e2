package velvetcrock.batch;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.jar.BatchReckoning.KeepingRange;
import velvetcrock.core.keeping.Keeping;

/** A bottle as it stands, written together with the entry that changes it. */
@Entity
class Bottle {
  @Id private UUID id;
  @TenantId private UUID householdId;
  private UUID batchId;
  private String letter;
  private String herbKey;
  private String carrierKey;
  private double sizeMl;
  private double leftMl;
  private String place;
  private String glass;
  private LocalDate strainedOn;
  private LocalDate filledOn;
  private LocalDate bestBefore;
  private LocalDate bestBeforeLate;
  private LocalDate labelledUntil;
  private int reckonedBy;
  private String decidedBy;
  private boolean capped;
  private boolean spoiled;
  private boolean gone;
  private @Nullable LocalDate goneOn;
  private @Nullable String goneBecause;

  private static final double ROUNDING_ML = 0.01;

  /** For Hibernate. */
  protected Bottle() {}

  /** What it holds and since when. */
  record Origin(UUID batchId, String herbKey, String carrierKey, LocalDate strainedOn) {}

  Bottle(Origin origin, BottleState bottle, ZoneId zone, KeepingRange keeping) {
    this.id = UUID.randomUUID();
    this.batchId = origin.batchId();
    this.letter = bottle.letter();
    this.bestBefore = keeping.earliest();
    this.bestBeforeLate = keeping.latest();
    this.decidedBy = keeping.early().decidedBy().name();
    this.labelledUntil = keeping.earliest();
    become(origin, bottle, zone, keeping);
  }

  /** Its label was printed, with its date as it is. */
  void labelled() {
    labelledUntil = bestBefore;
  }

  UUID batchId() {
    return batchId;
  }

  String letter() {
    return letter;
  }

  LocalDate bestBefore() {
    return bestBefore;
  }

  LocalDate bestBeforeLate() {
    return bestBeforeLate;
  }

  Keeping.Rule decidedBy() {
    return Keeping.Rule.valueOf(decidedBy);
  }

  void become(Origin origin, BottleState bottle, ZoneId zone, KeepingRange keeping) {
    herbKey = origin.herbKey();
    carrierKey = origin.carrierKey();
    strainedOn = origin.strainedOn();
    filledOn = date(bottle.filledAt(), zone);
    sizeMl = bottle.sizeMl();
    leftMl = bottle.leftMl();
    place = bottle.store().place().name();
    glass = bottle.store().glass().name();
    if (!nearlySame(keeping)) {
      bestBefore = keeping.earliest();
      bestBeforeLate = keeping.latest();
    }
    decidedBy = keeping.early().decidedBy().name();
    reckonedBy = Keeping.RULES;
    capped = bottle.capped();
    spoiled = bottle.spoiled();
    gone = bottle.goneAt() != null;
    goneOn = bottle.goneAt() == null ? null : date(bottle.goneAt(), zone);
    goneBecause = bottle.goneBecause() == null ? null : bottle.goneBecause().name();
  }

  /** Whether only ageing would move its date, and by less than a week. */
  private boolean nearlySame(KeepingRange keeping) {
    String ageing = Keeping.Rule.AGEING.name();
    return ageing.equals(decidedBy)
        && keeping.early().decidedBy() == Keeping.Rule.AGEING
        && near(bestBefore, keeping.earliest())
        && near(bestBeforeLate, keeping.latest());
  }

  private static boolean near(LocalDate one, LocalDate other) {
    return Math.abs(ChronoUnit.DAYS.between(one, other)) < Keeping.LEAST_MOVE_DAYS;
  }

  /** What is otherwise in another that should be the same, in words; empty where nothing is. */
  String difference(Bottle should, KeepingRange keeping) {
    boolean dated =
        bestBefore.equals(should.bestBefore) && bestBeforeLate.equals(should.bestBeforeLate);
    if (!dated && !nearlySame(keeping)) {
      return "good until " + bestBefore + " is kept, " + should.bestBefore + " follows";
    }
    if (Math.abs(leftMl - should.leftMl) > ROUNDING_ML) {
      return Math.round(leftMl) + " ml left are kept, " + Math.round(should.leftMl) + " ml follow";
    }
    boolean same =
        gone == should.gone
            && capped == should.capped
            && spoiled == should.spoiled
            && place.equals(should.place)
            && glass.equals(should.glass)
            && decidedBy.equals(should.decidedBy);
    return same ? "" : "where and how it stands is not what its log says";
  }

  private static LocalDate date(Instant at, ZoneId zone) {
    return at.atZone(zone).toLocalDate();
  }
}
