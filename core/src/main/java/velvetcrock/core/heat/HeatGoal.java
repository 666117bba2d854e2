package velvetcrock.core.heat;

import velvetcrock.core.heat.HeatStatistics.Band;
import velvetcrock.core.materia.Method;

/**
 * Where a pot's oil should be and for how long (bands and ceilings: practice).
 *
 * @param band the oil's temperature
 * @param ceilingC what it should not pass, °C: the herb's own, 90 in any water bath, below 100
 *     where the herb's water boils
 * @param usualC how warm it usually is by the method alone, °C
 * @param earliestHours on the heat at which it may come off, h
 * @param usualHours on the heat that are usual, h
 * @param latestHours on the heat by which it should come off, h
 */
public record HeatGoal(
    Band band,
    double ceilingC,
    double usualC,
    double earliestHours,
    double usualHours,
    double latestHours) {
  /** Highest in any water bath, °C: above it the bath nearly boils. */
  public static final double BATH_CEILING_C = 90;

  /** Where a herb begins to fry, because its water boils, °C. */
  public static final double FRYING_C = 100;

  private static final Band CROCK = new Band(40, 75);
  private static final double LEAST_BAND_C = 10;
  private static final Band SIMMER = new Band(70, 90);
  private static final Band OVEN = new Band(80, 135);
  private static final Band SUN = new Band(18, 45);
  private static final Band AFTER_SPIRIT = new Band(25, 40);
  private static final Band ROOM = new Band(10, 30);

  /** A two-stage infusion's warm start: 20 to 60 minutes. */
  private static final double START_EARLIEST = 1 / 3.0;

  private static final double START_USUAL = 0.75;
  private static final double START_LATEST = 1;

  /**
   * The goal of a method.
   *
   * @param herbCeilingC the most delicate herb's own ceiling, °C; from a water bath's on, the
   *     vessel decides
   */
  public static HeatGoal of(Method method, double herbCeilingC) {
    Band band = band(method);
    double vessel = method == Method.OVEN ? FRYING_C : BATH_CEILING_C;
    double ceiling = herbCeilingC < BATH_CEILING_C ? Math.min(herbCeilingC, vessel) : vessel;
    Band below = below(band, ceiling);
    return method == Method.TWO_STAGE
        ? new HeatGoal(
            below, ceiling, Method.WARM.celsius(), START_EARLIEST, START_USUAL, START_LATEST)
        : new HeatGoal(
            below,
            ceiling,
            method.celsius(),
            method.earliestHours(),
            method.usualHours(),
            method.latestHours());
  }

  /** A band's top is the ceiling; where nothing is left of it, it lies just below that. */
  private static Band below(Band band, double ceilingC) {
    if (band.highC() <= ceilingC) {
      return band;
    }
    return new Band(Math.min(band.lowC(), ceilingC - LEAST_BAND_C), ceilingC);
  }

  /**
   * Whether a herb bears a method: whether some of the method's band lies below the ceiling.
   *
   * @param herbCeilingC the most delicate herb's own ceiling, °C
   */
  public static boolean bears(Method method, double herbCeilingC) {
    return !method.heated() || band(method).lowC() < herbCeilingC;
  }

  /**
   * How warm the oil usually is, °C: as is usual of the method, within what is left of its band.
   */
  public double usualC() {
    return Math.min(usualC, band.highC());
  }

  /** Where the oil should be by a method; of a two-stage infusion, at its warm start. */
  public static Band band(Method method) {
    return switch (method) {
      case WARM, TWO_STAGE -> Band.WARM;
      case CROCK -> CROCK;
      case SIMMER -> SIMMER;
      case OVEN -> OVEN;
      case SOLAR -> SUN;
      case SPIRIT -> AFTER_SPIRIT;
      case COLD -> ROOM;
    };
  }
}
