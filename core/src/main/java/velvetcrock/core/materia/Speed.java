package velvetcrock.core.materia;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;

/**
 * How fast a herb in an oil gives here, against what is reckoned: it multiplies the pace of slow
 * diffusion. Learned from the household's own jars, by their colour and as they were judged blind.
 *
 * @param factor the expectation
 * @param range where the next jar falls four times in five
 * @param jars the colours of how many of the household's own jars it knows
 * @param trials how many trials that were judged blind
 */
public record Speed(double factor, Range range, int jars, int trials) {
  /** From so many jars and trials on it moves what is reckoned. */
  public static final int MOVES_FROM = 3;

  /** Half or twice as fast is as likely, where nothing was learned. */
  public static final double UNKNOWN_WITHIN = 2;

  /** Nothing is learned. */
  public static final Speed UNKNOWN = unknown(0, 0);

  /** Too few jars and trials to move anything. */
  public static Speed unknown(int jars, int trials) {
    return new Speed(1, new Range(1 / UNKNOWN_WITHIN, UNKNOWN_WITHIN), jars, trials);
  }

  /**
   * What it is the speed of.
   *
   * @param herb its key
   * @param carrier key of the oil
   * @param way how it is drawn; null for what holds however it is drawn
   */
  public record HerbInOil(String herb, Part part, Cut cut, String carrier, @Nullable Method way) {
    /** The same, however it is drawn. */
    public HerbInOil anyWay() {
      return new HerbInOil(herb, part, cut, carrier, null);
    }
  }

  /** Whether it is known well enough to move what is reckoned. */
  public boolean moves() {
    return jars + trials >= MOVES_FROM;
  }

  /** Days that give as much as so many usual ones, no more than the latest. */
  public double days(double usual, double latest) {
    return Math.min(latest, Math.max(1, Math.round(usual / factor)));
  }
}
