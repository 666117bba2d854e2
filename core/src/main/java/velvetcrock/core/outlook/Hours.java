package velvetcrock.core.outlook;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetcrock.core.Problems;

/**
 * When somebody is up and at home: what wants hands or eyes falls within these hours.
 *
 * @param wakes when the day begins
 * @param sleeps when it ends; before {@code wakes} it is past midnight
 * @param awayDays on which days nobody is at home between {@code awayFrom} and {@code awayUntil}
 * @param awayUntil after {@code awayFrom}
 */
public record Hours(
    LocalTime wakes,
    LocalTime sleeps,
    Set<DayOfWeek> awayDays,
    LocalTime awayFrom,
    LocalTime awayUntil) {

  /** Up from seven to half past ten, and at home. */
  public static final Hours USUAL =
      new Hours(
          LocalTime.of(7, 0),
          LocalTime.of(22, 30),
          Set.of(),
          LocalTime.of(8, 30),
          LocalTime.of(17, 0));

  /** Somebody is there round the clock: for what was laid before the hours changed. */
  public static final Hours ALWAYS =
      new Hours(
          LocalTime.MIDNIGHT,
          LocalTime.of(23, 59),
          Set.of(),
          LocalTime.of(8, 30),
          LocalTime.of(17, 0));

  /** Days in which every week's hours show. */
  private static final int TWO_WEEKS = 14;

  private static final int LEAST_MINUTES = 60;

  /**
   * Checks the hours.
   *
   * @throws velvetcrock.core.Refused at {@code sleeps} or {@code awayUntil}
   */
  public Hours {
    awayDays = Set.copyOf(awayDays);
    Problems problems = new Problems();
    problems.require(
        !sleeps.equals(wakes), "sleeps", "Nobody goes to sleep at the minute of getting up.");
    problems.require(
        awayFrom.isBefore(awayUntil), "awayUntil", "One comes back later than one goes.");
    problems.refuseIfAny();
    problems.require(
        longest(wakes, sleeps, awayDays, awayFrom, awayUntil) >= LEAST_MINUTES,
        "awayUntil",
        "These hours leave no full hour in a week in which anybody is at home and awake.");
    problems.refuseIfAny();
  }

  /** When somebody is there on the day that begins with this date's waking. */
  public List<Span> on(LocalDate day) {
    return on(day, wakes, sleeps, awayDays, awayFrom, awayUntil);
  }

  private static List<Span> on(
      LocalDate day,
      LocalTime wakes,
      LocalTime sleeps,
      Set<DayOfWeek> awayDays,
      LocalTime awayFrom,
      LocalTime awayUntil) {
    LocalDateTime up = day.atTime(wakes);
    LocalDateTime down = (sleeps.isAfter(wakes) ? day : day.plusDays(1)).atTime(sleeps);
    if (!awayDays.contains(day.getDayOfWeek())) {
      return List.of(new Span(up, down));
    }
    LocalDateTime goes = later(up, day.atTime(awayFrom));
    LocalDateTime comes = earlier(down, day.atTime(awayUntil));
    List<Span> there = new ArrayList<>(2);
    if (up.isBefore(goes)) {
      there.add(new Span(up, earlier(goes, down)));
    }
    if (comes.isBefore(down)) {
      there.add(new Span(later(comes, up), down));
    }
    return there;
  }

  /**
   * The first moment from which somebody is there for so long without a break.
   *
   * @param from not before this
   * @param minutes at least 0
   * @return empty if no day of the week has such a stretch
   */
  public Optional<LocalDateTime> next(LocalDateTime from, long minutes) {
    LocalDate day = from.toLocalDate().minusDays(1);
    for (int i = 0; i <= TWO_WEEKS; i++) {
      for (Span there : on(day.plusDays(i))) {
        LocalDateTime begin = later(from, there.from());
        if (!begin.plusMinutes(minutes).isAfter(there.until())) {
          return Optional.of(begin);
        }
      }
    }
    return Optional.empty();
  }

  /**
   * The first stretch in which somebody is there.
   *
   * @param from not before this
   * @param leastMinutes at least so long
   */
  public Optional<Span> nextSpan(LocalDateTime from, long leastMinutes) {
    return next(from, leastMinutes)
        .map(
            begin ->
                on(begin.toLocalDate().minusDays(1)).stream()
                    .filter(s -> !begin.isBefore(s.from()) && begin.isBefore(s.until()))
                    .findFirst()
                    .or(
                        () ->
                            on(begin.toLocalDate()).stream()
                                .filter(s -> !begin.isBefore(s.from()) && begin.isBefore(s.until()))
                                .findFirst())
                    .map(s -> new Span(begin, s.until()))
                    .orElseThrow());
  }

  /** The longest stretch in which somebody is there without a break, min. */
  public long longestMinutes() {
    return longest(wakes, sleeps, awayDays, awayFrom, awayUntil);
  }

  private static long longest(
      LocalTime wakes,
      LocalTime sleeps,
      Set<DayOfWeek> awayDays,
      LocalTime awayFrom,
      LocalTime awayUntil) {
    LocalDate monday = LocalDate.of(2024, 1, 1);
    long longest = 0;
    for (int i = 0; i < 7; i++) {
      for (Span s : on(monday.plusDays(i), wakes, sleeps, awayDays, awayFrom, awayUntil)) {
        longest = Math.max(longest, s.minutes());
      }
    }
    return longest;
  }

  private static LocalDateTime later(LocalDateTime a, LocalDateTime b) {
    return a.isAfter(b) ? a : b;
  }

  private static LocalDateTime earlier(LocalDateTime a, LocalDateTime b) {
    return a.isBefore(b) ? a : b;
  }
}
