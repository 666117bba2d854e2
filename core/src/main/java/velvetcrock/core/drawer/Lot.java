package velvetcrock.core.drawer;

import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;

/**
 * A lot as its log says it stands.
 *
 * @param details what it is
 * @param amount how much of it there is, in the unit of its kind; never negative
 * @param most the most that there ever was, for drawing how full it is
 * @param pickings what was picked when
 * @param takings what went where, the newest last
 * @param ended why it is no more; null while it is
 */
public record Lot(
    LotDetails details,
    double amount,
    double most,
    List<Picking> pickings,
    List<Taking> takings,
    @Nullable LotEnding ended) {

  /** Months after which an oil counts as long open, as a share of what it keeps once opened. */
  private static final double OPENED_LONG_SHARE = 0.5;

  private static final int NEAR_DATE_MONTHS = 4;

  /** A dated picking. */
  public record Picking(LocalDate on, double amount) {}

  /** Something taken. */
  public record Taking(Instant at, double amount, String what) {}

  /**
   * Folds a log.
   *
   * @param entries in any order, one of them how it was put into the drawer
   * @throws Refused at {@code amount} if it would hold less than nothing
   */
  public static Lot fold(List<Entry<LotEvent>> entries) {
    return LotLog.fold(new Log<>(entries));
  }

  /** Whether there is any of it to use. */
  public boolean standing() {
    return ended == null;
  }

  /** The first day on which any of it was gathered, which its keeping counts from. */
  public Optional<LocalDate> harvestedOn() {
    return Stream.concat(
            Stream.ofNullable(details.dates().harvestedOn()), pickings.stream().map(Picking::on))
        .min(LocalDate::compareTo);
  }

  /** The day that its age counts from: gathering, else pressing or buying, else opening. */
  public Optional<LocalDate> since() {
    return harvestedOn()
        .or(() -> Optional.ofNullable(details.dates().boughtOn()))
        .or(() -> Optional.ofNullable(details.dates().openedOn()));
  }

  /**
   * Until when it is good: a dried herb 12 months from gathering, a root, bark or seed 24
   * (typical); an oil until its own date.
   *
   * @return empty where nothing is known, and for what keeps: wax and spirit
   */
  public Optional<LocalDate> goodUntil(Catalogue catalogue) {
    return switch (details.kind()) {
      case HERB ->
          details.plant().state() == HerbState.DRIED
              ? harvestedOn().map(on -> on.plusMonths(part().driedKeepsMonths()))
              : Optional.empty();
      case CARRIER -> dates(catalogue, 1).ownDate();
      case SPIRIT, WAX -> Optional.empty();
    };
  }

  /** An oil's dates, for reckoning its keeping. */
  public CarrierDates dates(Catalogue catalogue, double share) {
    return new CarrierDates(
        catalogue.carrier(details.thing()),
        share,
        details.dates().bestBefore(),
        details.dates().openedOn(),
        details.dates().boughtOn());
  }

  /** What its age calls for. */
  public enum Age {
    /** A herb past its keeping. */
    HERB_PAST,
    /** An oil past its own date. */
    OIL_PAST,
    /** An oil within four months of its own date. */
    OIL_NEAR,
    /** An oil open for over half of what it keeps once opened. */
    OIL_OPEN_LONG,
    /** An oil of a kind that turns soon. */
    OIL_TURNS_SOON
  }

  /** What its age calls for on a day (practice). */
  public Set<Age> ages(Catalogue catalogue, LocalDate today) {
    Set<Age> ages = EnumSet.noneOf(Age.class);
    Optional<LocalDate> until = goodUntil(catalogue);
    boolean past = until.isPresent() && until.get().isBefore(today);
    if (details.kind() == Kind.HERB && past) {
      ages.add(Age.HERB_PAST);
    }
    if (details.kind() == Kind.CARRIER) {
      Carrier carrier = catalogue.carrier(details.thing());
      if (past) {
        ages.add(Age.OIL_PAST);
      } else if (until.isPresent() && until.get().isBefore(today.plusMonths(NEAR_DATE_MONTHS))) {
        ages.add(Age.OIL_NEAR);
      }
      LocalDate opened = details.dates().openedOn();
      long half = Math.round(carrier.opensForMonths() * OPENED_LONG_SHARE);
      if (opened != null && opened.plusMonths(half).isBefore(today)) {
        ages.add(Age.OIL_OPEN_LONG);
      }
      if (carrier.shortLived()) {
        ages.add(Age.OIL_TURNS_SOON);
      }
    }
    return ages;
  }

  /** The water in a herb: its own where it is known, else what is usual for its state. */
  public double waterFraction(Catalogue catalogue) {
    Double own = details.plant().waterFraction();
    HerbState state = details.plant().state();
    if (own != null || state == null) {
      return own == null ? 0 : own;
    }
    return catalogue.herb(details.thing()).waterFraction(state);
  }

  private Part part() {
    Part part = details.plant().part();
    return part == null ? Part.LEAF : part;
  }

  /** Which of two lots of one thing is used first: the one that is good for less long. */
  public static int oldestFirst(Lot one, Lot other, Catalogue catalogue) {
    LocalDate never = LocalDate.MAX;
    int byDate =
        one.goodUntil(catalogue).orElse(never).compareTo(other.goodUntil(catalogue).orElse(never));
    return byDate != 0 ? byDate : one.since().orElse(never).compareTo(other.since().orElse(never));
  }
}
