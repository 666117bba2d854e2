package velvetcrock.core.care;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.materia.Method;

/**
 * When a jar that stands is visited (practice): shaken daily in the first week, and later whenever
 * it is opened; opened, looked at and smelled every third day in the first two weeks and weekly
 * after. What can be done together is one visit. What spirit leaves is shaken several times a day;
 * what is drawn on the heat is looked at there and not shaken.
 */
public enum Rhythm {
  /** A jar on the shelf. */
  STANDING(1),
  /** A jar in the sun: stirred up daily for as long as it stands there. */
  IN_THE_SUN(1),
  /** A jar that spirit leaves. */
  LOSING_SPIRIT(3),
  /** What is drawn on the heat. */
  ON_THE_HEAT(0);

  private static final int SHAKEN_DAILY_UNTIL = 7;
  private static final int LOOKED_AT_OFTEN_UNTIL = 14;
  private static final int OFTEN_DAYS = 3;
  private static final int WEEK = 7;

  private final int visitsADay;

  Rhythm(int visitsADay) {
    this.visitsADay = visitsADay;
  }

  /** The rhythm of a method. */
  public static Rhythm of(Method method) {
    return switch (method) {
      case COLD, TWO_STAGE -> STANDING;
      case SOLAR -> IN_THE_SUN;
      case SPIRIT -> LOSING_SPIRIT;
      case WARM, CROCK, SIMMER, OVEN -> ON_THE_HEAT;
    };
  }

  /** How often a day it is visited at its liveliest; 0 where it is looked after by the hour. */
  public int visitsADay() {
    return visitsADay;
  }

  /**
   * Days between two shakings.
   *
   * @param day the day of its standing, the first after charging being 1
   */
  public int shakenEvery(long day) {
    return this != STANDING || day <= SHAKEN_DAILY_UNTIL ? 1 : lookedAtEvery(day);
  }

  /**
   * Days between two looks.
   *
   * @param day the day of its standing, the first after charging being 1
   */
  public int lookedAtEvery(long day) {
    return day <= LOOKED_AT_OFTEN_UNTIL ? OFTEN_DAYS : WEEK;
  }

  /**
   * A visit.
   *
   * @param day of its standing, the first after charging being 1
   * @param look whether it is opened, looked at and smelled besides being shaken
   */
  public record Visit(int day, boolean look) {}

  /** The visits of so many days, if each is made on its day; one for each day at most. */
  public List<Visit> visits(int days) {
    List<Visit> visits = new ArrayList<>();
    if (visitsADay == 0) {
      return visits;
    }
    int shaken = 0;
    int looked = 0;
    for (int day = 1; day <= days; day++) {
      boolean look = day - looked >= lookedAtEvery(day);
      if (look || day - shaken >= shakenEvery(day)) {
        visits.add(new Visit(day, look));
        shaken = day;
        looked = look ? day : looked;
      }
    }
    return visits;
  }

  /**
   * A run of visits at one distance.
   *
   * @param first the day of the first
   * @param everyDays days from one to the next
   * @param count how many there are
   */
  public record Run(LocalDate first, int everyDays, int count) {}

  /** The visits from a charging to a day, as runs that are evenly spaced. */
  public List<Run> runs(LocalDate charged, LocalDate until) {
    int days = (int) Math.max(0, until.toEpochDay() - charged.toEpochDay());
    List<Integer> on = visits(days).stream().map(Visit::day).toList();
    List<Run> runs = new ArrayList<>();
    int from = 0;
    while (from < on.size()) {
      int before = from == 0 ? 0 : on.get(from - 1);
      int every =
          (from + 1 < on.size() ? on.get(from + 1) : 2 * on.get(from) - before) - on.get(from);
      int to = from + 1;
      while (to < on.size() && on.get(to) - on.get(to - 1) == every) {
        to++;
      }
      runs.add(new Run(charged.plusDays(on.get(from)), every, to - from));
      from = to;
    }
    return runs;
  }
}
