package velvetcrock.core.plan;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Season;

/**
 * One thing of the drawer looked at a year ahead: what plans have promised to themselves is taken
 * from it first, then it is used as fast as in the past year, the lots that spoil first in front;
 * what is not used by its date goes over (an estimate: habits change).
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
    LotDetails.Kind kind,
    String thing,
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
   * A thing with its lots.
   *
   * @param lots all of it, those that are used up among them, for the habit
   * @param promised what plans have put by of it, in its unit
   * @param season when it is gathered; null for what is bought
   */
  public record Thing(
      LotDetails.Kind kind, String key, List<Lot> lots, double promised, @Nullable Season season) {}

  /** Looks a year ahead. */
  public static StockAhead of(Thing thing, Catalogue catalogue, LocalDate today, ZoneId zone) {
    return new Looking(thing, catalogue, today, zone).look();
  }

  private static final class Looking {
    private final Thing thing;
    private final Catalogue catalogue;
    private final LocalDate today;
    private final ZoneId zone;
    private double goesOver;
    private @Nullable LocalDate goesOverOn;

    Looking(Thing thing, Catalogue catalogue, LocalDate today, ZoneId zone) {
      this.thing = thing;
      this.catalogue = catalogue;
      this.today = today;
      this.zone = zone;
    }

    StockAhead look() {
      double amount = thing.lots().stream().filter(Lot::standing).mapToDouble(Lot::amount).sum();
      double perMonth = perMonth();
      LocalDate end = today.plusMonths(MONTHS_AHEAD);
      LocalDate out = usedUp(perMonth, end);
      LocalDate runsOut = out.isBefore(end) && perMonth + thing.promised() > LEAST ? out : null;
      double good = amount - goesOver;
      double lacking = Math.max(0, thing.promised() + perMonth * MONTHS_AHEAD - good);
      return new StockAhead(
          thing.kind(),
          thing.key(),
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
      LocalDate since = today.minusMonths(MONTHS_AHEAD);
      double taken = 0;
      LocalDate first = today;
      for (Lot lot : thing.lots()) {
        LocalDate there = lot.since().orElse(since);
        first = there.isBefore(first) ? there : first;
        for (Lot.Taking taking : lot.takings()) {
          LocalDate on = taking.at().atZone(zone).toLocalDate();
          if (!on.isBefore(since)) {
            taken += taking.amount();
          }
        }
      }
      long days = ChronoUnit.DAYS.between(first.isBefore(since) ? since : first, today);
      double months = Math.max(3, days / DAYS_PER_MONTH);
      return Math.max(0, taken) / months;
    }

    /** Uses the lots one after the other; answers the day after which none is left. */
    private LocalDate usedUp(double perMonth, LocalDate end) {
      double promised = thing.promised();
      double perDay = perMonth / DAYS_PER_MONTH;
      LocalDate at = today;
      List<Lot> order = new ArrayList<>(thing.lots().stream().filter(Lot::standing).toList());
      order.sort((a, b) -> Lot.oldestFirst(a, b, catalogue));
      for (Lot lot : order) {
        double left = lot.amount();
        double put = Math.min(left, promised);
        left -= put;
        promised -= put;
        LocalDate until = lot.goodUntil(catalogue).orElse(LocalDate.MAX);
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
        Season season = thing.season();
        if (season == null) {
          todo.add(buy(lacking, runsOut));
        } else {
          gather(season, runsOut, perMonth, lacking, todo);
        }
      }
      todo.sort(Comparator.comparing(Todo::by));
      return List.copyOf(todo);
    }

    /** No more at once than is used within what it keeps once opened. */
    private Todo buy(double lacking, LocalDate runsOut) {
      double most = lacking;
      if (thing.kind() == LotDetails.Kind.CARRIER && perMonthKeeps() > 0) {
        most = Math.min(lacking, perMonthKeeps());
      }
      LocalDate by = runsOut.minusDays(BUY_AHEAD_DAYS);
      return new Todo(Doing.BUY, most, today, by.isBefore(today) ? today : by);
    }

    private double perMonthKeeps() {
      return perMonth() * catalogue.carrier(thing.key()).opensForMonths();
    }

    /** What is gathered in its season, and bought to bridge the time until then. */
    private void gather(
        Season season, LocalDate runsOut, double perMonth, double lacking, List<Todo> todo) {
      Season.Window window = season.gather().next(today);
      LocalDate dry = window.last().plusDays(DRIES_DAYS);
      LocalDate first = window.first().isBefore(today) ? today : window.first();
      double bridge =
          Math.min(
              lacking,
              Math.max(0, ChronoUnit.DAYS.between(runsOut, first.plusDays(DRIES_DAYS)))
                  * perMonth
                  / DAYS_PER_MONTH);
      if (bridge > LEAST) {
        todo.add(buy(bridge, runsOut));
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
        todo.add(new Todo(Doing.GATHER, fresh(dried), first, window.last()));
        todo.add(new Todo(Doing.DRY, dried, first, dry));
      }
    }

    /** What an amount of dried herb weighs fresh: its dry matter is the same. */
    private double fresh(double driedG) {
      Herb herb = catalogue.herb(thing.key());
      return driedG
          * (1 - herb.waterFraction(HerbState.DRIED))
          / (1 - herb.waterFraction(HerbState.FRESH));
    }
  }

  /** Whether there is anything to say of it. */
  public boolean quiet() {
    return todo.isEmpty() && runsOut == null && goesOverOn == null;
  }

  /** When it runs out, if it does within the year. */
  public Optional<LocalDate> runningOut() {
    return Optional.ofNullable(runsOut);
  }
}
