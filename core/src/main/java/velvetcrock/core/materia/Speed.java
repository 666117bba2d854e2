package velvetcrock.core.materia;

import velvetcrock.core.Range;

/**
 * How fast a herb in an oil gives here, against what is reckoned: it multiplies the pace of slow
 * diffusion. Learned from the household's own jars.
 *
 * @param factor the expectation
 * @param range where the next jar falls four times in five
 * @param jars how many of the household's own jars it knows
 */
public record Speed(double factor, Range range, int jars) {
  /** From so many jars on it moves what is reckoned. */
  public static final int MOVES_FROM = 3;

  /** Half or twice as fast is as likely, where nothing was learned. */
  public static final double UNKNOWN_WITHIN = 2;

  /** Nothing is learned. */
  public static final Speed UNKNOWN = unknown(0);

  /** Too few jars to move anything. */
  public static Speed unknown(int jars) {
    return new Speed(1, new Range(1 / UNKNOWN_WITHIN, UNKNOWN_WITHIN), jars);
  }

  /**
   * What it is the speed of.
   *
   * @param herb its key
   * @param carrier key of the oil
   */
  public record HerbInOil(String herb, Part part, Cut cut, String carrier) {}

  /** Whether it is known well enough to move what is reckoned. */
  public boolean moves() {
    return jars >= MOVES_FROM;
  }

  /** Days that give as much as so many usual ones, no more than the latest. */
  public double days(double usual, double latest) {
    return Math.min(latest, Math.max(1, Math.round(usual / factor)));
  }
}
