package velvetcrock.core.heat;

import velvetcrock.core.Problems;
import velvetcrock.core.Range;

/**
 * How long a melt stays workable: Newton's cooling, t = τ·ln((T₀ − room)/(T_set − room)), with τ =
 * 12 min for 50 ml and growing with the two-thirds power of the volume. An estimate within a factor
 * of 1.6, because vessels and draughts differ.
 */
public final class Cooling {
  private static final double TAU_MINUTES = 12;
  private static final double TAU_ML = 50;
  private static final double FACTOR = 1.6;

  private Cooling() {}

  /**
   * Minutes from leaving the heat until it sets.
   *
   * @param fromC its temperature then, °C
   * @param setsC where it sets, above the room's temperature, °C
   * @param roomC the room's temperature, °C
   * @param ml volume in one vessel, ml
   * @return a range; no time at all if it is colder than it sets
   * @throws velvetcrock.core.Refused at {@code setsC} if the room never lets it set, or {@code ml}
   */
  public static Range minutes(double fromC, double setsC, double roomC, double ml) {
    Problems problems = new Problems();
    problems.require(
        setsC > roomC, "setsC", () -> "In a room of " + Math.round(roomC) + " °C it never sets.");
    problems.require(ml > 0 && ml <= 100_000, "ml", "Above 0 and at most 100 l.");
    problems.refuseIfAny();
    if (fromC <= setsC) {
      return Range.exactly(0);
    }
    double tau = TAU_MINUTES * Math.pow(ml / TAU_ML, 2 / 3.0);
    double minutes = tau * Math.log((fromC - roomC) / (setsC - roomC));
    return new Range(minutes / FACTOR, minutes * FACTOR);
  }
}
