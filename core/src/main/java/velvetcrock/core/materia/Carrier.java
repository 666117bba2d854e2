package velvetcrock.core.materia;

/**
 * A carrier oil or fat of the catalogue.
 *
 * @param key lower-case key with hyphens
 * @param name common name
 * @param inci name for a cosmetic label
 * @param density20 g/ml at 20 °C, melted
 * @param meltsC melting point, °C
 * @param viscosity20 mPa·s at 20 °C
 * @param viscosity40 mPa·s at 40 °C
 * @param keepsMonths months unopened, cool and dark
 * @param edible whether it may be eaten
 * @param allergen what a label must name, or empty
 * @param tint colour of the plain oil, as {@code #rrggbb}
 * @param source where the figures come from
 */
public record Carrier(
    String key,
    String name,
    String inci,
    double density20,
    double meltsC,
    double viscosity20,
    double viscosity40,
    int keepsMonths,
    boolean edible,
    String allergen,
    String tint,
    String source) {

  /** Fall of an oil's density with temperature, g/ml per °C (typical of triglycerides). */
  public static final double DENSITY_FALL_PER_C = 0.00067;

  /** Room temperature for which figures without a temperature stand, °C. */
  public static final double ROOM_C = 20;

  /** A carrier that keeps no longer than this is short-lived, months. */
  public static final int SHORT_KEEPING_MONTHS = 8;

  /** Density at a temperature: ρ(t) = ρ20 − 0.00067·(t − 20), g/ml. */
  public double densityAt(double celsius) {
    return density20 - DENSITY_FALL_PER_C * (celsius - ROOM_C);
  }

  /** Whether it is solid at a temperature. */
  public boolean solidAt(double celsius) {
    return celsius < meltsC;
  }

  /** Months that it keeps once opened: 12, or 6 for a short-lived one (typical). */
  public int opensForMonths() {
    return keepsMonths <= SHORT_KEEPING_MONTHS ? 6 : 12;
  }
}
