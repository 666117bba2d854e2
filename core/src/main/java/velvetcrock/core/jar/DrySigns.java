package velvetcrock.core.jar;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.InOil;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.moisture.Evaporation;

/**
 * The signs that an oil is dry where no scale shows it (practice): all three together do, one
 * missing does not.
 *
 * @param still no bubble for twenty minutes while it was hot
 * @param crisp the herb is crisp
 * @param clear no water and no haze under the oil after a night
 */
public record DrySigns(Says still, Says crisp, Says clear) {
  /** From here on water that is left would boil out in bubbles, °C. */
  public static final double HOT_C = 60;

  /** What a thermometer may be off, °C. */
  private static final double ABOUT_C = 3;

  /** What a sign says. */
  public enum Says {
    /** Nobody has looked. */
    UNSEEN,
    /** It is not dry. */
    NO,
    /** It was seen while the oil was too cool, or for too short, to say anything. */
    SAYS_NOTHING,
    /** It is dry. */
    YES
  }

  static DrySigns of(BatchState state, HeatGoal goal, double waterG) {
    InOil oil = state.seen().oil();
    return new DrySigns(
        still(state, oil, goal, waterG), says(state.seen().crisp()), says(oil.clear()));
  }

  private static Says still(BatchState state, InOil oil, HeatGoal goal, double waterG) {
    if (!Boolean.TRUE.equals(oil.still())) {
      return says(oil.still());
    }
    Double at = oil.stillAtC();
    if (at == null || oil.stillAt() == null) {
      return Says.SAYS_NOTHING;
    }
    if (at >= HOT_C) {
      return Says.YES;
    }
    double hours = state.heat().hours(oil.stillAt());
    double left =
        Evaporation.of(
                Trace.steady(at, hours), state.vessel().innerDiameterMm(), Evaporation.Cover.OPEN)
            .usualG();
    return at >= countsFromC(goal) && left >= waterG ? Says.YES : Says.SAYS_NOTHING;
  }

  /**
   * From how warm on no bubble counts by a way, °C: where its band ends below 60 °C near its top,
   * and only after hours enough.
   */
  public static double countsFromC(HeatGoal goal) {
    double top = Math.min(goal.band().highC(), goal.ceilingC());
    return top < HOT_C ? top - ABOUT_C : HOT_C;
  }

  private static Says says(@Nullable Boolean seen) {
    return seen == null ? Says.UNSEEN : seen ? Says.YES : Says.NO;
  }

  /** Whether all three show it dry. */
  public boolean dry() {
    return still == Says.YES && crisp == Says.YES && clear == Says.YES;
  }
}
