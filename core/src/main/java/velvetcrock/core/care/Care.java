package velvetcrock.core.care;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.materia.Method;

/** The figures of care that are no task's own (practice). */
public final class Care {
  /** So long before its date a bottle or a product begins to be smelled, days. */
  public static final int SMELLED_FROM_DAYS = 28;

  /** Days between two smells then. */
  public static final int SMELLED_EVERY_DAYS = 14;

  /** On these first days dried herb still swells and the level sinks. */
  public static final int SWELLS_DAYS = 3;

  /** A jar that spirit leaves is shaken again after this. */
  public static final Duration SHAKEN_AGAIN = Duration.ofHours(5);

  /** What loses water on the heat is weighed again after this. */
  public static final Duration WEIGHED_AGAIN = Duration.ofHours(1);

  /** What was strained stands so long before it is poured off, h. */
  public static final double SETTLES_HOURS = 12;

  /** In the morning it is visited so long after somebody gets up, min. */
  public static final int AFTER_WAKING_MINUTES = 30;

  private static final int LOOK_ON_A_BURNER_MINUTES = 15;
  private static final int LOOK_ON_HEAT_MINUTES = 30;
  private static final int LOOK_AT_A_CROCK_MINUTES = 240;

  /** Going to a place and coming back, min. */
  public static final double TO_A_PLACE_MINUTES = 1;

  /** What takes longer than this is no part of a round: it is work to sit down to, min. */
  public static final int WORK_FROM_MINUTES = 10;

  private static final double HALF_A_MINUTE = 0.5;

  private Care() {}

  /**
   * Minutes of a visit to jars that stand at one place: half a minute a jar for shaking, the level,
   * looking and smelling each, and a minute for the way (practice).
   *
   * @param acts how many of those are done with each jar
   */
  public static double visitMinutes(int acts, int jars) {
    return TO_A_PLACE_MINUTES + jars * acts * HALF_A_MINUTE;
  }

  /**
   * From when a bottle or a product is smelled: four weeks before its date, or from the age at
   * which others like it turned; never before it was filled.
   *
   * @param own the day by what others like it did; null where none turned
   */
  public static LocalDate smelledFrom(
      LocalDate bestBefore, @Nullable LocalDate own, LocalDate filledOn) {
    LocalDate near = bestBefore.minusDays(SMELLED_FROM_DAYS);
    LocalDate from = own != null && own.isBefore(near) ? own : near;
    return from.isBefore(filledOn) ? filledOn : from;
  }

  /** Minutes between two looks at a pot on the heat. */
  public static int minutesBetweenLooks(Method method) {
    return switch (method) {
      case SIMMER -> LOOK_ON_A_BURNER_MINUTES;
      case CROCK -> LOOK_AT_A_CROCK_MINUTES;
      case COLD, SOLAR, TWO_STAGE, SPIRIT, WARM, OVEN -> LOOK_ON_HEAT_MINUTES;
    };
  }

  /**
   * Until when a task may be put off at the latest.
   *
   * @param now the household's clock
   * @param wakes when somebody gets up there
   */
  public static LocalDateTime putOffUntil(Task.Kind kind, LocalDateTime now, LocalTime wakes) {
    return kind.longestWait()
        .map(now::plus)
        .orElseGet(() -> now.toLocalDate().plusDays(1).atTime(wakes));
  }

  /** The choices of how long a task may be put off, in minutes; those beyond are not offered. */
  public static List<Integer> waits(Task.Kind kind) {
    return List.of(15, 60, 180).stream()
        .filter(m -> kind.longestWait().map(d -> m <= d.toMinutes()).orElse(true))
        .toList();
  }

  /** The day on which a skipped task comes again. */
  public static LocalDate comesAgain(Task.Kind kind, LocalDate today) {
    return today.plusDays(kind.comesAgainDays());
  }
}
