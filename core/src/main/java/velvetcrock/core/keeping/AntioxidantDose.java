package velvetcrock.core.keeping;

import static velvetcrock.core.Figures.plain;

import java.util.Optional;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Refused;
import velvetcrock.core.Standing;

/**
 * How much of an antioxidant to stir into an oil, by weight: vitamin E 0.1–0.5 %, rosemary extract
 * 0.05–0.2 %; the middle is aimed at. More does not keep better, and too much vitamin E hastens
 * rancidity. It slows rancidity only and acts on no microbe.
 *
 * @param massG from the least to the most that helps, g
 * @param middleG what to aim at, g
 * @param drops about how many drops that is, at 0.05 ml each and a density of 0.95 g/ml (typical)
 */
public record AntioxidantDose(Range massG, double middleG, int drops, Reckoning reckoning) {
  private static final Range VITAMIN_E_PERCENT = new Range(0.1, 0.5);
  private static final Range ROSEMARY_PERCENT = new Range(0.05, 0.2);
  private static final double DROP_G = 0.05 * 0.95;

  /** From the fewest to the most drops that help, one at least. */
  public Range dropRange() {
    return new Range(dropsOf(massG.low()), dropsOf(massG.high()));
  }

  private static int dropsOf(double grams) {
    return (int) Math.max(1, Math.round(grams / DROP_G));
  }

  /**
   * Reckons a dose.
   *
   * @param oilMassG the oil, g, above 0
   * @return nothing for no antioxidant
   * @throws Refused at {@code oilMassG}
   */
  public static Optional<AntioxidantDose> of(Store.Antioxidant antioxidant, double oilMassG) {
    if (!(oilMassG > 0 && oilMassG <= 1_000_000)) {
      throw new Refused("oilMassG", "Above 0 and at most a tonne; " + oilMassG + " g was read.");
    }
    return switch (antioxidant) {
      case NONE -> Optional.empty();
      case VITAMIN_E -> Optional.of(of("Vitamin E", VITAMIN_E_PERCENT, oilMassG));
      case ROSEMARY -> Optional.of(of("Rosemary extract", ROSEMARY_PERCENT, oilMassG));
    };
  }

  private static AntioxidantDose of(String name, Range percent, double oilMassG) {
    Reckoning.Writer lines = Reckoning.writer();
    Range mass = percent.times(oilMassG / 100);
    lines.line(
        name,
        plain(percent.low())
            + "–"
            + plain(percent.high())
            + " % of "
            + plain(oilMassG)
            + " g of oil by weight",
        mass,
        "g",
        Standing.TYPICAL);
    double middle = mass.middle();
    int drops = dropsOf(middle);
    lines.line(
        "Drops",
        plain(middle) + " g ÷ " + plain(DROP_G) + " g a drop",
        drops,
        "",
        Standing.TYPICAL);
    return new AntioxidantDose(mass, middle, drops, lines.done());
  }
}
