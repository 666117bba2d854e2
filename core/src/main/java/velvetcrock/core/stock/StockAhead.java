package velvetcrock.core.stock;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Season;

/**
 * One thing looked at a year ahead: what plans have promised to themselves is taken from it first,
 * then it is used as fast as in the past year, what spoils first in front; what is not used by its
 * date goes over (an estimate: habits change).
 *
 * @param amount what there is, g or ml
 * @param promised what plans have put by, g or ml
 * @param perMonth what was used in a month over the past year; 0 where nothing was
 * @param runsOut when nothing is left; null where it lasts the year
 * @param goesOver what spoils before it is used within the year, g or ml
 * @param goesOverOn when the first of it spoils; null where none does
 * @param lacking what a year of this takes beyond what there is, g or ml
 * @param todo what to do about it, in the order of the days
 */
public record StockAhead(
    double amount,
    double promised,
    double perMonth,
    @Nullable LocalDate runsOut,
    double goesOver,
    @Nullable LocalDate goesOverOn,
    double lacking,
    List<Todo> todo) {
  private static final double DAYS_PER_MONTH = 30.44;
  private static final int MONTHS_AHEAD = 12;
  private static final double LEAST = 0.5;

  /** Herb hung in bunches is dry after two to four weeks (practice). */
  private static final int DRIES_DAYS = 28;

  /** A gap before the harvest of less than this much of a month is done without. */
  private static final double GAP_MONTHS = 0.5;

  /** A little earlier than the last day, so that the shop may be shut. */
  private static final int BUY_AHEAD_DAYS = 7;

  /** What can be done about it. */
  public enum Doing {
    /** Sow it. */
    SOW,
    /** Gather it; the amount is fresh. */
    GATHER,
    /** Have it dry. */
    DRY,
    /** Buy it. */
    BUY,
    /** Charge a jar for it; by the last day on which a cold one is ready in time. */
    CHARGE,
    /** Use it, or give it away, before it spoils. */
    USE
  }

  /**
   * Something to do.
   *
   * @param amount how much, g or ml; 0 where that is all one
   * @param from the first day for it
   * @param by the last day for it
   */
  public record Todo(Doing doing, double amount, LocalDate from, LocalDate by) {}

  /**
   * Some of it that spoils on one day.
   *
   * @param amount how much, g or ml
   * @param goodUntil null where it keeps
   */
  public record Held(double amount, @Nullable LocalDate goodUntil) {}

  /**
   * Some of it that was used.
   *
   * @param amount how much, g or ml; below nothing where it was given back
   */
  public record Used(LocalDate on, double amount) {}

  /** How there comes to be more of it. */
  public sealed interface Refill permits Bought, Gathered, Infused {}

  /**
   * It is bought.
   *
   * @param opensForMonths no more at once than is used in so many months; null where it keeps
   */
  public record Bought(@Nullable Integer opensForMonths) implements Refill {}

  /**
   * It is gathered in its season.
   *
   * @param freshPerDried g of fresh herb for a g of dried
   */
  public record Gathered(Season season, double freshPerDried) implements Refill {}

  /** It is made, by infusing. */
  public record Infused() implements Refill {}

  /**
   * A thing.
   *
   * @param held what there is, in the order in which it is used
   * @param used what was used of it in the past year at least
   * @param since since when there has been any
   * @param promised what plans have put by of it, in its unit
   */
  public record Thing(
      List<Held> held, List<Used> used, LocalDate since, double promised, Refill refill) {

    /**
     * A thing of the drawer with its lots.
     *
     * @param lots of one thing, at least one: all that there are, and those that were taken from in
     *     the past year, for the habit
     * @param since since when there has been any of it; see {@link #since}
     * @param season when it is gathered; null for what is bought
     */
    public static Thing of(
        List<Lot> lots,
        LocalDate since,
        double promised,
        @Nullable Season season,
        Catalogue catalogue,
        ZoneId zone) {
      List<Held> held =
          lots.stream()
              .filter(Lot::standing)
              .sorted((a, b) -> Lot.oldestFirst(a, b, catalogue))
              .map(lot -> new Held(lot.amount(), lot.goodUntil(catalogue).orElse(null)))
              .toList();
      List<Used> used =
          lots.stream()
              .flatMap(lot -> lot.takings().stream())
              .map(t -> new Used(t.at().atZone(zone).toLocalDate(), t.amount()))
              .toList();
      return new Thing(held, used, since, promised, refill(lots.get(0), season, catalogue));
    }

    /**
     * Since when there has been any.
     *
     * @param first the earliest day that is known of a lot; null where none is
     * @param unknown whether there is a lot of which nobody knows: taken as a year old
     */
    public static LocalDate since(@Nullable LocalDate first, boolean unknown, LocalDate today) {
      LocalDate yearAgo = habitSince(today);
      if (first == null) {
        return unknown ? yearAgo : today;
      }
      return unknown && yearAgo.isBefore(first) ? yearAgo : first;
    }

    private static Refill refill(Lot lot, @Nullable Season season, Catalogue catalogue) {
      LotDetails details = lot.details();
      if (season != null) {
        Herb herb = catalogue.herb(details.thing());
        return new Gathered(
            season,
            (1 - herb.waterFraction(HerbState.DRIED)) / (1 - herb.waterFraction(HerbState.FRESH)));
      }
      return new Bought(
          details.kind() == LotDetails.Kind.CARRIER
              ? Integer.valueOf(catalogue.carrier(details.thing()).opensForMonths())
              : null);
    }
  }

  /** From which day on what was taken tells the habit: of the past year. */
  public static LocalDate habitSince(LocalDate today) {
    return today.minusMonths(MONTHS_AHEAD);
  }

  /** Looks a year ahead. */
  public static StockAhead of(Thing thing, LocalDate today) {
    return new Looking(thing, today).look();
  }

  private static final class Looking {
    private final Thing thing;
    private final LocalDate today;
    private double goesOver;
    private @Nullable LocalDate goesOverOn;

    Looking(Thing thing, LocalDate today) {
      this.thing = thing;
      this.today = today;
    }

    StockAhead look() {
      double amount = thing.held().stream().mapToDouble(Held::amount).sum();
      double perMonth = perMonth();
      LocalDate end = today.plusMonths(MONTHS_AHEAD);
      LocalDate out = usedUp(perMonth, end);
      LocalDate runsOut = out.isBefore(end) && perMonth + thing.promised() > LEAST ? out : null;
      double good = amount - goesOver;
      double lacking = Math.max(0, thing.promised() + perMonth * MONTHS_AHEAD - good);
      return new StockAhead(
          amount,
          thing.promised(),
          perMonth,
          runsOut,
          goesOver,
          goesOverOn,
          lacking,
          todo(runsOut, perMonth, lacking));
    }

    /** What was taken in the past year, by the months that it has been there, at least three. */
    private double perMonth() {
      LocalDate since = habitSince(today);
      double taken =
          thing.used().stream()
              .filter(used -> !used.on().isBefore(since))
              .mapToDouble(Used::amount)
              .sum();
      LocalDate first = thing.since();
      long days = ChronoUnit.DAYS.between(first.isBefore(since) ? since : first, today);
      double months = Math.max(3, days / DAYS_PER_MONTH);
      return Math.max(0, taken) / months;
    }

    /** Uses the lots one after the other; answers the day after which none is left. */
    private LocalDate usedUp(double perMonth, LocalDate end) {
      double promised = thing.promised();
      double perDay = perMonth / DAYS_PER_MONTH;
      LocalDate at = today;
      for (Held held : thing.held()) {
        double left = held.amount();
        double put = Math.min(left, promised);
        left -= put;
        promised -= put;
        LocalDate until = held.goodUntil() == null ? LocalDate.MAX : held.goodUntil();
        double lasts = perDay <= 0 ? Double.POSITIVE_INFINITY : left / perDay;
        long usable =
            until.isAfter(end)
                ? ChronoUnit.DAYS.between(at, end.plusYears(9))
                : Math.max(0, ChronoUnit.DAYS.between(at, until));
        if (lasts <= usable) {
          at = at.plusDays((long) Math.floor(lasts));
          continue;
        }
        if (until.isAfter(end)) {
          return end;
        }
        double spoils = left - perDay * usable;
        if (spoils > LEAST) {
          goesOver += spoils;
          goesOverOn = goesOverOn == null || until.isBefore(goesOverOn) ? until : goesOverOn;
        }
        at = until.isAfter(at) ? until : at;
      }
      return at;
    }

    private List<Todo> todo(@Nullable LocalDate runsOut, double perMonth, double lacking) {
      List<Todo> todo = new ArrayList<>();
      if (goesOverOn != null) {
        LocalDate by = goesOverOn.isBefore(today) ? today : goesOverOn;
        todo.add(new Todo(Doing.USE, goesOver, today, by));
      }
      if (lacking > LEAST && runsOut != null) {
        if (thing.refill() instanceof Gathered gathered) {
          gather(gathered, runsOut, perMonth, lacking, todo);
        } else if (thing.refill() instanceof Bought bought) {
          todo.add(buy(bought, lacking, runsOut, perMonth));
        } else {
          todo.add(charge(lacking, runsOut));
        }
      }
      todo.sort(Comparator.comparing(Todo::by));
      return List.copyOf(todo);
    }

    /** No more at once than is used within what it keeps once opened. */
    private Todo buy(Bought bought, double lacking, LocalDate runsOut, double perMonth) {
      Integer months = bought.opensForMonths();
      double most =
          months == null || perMonth <= 0 ? lacking : Math.min(lacking, perMonth * months);
      return before(Doing.BUY, most, runsOut, BUY_AHEAD_DAYS);
    }

    /** A cold jar takes its usual weeks; it is charged so early. */
    private Todo charge(double lacking, LocalDate runsOut) {
      long days = Math.round(Method.COLD.usualHours() / 24);
      return before(Doing.CHARGE, lacking, runsOut, days);
    }

    private Todo before(Doing doing, double amount, LocalDate runsOut, long days) {
      LocalDate by = runsOut.minusDays(days);
      return new Todo(doing, amount, today, by.isBefore(today) ? today : by);
    }

    /** What is gathered in its season, and bought to bridge the time until then. */
    private void gather(
        Gathered gathered, LocalDate runsOut, double perMonth, double lacking, List<Todo> todo) {
      Season season = gathered.season();
      Season.Window window = season.gather().next(today);
      LocalDate dry = window.last().plusDays(DRIES_DAYS);
      LocalDate first = window.first().isBefore(today) ? today : window.first();
      double bridge =
          Math.min(
              lacking,
              Math.max(0, ChronoUnit.DAYS.between(runsOut, first.plusDays(DRIES_DAYS)))
                  * perMonth
                  / DAYS_PER_MONTH);
      if (bridge > Math.max(LEAST, GAP_MONTHS * perMonth)) {
        todo.add(before(Doing.BUY, bridge, runsOut, BUY_AHEAD_DAYS));
      }
      double dried = Math.max(0, lacking - bridge);
      if (dried > LEAST) {
        Season.Months sow = season.sow();
        if (sow != null) {
          Season.Window sowing = sow.next(today);
          if (sowing.last().isBefore(window.last())) {
            LocalDate from = sowing.first().isBefore(today) ? today : sowing.first();
            todo.add(new Todo(Doing.SOW, 0, from, sowing.last()));
          }
        }
        todo.add(new Todo(Doing.GATHER, dried * gathered.freshPerDried(), first, window.last()));
        todo.add(new Todo(Doing.DRY, dried, first, dry));
      }
    }
  }

  /** Whether there is anything to say of it. */
  public boolean quiet() {
    return todo.isEmpty() && runsOut == null && goesOverOn == null;
  }
}
