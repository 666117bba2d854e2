package velvetcrock.core.spirit;

import static velvetcrock.core.Figures.plain;

import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;

/**
 * Herb dampened with spirit before the oil.
 *
 * @param spiritMassG spirit, g
 * @param spiritMl spirit at 20 °C, ml
 * @param ethanolMassG ethanol in it, g
 * @param waterMassG water in it, g
 * @param waterPercentOfOil that water as a share of the oil's weight, %
 * @param mustLeaveG weight that has to leave: 0.95·ethanol + 0.90·water, g
 */
public record SpiritStep(
    double spiritMassG,
    double spiritMl,
    double ethanolMassG,
    double waterMassG,
    double waterPercentOfOil,
    double mustLeaveG,
    Reckoning reckoning) {

  /** Rest of the dampened herb, h: earliest, usual and latest (practice: 12–24). */
  public static final double EARLIEST_HOURS = 8;

  /** Rest after which the oil usually may follow, h. */
  public static final double SOONEST_USUAL_HOURS = 12;

  /** Usual rest, h. */
  public static final double USUAL_HOURS = 24;

  /** Latest end of the rest, h. */
  public static final double LATEST_HOURS = 48;

  /** Strength under which a spirit brings far too much water, % vol. */
  public static final double WEAK_ABV = 60;

  /** Usual dose, g of spirit per g of herb. */
  public static final double USUAL_DOSE = 0.5;

  /** Strength where nobody says which, % vol (practice: the strongest that is sold). */
  public static final double USUAL_ABV = 96;

  private static final double ETHANOL_LEAVES = 0.95;
  private static final double WATER_LEAVES = 0.90;

  /**
   * Reckons the step.
   *
   * @param herbMassG dried ground herb, g
   * @param dose g of spirit per g of herb, 0.25–1
   * @param abvPercent strength, % vol, 20–100
   * @param oilMassG oil that follows, g
   * @throws velvetcrock.core.Refused at the field that cannot be
   */
  public static SpiritStep of(double herbMassG, double dose, double abvPercent, double oilMassG) {
    Problems problems = new Problems();
    problems.require(
        herbMassG >= 0.001 && herbMassG <= 100_000,
        "herbMassG",
        "The herb weighs more than nothing and at most 100 kg.");
    problems.require(
        dose >= 0.25 && dose <= 1, "dose", "Between 0.25 and 1 g of spirit per g of herb.");
    problems.require(
        abvPercent >= 20 && abvPercent <= 100, "abvPercent", "Between 20 and 100 % vol.");
    problems.require(
        oilMassG >= 0.001 && oilMassG <= 100_000,
        "oilMassG",
        "The oil weighs more than nothing and at most 100 kg.");
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    double spirit =
        lines.line(
            "Spirit",
            plain(herbMassG) + " g × " + plain(dose),
            herbMassG * dose,
            "g",
            Standing.STANDARD);
    return of(spirit, abvPercent, oilMassG, lines);
  }

  /**
   * Reckons the step with spirit that was weighed, whatever dose it comes to.
   *
   * @param spiritMassG spirit, g, above 0
   * @param abvPercent strength, % vol, 20–100
   * @param oilMassG oil that follows, g, above 0
   */
  public static SpiritStep weighed(double spiritMassG, double abvPercent, double oilMassG) {
    Reckoning.Writer lines = Reckoning.writer();
    double spirit = lines.line("Spirit", "as weighed", spiritMassG, "g", Standing.MEASURED);
    return of(spirit, abvPercent, oilMassG, lines);
  }

  /**
   * Its water that the herb does not bind, % of the oil's weight.
   *
   * @param canBindG what the herb binds, g
   */
  public double loosePercentOfOil(double canBindG) {
    return waterMassG <= 0
        ? 0
        : waterPercentOfOil * Math.max(0, waterMassG - canBindG) / waterMassG;
  }

  private static SpiritStep of(
      double spirit, double abvPercent, double oilMassG, Reckoning.Writer lines) {
    double density = EthanolWater.density(abvPercent);
    double ml =
        lines.line(
            "By volume",
            plain(spirit) + " g ÷ " + plain(density) + " g/ml",
            spirit / density,
            "ml",
            Standing.STANDARD);
    double fraction =
        lines.line(
            "Ethanol by weight",
            plain(abvPercent) + " % vol × 0.789 ÷ " + plain(density),
            EthanolWater.massFraction(abvPercent),
            "g/g",
            Standing.STANDARD);
    double ethanol =
        lines.line(
            "Ethanol",
            plain(spirit) + " g × " + plain(fraction),
            spirit * fraction,
            "g",
            Standing.STANDARD);
    double water =
        lines.line(
            "Water",
            plain(spirit) + " − " + plain(ethanol) + " g",
            spirit - ethanol,
            "g",
            Standing.STANDARD);
    double percent =
        lines.line(
            "Water in the oil",
            "of " + plain(oilMassG) + " g",
            100 * water / oilMassG,
            "%",
            Standing.STANDARD);
    double leave =
        lines.line(
            "Has to leave",
            "0.95 of the ethanol and 0.90 of the water",
            ETHANOL_LEAVES * ethanol + WATER_LEAVES * water,
            "g",
            Standing.TYPICAL);
    return new SpiritStep(spirit, ml, ethanol, water, percent, leave, lines.done());
  }
}
