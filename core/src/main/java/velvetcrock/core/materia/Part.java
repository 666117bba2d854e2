package velvetcrock.core.materia;

/** The part of the plant; it decides how the herb packs, drinks oil and keeps. */
public enum Part {
  /** Loose petals and open flowers. */
  FLOWER(12),
  /** Buds and compact flower heads. */
  HEAD(12),
  /** Leaf and flowering tops. */
  LEAF(12),
  /** Root and bark. */
  ROOT(24),
  /** Seed, berry and fruit. */
  SEED(24),
  /** Resin and sticky buds. */
  RESIN(24);

  private final int driedKeepsMonths;

  Part(int driedKeepsMonths) {
    this.driedKeepsMonths = driedKeepsMonths;
  }

  /** Months that the dried herb itself keeps from harvest (typical). */
  public int driedKeepsMonths() {
    return driedKeepsMonths;
  }
}
