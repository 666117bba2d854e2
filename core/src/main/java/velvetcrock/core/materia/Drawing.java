package velvetcrock.core.materia;

/** How a herb likes to be drawn. */
public enum Drawing {
  /** Without heat: what is wanted of it flies off. */
  COOL(60),
  /** With gentle warmth: what is wanted of it dissolves slowly. */
  WARM(90),
  /** Either way. */
  ANY(90);

  private final double ceilingC;

  Drawing(double ceilingC) {
    this.ceilingC = ceilingC;
  }

  /** Oil temperature above which the herb suffers, °C (practice). */
  public double ceilingC() {
    return ceilingC;
  }
}
