package velvetcrock.core.extraction;

/**
 * Time at the pace of olive oil at 20 °C.
 *
 * @param washDays as broken cells are washed, days
 * @param diffusionDays as the part of the plant lets its own out, days
 */
record Drawn(double washDays, double diffusionDays) {
  static final Drawn NOTHING = new Drawn(0, 0);

  Drawn plus(Drawn other) {
    return new Drawn(washDays + other.washDays, diffusionDays + other.diffusionDays);
  }

  /** The same with the herb moved so much more often. */
  Drawn moved(Agitation agitation) {
    return new Drawn(washDays, diffusionDays * agitation.pace());
  }
}
