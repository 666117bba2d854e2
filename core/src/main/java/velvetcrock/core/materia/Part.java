package velvetcrock.core.materia;

/** The part of the plant; it decides how the herb packs, drinks oil and keeps. */
public enum Part {
  /** Loose petals and open flowers. */
  FLOWER(12),
  /** Buds and compact flower heads. */
  HEAD(12),
  /** Leaf and flowering tops. */
  LEAF(12),
  /** Root. */
  ROOT(24),
  /** Bark. */
  BARK(24),
  /** Seed. */
  SEED(24),
  /** Fruit: berries, pods, peel. */
  FRUIT(24),
  /** Resin and sticky buds. */
  RESIN(24);

  private final int driedKeepsMonths;

  Part(int driedKeepsMonths) {
    this.driedKeepsMonths = driedKeepsMonths;
  }

  /** Whether it lies in lumps rather than in leaves, as it is drawn. */
  public boolean lumpy() {
    return this != FLOWER && this != HEAD && this != LEAF;
  }

  /** Months that the dried herb itself keeps from harvest (typical). */
  public int driedKeepsMonths() {
    return driedKeepsMonths;
  }
}
