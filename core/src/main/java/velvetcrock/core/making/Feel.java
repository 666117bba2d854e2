package velvetcrock.core.making;

import java.util.List;
import velvetcrock.core.Learned;

/** What the spoon test says, and the hardness that would mend it. */
public enum Feel {
  /** Far too soft. */
  FAR_TOO_SOFT(3.5),
  /** A bit soft. */
  A_BIT_SOFT(1.5),
  /** Right. */
  RIGHT(0),
  /** A bit hard. */
  A_BIT_HARD(-1.5),
  /** Far too hard. */
  FAR_TOO_HARD(-3.5);

  /** How far tastes lie apart, as a standard deviation of hardness (typical). */
  private static final double TASTES_APART = 2.7;

  private final double deltaHardness;

  Feel(double deltaHardness) {
    this.deltaHardness = deltaHardness;
  }

  /** Hardness to be added, ΔH. */
  public double deltaHardness() {
    return deltaHardness;
  }

  /**
   * What a household's own wax and taste ask beyond the usual targets, learned from its tests of
   * finished pots: Σ ΔH/(3 + n), so that the first few move it little.
   */
  public static double ownTaste(List<Feel> tests) {
    return learned(tests).mean();
  }

  /** The same with its range and how many tests it knows. */
  public static Learned learned(List<Feel> tests) {
    return Learned.of(0, TASTES_APART, tests.stream().mapToDouble(Feel::deltaHardness).toArray());
  }
}
