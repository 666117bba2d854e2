package velvetcrock.core.pot;

import java.util.List;

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

  private static final double PRIOR_WEIGHT = 3;

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
    return tests.stream().mapToDouble(Feel::deltaHardness).sum() / (PRIOR_WEIGHT + tests.size());
  }
}
