package velvetcrock.core.batch;

import velvetcrock.core.heat.WaterBath;
import velvetcrock.core.log.Checks;

/**
 * A bath of water; pots that name the same one stand in it together.
 *
 * @param depthMm water when full, mm
 * @param lowestMm depth at which it must be topped up, mm
 * @param widthMm inner width, mm
 * @param watts what goes into evaporation, W
 */
public record Bath(String name, double depthMm, double lowestMm, double widthMm, double watts) {
  /** Checks that it can be. */
  public Bath {
    Checks.text("name", name);
    new WaterBath(depthMm, lowestMm, widthMm, watts, false);
  }

  /** It, as the core reckons baths. */
  public WaterBath bath(boolean onBurner) {
    return new WaterBath(depthMm, lowestMm, widthMm, watts, onBurner);
  }
}
