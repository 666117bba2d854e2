package velvetcrock.core.charge;

/**
 * How a charge goes into a jar.
 *
 * @param covers whether the oil fills the gaps and covers the herb
 * @param fits whether herb and oil stay under the fill line; false without a jar
 */
public record Fit(boolean covers, boolean fits) {
  /** Covered and under the fill line. */
  public boolean holds() {
    return covers && fits;
  }
}
