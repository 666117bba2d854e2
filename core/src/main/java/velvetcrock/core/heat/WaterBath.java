package velvetcrock.core.heat;

import velvetcrock.core.Problems;

/**
 * A bath of water under a pot or jar.
 *
 * @param depthMm water in it, mm
 * @param lowestMm depth at which it must be topped up, mm
 * @param widthMm inner width of the vessel, mm
 * @param evaporationW power that goes into evaporation, W
 * @param onBurner whether it stands on a burner that somebody has to look at
 */
public record WaterBath(
    double depthMm, double lowestMm, double widthMm, double evaporationW, boolean onBurner) {
  /** Heat to turn a gram of hot water to steam, J/g (standard, at about 80 °C). */
  static final double EVAPORATION_J_PER_G = 2310;

  private static final double BURNER_MINUTES = 15;
  private static final double MM3_PER_G = 1000;

  /**
   * Checks the figures.
   *
   * @throws velvetcrock.core.Refused at the field that cannot be
   */
  public WaterBath {
    Problems problems = new Problems();
    problems.require(depthMm > 0 && depthMm <= 500, "depthMm", "Between 0 and 500 mm of water.");
    problems.require(
        lowestMm >= 0 && lowestMm < depthMm, "lowestMm", "Below the depth and not below 0.");
    problems.require(widthMm >= 30 && widthMm <= 1000, "widthMm", "Between 30 and 1000 mm wide.");
    problems.require(
        evaporationW >= 0 && evaporationW <= 5000, "evaporationW", "Between 0 and 5000 W.");
    problems.refuseIfAny();
  }

  /**
   * Minutes until it wants water: what may go ÷ (power ÷ heat of evaporation); on a burner never
   * more than 15. Infinite where nothing evaporates and nobody need look.
   */
  public double minutesToTopUp() {
    double mayGoG = (depthMm - lowestMm) * Math.PI / 4 * widthMm * widthMm / MM3_PER_G;
    double minutes =
        evaporationW == 0
            ? Double.POSITIVE_INFINITY
            : mayGoG / (evaporationW / EVAPORATION_J_PER_G) / 60;
    return onBurner ? Math.min(BURNER_MINUTES, minutes) : minutes;
  }
}
