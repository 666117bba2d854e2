package velvetcrock.core.materia;

/**
 * A carrier oil or fat of the catalogue.
 *
 * @param key lower-case key with hyphens
 * @param name common name
 * @param inci name for a cosmetic label
 * @param body how heavy and how thick it is
 * @param keepsMonths months unopened, cool and dark
 * @param edible whether it may be eaten
 * @param allergen what a label must name, or empty
 * @param hardness its part in the hardness of a balm; 0 for a liquid oil
 * @param nature how it is on the skin and what it is taken for
 * @param tint colour of the plain oil, as {@code #rrggbb}
 * @param source where the figures come from
 */
public record Carrier(
    String key,
    String name,
    String inci,
    Body body,
    int keepsMonths,
    boolean edible,
    String allergen,
    double hardness,
    Nature nature,
    String tint,
    String source) {

  /**
   * How heavy and how thick it is.
   *
   * @param density20 g/ml at 20 °C, melted
   * @param meltsC melting point, °C
   * @param viscosity20 mPa·s at 20 °C
   * @param viscosity40 mPa·s at 40 °C
   * @param molarG mass of a mole, g
   * @param meltingKj heat of melting of what is solid in a room, kJ/mol; 0 for a liquid oil
   */
  public record Body(
      double density20,
      double meltsC,
      double viscosity20,
      double viscosity40,
      double molarG,
      double meltingKj) {}

  /**
   * How it is on the skin and what it is taken for.
   *
   * @param feel how it feels on the skin
   * @param absorption how fast the skin takes it up: fast, medium or slow
   * @param smell what it smells of by itself
   * @param make raw or refined, as it is usually bought
   * @param chosenFor what people choose it for
   */
  public record Nature(
      String feel, String absorption, String smell, String make, String chosenFor) {}

  /** Fall of an oil's density with temperature, g/ml per °C (typical of triglycerides). */
  public static final double DENSITY_FALL_PER_C = 0.00067;

  /** Room temperature for which figures without a temperature stand, °C. */
  public static final double ROOM_C = 20;

  /** 0 °C in K. */
  public static final double KELVIN = 273.15;

  /** What is added to °C for T − 145 K of Vogel’s form. */
  public static final double VOGEL = KELVIN - 145;

  /** A carrier that keeps no longer than this is short-lived, months. */
  public static final int SHORT_KEEPING_MONTHS = 8;

  /** Density at a temperature: ρ(t) = ρ20 − 0.00067·(t − 20), g/ml. */
  public double densityAt(double celsius) {
    return body.density20() - DENSITY_FALL_PER_C * (celsius - ROOM_C);
  }

  /** The same, by so much as thick at every temperature. */
  public Carrier thinned(double factor) {
    return new Carrier(
        key,
        name,
        inci,
        new Body(
            body.density20(),
            body.meltsC(),
            body.viscosity20() * factor,
            body.viscosity40() * factor,
            body.molarG(),
            body.meltingKj()),
        keepsMonths,
        edible,
        allergen,
        hardness,
        nature,
        tint,
        source);
  }

  /** Whether it is solid at a temperature. */
  public boolean solidAt(double celsius) {
    return celsius < body.meltsC();
  }

  /**
   * Viscosity at a temperature: Vogel’s form ln η = A + B/(T − 145 K) through the values at 20 and
   * 40 °C, mPa·s.
   *
   * @param celsius above −128 °C, where the form ends
   */
  public double viscosityAt(double celsius) {
    return Math.exp(logViscosityAt(celsius));
  }

  /** Natural logarithm of the viscosity in mPa·s. */
  public double logViscosityAt(double celsius) {
    return viscosityIntercept() + viscositySlope() / (celsius + VOGEL);
  }

  /** B of ln η = A + B/(T − 145 K), K. */
  public double viscositySlope() {
    return Math.log(body.viscosity20() / body.viscosity40())
        / (1 / (20 + VOGEL) - 1 / (40 + VOGEL));
  }

  /** A of ln η = A + B/(T − 145 K). */
  public double viscosityIntercept() {
    return Math.log(body.viscosity20()) - viscositySlope() / (20 + VOGEL);
  }

  /** Months that it keeps once opened: 12, or 6 for a short-lived one (typical). */
  public int opensForMonths() {
    return shortLived() ? 6 : 12;
  }

  /** Whether it turns rancid soon: it keeps 8 months or less unopened. */
  public boolean shortLived() {
    return keepsMonths <= SHORT_KEEPING_MONTHS;
  }
}
