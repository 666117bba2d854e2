package velvetcrock.core.making;

import velvetcrock.core.Range;

/** A kind of product with the hardness it wants (practice). */
public enum Firmness {
  /** Whipped body butter. */
  WHIPPED_BUTTER(7, 15),
  /** Ointment. */
  OINTMENT(8, 11),
  /** Soft salve. */
  SOFT_SALVE(11, 14),
  /** Salve. */
  SALVE(14, 18),
  /** Firm balm. */
  FIRM_BALM(18, 22),
  /** Stick. */
  STICK(22, 27),
  /** Lotion bar. */
  LOTION_BAR(36, 48),
  /** Pomade: oil stiffened with butters and a little wax (typical, between salve and balm). */
  POMADE(13, 19);

  private final Range hardness;

  Firmness(double low, double high) {
    this.hardness = new Range(low, high);
  }

  /** The hardness it may have; its middle is aimed at. */
  public Range hardness() {
    return hardness;
  }
}
