package velvetcrock.core.moisture;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.stat.regression.SimpleRegression;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Refused;
import velvetcrock.core.Standing;

/**
 * A drying load fitted to its own weighings, by the thin-layer model MR = (m − dm)/(m_fresh − dm) =
 * exp(−k·tⁿ): least squares on ln(−ln MR) against ln t.
 *
 * @param fractions water content at each weighing, wet basis
 * @param k rate, per hourⁿ
 * @param n exponent; 1 where the fit lies outside 0.2 to 5, which no leaf does
 * @param hoursLeft from the last weighing to the target, h; 0 when it is reached
 * @param hoursLeftRange where that falls about four times in five, h
 */
public record DryingCurve(
    List<Double> fractions,
    double k,
    double n,
    double hoursLeft,
    Range hoursLeftRange,
    Reckoning reckoning) {

  private static final double SMALLEST_N = 0.2;
  private static final double LARGEST_N = 5;
  private static final double DRIEST = 0.01;
  private static final double SOONEST_HOURS = 0.01;
  private static final double MAY_RISE = 1.02;

  /** Most weighings that one load may have. */
  public static final int MOST_WEIGHINGS = 1000;

  private static final double LONGEST_HOURS = 24 * 365;
  private static final double EIGHTY_PERCENT = 1.28;
  private static final double LEAST_SPREAD = 0.05;
  private static final double SPREAD_WITHOUT_FIT = 0.25;
  private static final double PRIOR_SPREAD = 0.4;

  /** Ways of drying with the rate that is expected before anything is weighed (practice). */
  public enum Way {
    /** A hung bunch: about three weeks. */
    BUNCH(0.0078),
    /** Spread on a rack: about a week. */
    RACK(0.0234),
    /** A dehydrator at 38 °C: most of a day. */
    DEHYDRATOR(0.218);

    private final double ratePerHour;

    Way(double ratePerHour) {
      this.ratePerHour = ratePerHour;
    }
  }

  /**
   * One weighing.
   *
   * @param hours since the load was begun, h, above 0
   * @param massG weight, g
   */
  public record Weighing(double hours, double massG) {}

  /**
   * Fits the weighings.
   *
   * @param freshMassG weight at the beginning, g
   * @param waterFraction water content at the beginning, wet basis
   * @param targetFraction water content to be reached, below that at the beginning
   * @param weighings in order of time; one at least that shows a loss
   * @throws Refused at {@code weighings[i].massG} for one above fresh, below dry matter or rising
   *     by more than 2 %, and at any other field that cannot be
   */
  public static DryingCurve fit(
      double freshMassG, double waterFraction, double targetFraction, List<Weighing> weighings) {
    double dry = checked(freshMassG, waterFraction, targetFraction, weighings);
    SimpleRegression fit = new SimpleRegression();
    List<Double> fractions = new ArrayList<>();
    for (Weighing weighing : weighings) {
      fractions.add(1 - dry / weighing.massG());
      double ratio = (weighing.massG() - dry) / (freshMassG - dry);
      if (weighing.hours() > 0 && ratio > 0 && ratio < 1) {
        fit.addData(Math.log(weighing.hours()), Math.log(-Math.log(ratio)));
      }
    }
    if (fit.getN() == 0) {
      throw new Refused("weighings", "No weighing shows a loss yet; weigh it again later.");
    }
    boolean fitted = fit.getN() > 1 && fit.getSlope() >= SMALLEST_N && fit.getSlope() <= LARGEST_N;
    double n = fitted ? fit.getSlope() : 1;
    double logK = fitted ? fit.getIntercept() : meanLogRate(weighings, freshMassG, dry);
    double spread = fit.getN() > 2 && fitted ? spread(fit) : SPREAD_WITHOUT_FIT;
    Weighing last = weighings.get(weighings.size() - 1);
    boolean reached = last.massG() <= dry / (1 - targetFraction);
    double end = endHours(freshMassG, dry, targetFraction, logK, n);
    double factor = Math.exp(EIGHTY_PERCENT * spread / n);
    Range left =
        reached
            ? Range.exactly(0)
            : new Range(end / factor - last.hours(), end * factor - last.hours()).atLeast(0);
    double hoursLeft = reached ? 0 : Math.max(0, end - last.hours());

    Reckoning.Writer lines = Reckoning.writer();
    lines.line(
        "Dry matter",
        plain(freshMassG) + " g × (1 − " + plain(waterFraction) + ")",
        dry,
        "g",
        Standing.TYPICAL);
    lines.line(
        "Water at the last weighing",
        "1 − " + plain(dry) + " ÷ " + plain(last.massG()),
        fractions.get(fractions.size() - 1),
        "",
        Standing.MEASURED);
    lines.line(
        "Half of its water had left after",
        fit.getN() + " weighings fitted to exp(−k·tⁿ): (ln 2 ÷ k)^(1/n)",
        Math.pow(Math.log(2) / Math.exp(logK), 1 / n),
        "h",
        Standing.ESTIMATE);
    lines.line("Exponent n", fitted ? "fitted" : "taken as 1", n, "", Standing.ESTIMATE);
    lines.line("Left", "to " + plain(targetFraction) + " water", left, "h", Standing.ESTIMATE);
    return new DryingCurve(
        List.copyOf(fractions), Math.exp(logK), n, hoursLeft, left, lines.done());
  }

  /**
   * Hours that a load takes in all before anything is known of it.
   *
   * @param waterFraction water content at the beginning, wet basis
   * @param targetFraction water content to be reached, below that
   * @throws Refused at {@code waterFraction} or {@code targetFraction}
   */
  public static Range expectedHours(Way way, double waterFraction, double targetFraction) {
    double dry = checked(1, waterFraction, targetFraction, List.of());
    double hours = endHours(1, dry, targetFraction, Math.log(way.ratePerHour), 1);
    double factor = Math.exp(EIGHTY_PERCENT * PRIOR_SPREAD);
    return new Range(hours / factor, hours * factor);
  }

  /**
   * Questions weighings without fitting them.
   *
   * @throws Refused as {@link #fit} does, but for a load that has lost nothing yet
   */
  public static void check(
      double freshMassG, double waterFraction, double targetFraction, List<Weighing> weighings) {
    checked(freshMassG, waterFraction, targetFraction, weighings);
  }

  /** The curve that is expected of a load before anything is known of it, n = 1. */
  public static double expectedMassAt(Way way, double hours, double freshMassG, double dryMatterG) {
    return dryMatterG + (freshMassG - dryMatterG) * Math.exp(-way.ratePerHour * hours);
  }

  /** Weight that the curve expects at a time, g. */
  public double massAt(double hours, double freshMassG, double dryMatterG) {
    return dryMatterG + (freshMassG - dryMatterG) * Math.exp(-k * Math.pow(hours, n));
  }

  private static double checked(
      double freshMassG, double waterFraction, double targetFraction, List<Weighing> weighings) {
    Problems problems = new Problems();
    Moisture.check(problems, "freshMassG", freshMassG);
    Moisture.checkFraction(problems, "waterFraction", waterFraction);
    problems.require(
        targetFraction >= DRIEST && targetFraction < waterFraction,
        "targetFraction",
        "The target lies at 0.01 or above, and below the water it holds now.");
    problems.require(weighings.size() <= MOST_WEIGHINGS, "weighings", "At most 1000 weighings.");
    problems.refuseIfAny();

    double dry = freshMassG * (1 - waterFraction);
    double before = freshMassG;
    double hoursBefore = -1;
    for (int i = 0; i < weighings.size(); i++) {
      Weighing weighing = weighings.get(i);
      String at = "weighings[" + i + "]";
      problems.require(
          (weighing.hours() == 0 || weighing.hours() >= SOONEST_HOURS)
              && weighing.hours() > hoursBefore
              && weighing.hours() <= LONGEST_HOURS,
          at + ".hours",
          "Weighings go forward in time, within a year.");
      String mass = at + ".massG";
      if (!(weighing.massG() <= freshMassG)) {
        problems.add(
            mass,
            "That is above its fresh weight, " + plain(freshMassG) + " g. Is the scale tared?");
      } else if (weighing.massG() <= dry) {
        problems.add(
            mass,
            "That is below its dry matter, "
                + plain(dry)
                + " g. Weigh again, or correct how much water it held.");
      } else if (weighing.massG() > before * MAY_RISE) {
        problems.add(
            mass,
            "It rose from " + plain(before) + " g: nothing gains weight in drying. Weigh again.");
      }
      before = weighing.massG();
      hoursBefore = weighing.hours();
    }
    problems.refuseIfAny();
    return dry;
  }

  /** ln k for n = 1, as the mean over the usable weighings. */
  private static double meanLogRate(List<Weighing> weighings, double fresh, double dry) {
    return weighings.stream()
        .filter(w -> w.hours() > 0 && w.massG() < fresh)
        .mapToDouble(w -> Math.log(-Math.log((w.massG() - dry) / (fresh - dry)) / w.hours()))
        .average()
        .orElseThrow();
  }

  private static double endHours(
      double fresh, double dry, double targetFraction, double logK, double n) {
    double ratio = (dry / (1 - targetFraction) - dry) / (fresh - dry);
    return Math.exp((Math.log(-Math.log(ratio)) - logK) / n);
  }

  private static double spread(SimpleRegression fit) {
    double s = Math.sqrt(fit.getMeanSquareError()) * Math.sqrt(1 + 1.0 / fit.getN());
    return Math.max(LEAST_SPREAD, s);
  }
}
