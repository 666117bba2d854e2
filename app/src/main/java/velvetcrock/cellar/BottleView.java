package velvetcrock.cellar;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.BottleDateMove;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.Reckoning;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.care.Care;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.KeepingRange;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.Keeping.Change;
import velvetcrock.core.keeping.OwnShelfLife;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.web.CautionsView;
import velvetcrock.web.Formats;
import velvetcrock.web.KeepingWords;

/**
 * A bottle's page: until when it is good and why.
 *
 * @param name which bottle, and of what
 * @param standing how it stands
 * @param legs where its keeping went and goes, as parts of a bar
 * @param gains what would lengthen it
 * @param moves how its date moved, and why
 * @param watch when to smell at it and what others like it did; may be empty
 * @param checked how it was when it was last smelled at; may be empty
 */
record BottleView(
    Name name,
    Standing standing,
    Until until,
    BottleDrawing drawing,
    List<LegBar> legs,
    List<String> gains,
    List<String> moves,
    String watch,
    String checked,
    CautionsView cautions,
    Reckoning reckoning) {

  /** What can still be done about it at a bottle. */
  private static final Set<Caution.Stage> AT_A_BOTTLE =
      EnumSet.of(Caution.Stage.BOTTLING, Caution.Stage.MAKING, Caution.Stage.GIVING);

  /**
   * Until when it is good.
   *
   * @param date the cautious end
   * @param why what decided it
   * @param sure how sure it is; empty where nothing is open
   * @param assumed whether nobody knows how old its oil was
   */
  record Until(String date, String why, String sure, boolean assumed) {}

  /** Which bottle, and of what. */
  record Name(String code, String batch, String letter, String herb, String botanical) {}

  /** How it stands. */
  record Standing(String left, String stored, boolean gone, boolean opened, boolean spoiled) {}

  /**
   * A leg.
   *
   * @param from where it begins on the bar, in hundredths
   * @param percent its share of the keeping that was brought
   */
  record LegBar(String name, String words, double from, double percent, int kind) {}

  /**
   * What is known of a bottle.
   *
   * @param own how others like it kept; null where none has come to its end
   * @param smellFrom the day from which to smell at it by what those did; null where none turned
   */
  record Basis(
      BottleRecord record,
      KeepingRange keeping,
      List<BottleDateMove> moves,
      @Nullable OwnShelfLife own,
      @Nullable LocalDate smellFrom) {}

  static BottleView of(Basis known, Catalogue catalogue, Cautions cautions, Formats fmt) {
    BottleRecord record = known.record();
    KeepingRange keeping = known.keeping();
    Keeping early = keeping.early();
    var charge = record.batch().state().charge();
    var filled = record.bottle().filled();
    BottleState state = record.bottle();
    boolean over = state.goneAt() != null || record.bestBefore().isBefore(fmt.today());
    return new BottleView(
        new BottleView.Name(
            record.code(),
            record.batch().code(),
            record.bottle().letter(),
            CellarView.herbs(record, catalogue),
            botanical(record, catalogue)),
        new BottleView.Standing(
            fmt.ml(record.bottle().leftMl()) + " of " + fmt.ml(filled.ml()) + " left",
            stored(state, fmt),
            state.goneAt() != null,
            state.openedAt() != null,
            state.spoiled()),
        new Until(
            fmt.fullDate(record.bestBefore()),
            KeepingWords.why(early.decidedBy()),
            sure(record, early, fmt),
            state.goneAt() == null
                && new BatchReckoning(catalogue, record.batch().state()).carrierDatesAssumed()),
        CellarView.drawing(record, catalogue, fmt),
        legs(early, fmt),
        (over ? List.<Keeping.Gain>of() : early.lengthen())
            .stream()
                .limit(3)
                .map(g -> change(g.change()) + ": " + fmt.days(g.days()) + " more")
                .toList(),
        known.moves().stream().map(m -> moved(m, fmt)).toList(),
        watch(known, fmt),
        checked(state, fmt),
        CautionsView.of(
            cautions.forKeeping(early, charge.use()), AT_A_BOTTLE, charge.manner().read()),
        early.reckoning());
  }

  /** How sure the date is; empty where nothing is open. */
  private static String sure(BottleRecord record, Keeping early, Formats fmt) {
    if (record.bestBefore().equals(record.bestBeforeLate())) {
      return "";
    }
    return "That is the cautious end: it may be good until about "
        + fmt.month(early.bestBefore())
        + ", but not beyond "
        + fmt.date(record.bestBeforeLate())
        + ". How fast oil ages is only known within such bounds.";
  }

  private static String botanical(BottleRecord record, Catalogue catalogue) {
    return new BatchReckoning(catalogue, record.batch().state()).botanicalNames();
  }

  private static String stored(BottleState state, Formats fmt) {
    return state.store().words()
        + (state.store().glass() == Store.Glass.AMBER ? ", in amber glass" : "")
        + state.store().antioxidant().after(", ")
        + (state.openedAt() == null ? "" : ", opened " + fmt.shortDate(fmt.date(state.openedAt())));
  }

  private static String moved(BottleDateMove move, Formats fmt) {
    return fmt.date(fmt.date(move.movedAt()))
        + ": "
        + move.why()
        + "; good until "
        + fmt.date(move.to())
        + " instead of "
        + fmt.date(move.from());
  }

  /** When to smell at it, and what others like it did. */
  private static String watch(Basis known, Formats fmt) {
    if (known.record().bottle().goneAt() != null) {
      return "";
    }
    LocalDate filled = fmt.date(known.record().bottle().filledAt());
    LocalDate day = Care.smelledFrom(known.record().bestBefore(), known.smellFrom(), filled);
    String from = "Smell it from " + fmt.date(day) + ", every second week.";
    return known.own() == null
        ? from
        : from + " Of yours in this oil and place, " + CellarView.taught(known.own(), fmt) + ".";
  }

  private static String checked(BottleState state, Formats fmt) {
    BottleState.Check check = state.checked();
    if (check == null) {
      return "";
    }
    return "Last smelled " + fmt.date(fmt.date(check.at())) + ": " + check.found().words();
  }

  private static List<LegBar> legs(Keeping keeping, Formats fmt) {
    List<LegBar> bars = new ArrayList<>();
    double all = Math.max(1, keeping.startDays());
    double from = 0;
    int kind = 0;
    for (Keeping.Leg leg : keeping.legs()) {
      double percent = Math.min(100 - from, 100 * leg.spentDays() / all);
      if (percent > 0) {
        bars.add(
            new LegBar(
                leg.name(),
                fmt.count(Math.round(leg.days()), "day", "days")
                    + " at "
                    + fmt.number(leg.rate(), leg.rate() < 10 ? 1 : 0)
                    + (Math.round(leg.days()) == 1 ? " a day uses " : " a day use ")
                    + fmt.number(leg.spentDays(), 0),
                Math.round(from * 10) / 10.0,
                Math.round(percent * 10) / 10.0,
                kind % 6));
      }
      from += percent;
      kind++;
    }
    return bars;
  }

  private static String change(Change change) {
    return switch (change) {
      case FREEZER -> "In the freezer";
      case FRIDGE -> "In the fridge";
      case COOL -> "In a cool cupboard";
      case AMBER -> "In amber glass";
      case FULL -> "In a bottle that it fills to the neck";
      case VITAMIN_E -> "With vitamin E";
      case ROSEMARY -> "With rosemary extract";
    };
  }
}
