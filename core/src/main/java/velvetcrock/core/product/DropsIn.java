package velvetcrock.core.product;

import velvetcrock.core.Refused;

/**
 * So many drops of an essential oil.
 *
 * @param oil key in the catalogue
 * @param count above 0
 */
public record DropsIn(String oil, double count) {
  /** Checks the count. */
  public DropsIn {
    if (oil == null || !(count > 0 && count <= 100_000)) {
      throw new Refused("drops", "Drops are counted from above 0 to 100 000.");
    }
  }
}
