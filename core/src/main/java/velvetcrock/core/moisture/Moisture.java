package velvetcrock.core.moisture;

import static velvetcrock.core.Figures.plain;

import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;

/**
 * A herb's water and what it weighs at another water content: dm = m·(1 − M), m_t = dm/(1 − M_t).
 *
 * @param dryMatterG dry matter, g
 * @param waterG water, g
 * @param targetMassG weight at the target content, g
 */
public record Moisture(double dryMatterG, double waterG, double targetMassG, Reckoning reckoning) {
  /** Most water that a living plant holds, wet basis. */
  public static final double WETTEST = 0.97;

  /** Water up to which it is bound in the herb and does not go into the oil, wet basis. */
  public static final double BOUND = 0.12;

  private static final double LIGHTEST_G = 0.001;
  private static final double HEAVIEST_G = 1_000_000;

  /**
   * Reckons both.
   *
   * @param massG weight now, g, above 0
   * @param waterFraction water content now, wet basis, 0–0.97
   * @param targetFraction water content wanted, wet basis, 0–0.97
   * @throws velvetcrock.core.Refused at the field that cannot be
   */
  public static Moisture of(double massG, double waterFraction, double targetFraction) {
    Problems problems = new Problems();
    check(problems, "massG", massG);
    checkFraction(problems, "waterFraction", waterFraction);
    checkFraction(problems, "targetFraction", targetFraction);
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    double dry =
        lines.line(
            "Dry matter",
            plain(massG) + " g × (1 − " + plain(waterFraction) + ")",
            massG * (1 - waterFraction),
            "g",
            Standing.STANDARD);
    double water =
        lines.line(
            "Water",
            plain(massG) + " g × " + plain(waterFraction),
            massG * waterFraction,
            "g",
            Standing.STANDARD);
    double target =
        lines.line(
            "Weight at the target",
            plain(dry) + " g ÷ (1 − " + plain(targetFraction) + ")",
            dry / (1 - targetFraction),
            "g",
            Standing.STANDARD);
    return new Moisture(dry, water, target, lines.done());
  }

  /**
   * Water content from a weighing: M = 1 − dm/m.
   *
   * @param dryMatterG dry matter, g, above 0
   * @param massG weight, g, at least the dry matter
   * @throws velvetcrock.core.Refused at {@code massG}
   */
  public static double fractionOf(double dryMatterG, double massG) {
    Problems problems = new Problems();
    problems.require(
        dryMatterG > 0 && massG >= dryMatterG && massG <= HEAVIEST_G,
        "massG",
        () -> "It weighs at least its dry matter, " + plain(dryMatterG) + " g.");
    problems.refuseIfAny();
    return 1 - dryMatterG / massG;
  }

  /**
   * Water that can go into the oil, and has to leave a pot of it before it counts as driven dry:
   * m·(M − 0.12)/0.88, the share 1 − (1 − M)·0.12/(0.88·M) of all its water.
   *
   * @param massG m, g
   * @param waterFraction M, wet basis
   * @return g; 0 where M is 0.12 or less
   */
  public static double freeWaterG(double massG, double waterFraction) {
    return Math.max(0, massG * (waterFraction - BOUND) / (1 - BOUND));
  }

  /**
   * Water that a herb drier than it need be still binds before any goes into the oil.
   *
   * @param massG m, g
   * @param waterFraction M, wet basis
   * @return g; 0 where M is 0.12 or more
   */
  public static double canBindG(double massG, double waterFraction) {
    return Math.max(0, massG * (BOUND - waterFraction) / (1 - BOUND));
  }

  /**
   * Water content of a herb that has been rinsed: what clings to the leaf counts as its water.
   *
   * @param dryG weight before rinsing, g
   * @param waterFraction its water then, wet basis
   * @param wetG weight after rinsing, g, not below {@code dryG}
   * @return wet basis
   * @throws velvetcrock.core.Refused at {@code dryG} if it got lighter or swims in water
   */
  public static double rinsed(double dryG, double waterFraction, double wetG) {
    Problems problems = new Problems();
    check(problems, "dryG", dryG);
    checkFraction(problems, "waterFraction", waterFraction);
    problems.require(
        wetG >= dryG,
        "dryG",
        () -> "Rinsing makes it heavier: " + plain(wetG) + " g after it was read.");
    problems.refuseIfAny();
    double fraction = 1 - dryG * (1 - waterFraction) / wetG;
    problems.require(
        fraction <= WETTEST,
        "dryG",
        () ->
            "More than "
                + plain(wetG - dryG)
                + " g of water cannot cling to it. Shake it dry first.");
    problems.refuseIfAny();
    return fraction;
  }

  static void check(Problems problems, String field, double massG) {
    problems.require(
        massG >= LIGHTEST_G && massG <= HEAVIEST_G,
        field,
        () -> "A weight is above 0 and at most a tonne; " + massG + " g was read.");
  }

  static void checkFraction(Problems problems, String field, double fraction) {
    problems.require(
        fraction >= 0 && fraction <= WETTEST,
        field,
        () -> "Water is a share between 0 and 0.97; " + fraction + " was read.");
  }
}
