package velvetcrock.core.measure;

import velvetcrock.core.Range;

/**
 * An amount as it was read: a weight or a volume, exact or as a range.
 *
 * @param kind whether {@code amount} counts grams or millilitres
 * @param amount grams or millilitres, above zero
 * @param text what was typed, trimmed
 */
public record Measure(Kind kind, Range amount, String text) {

  /** What an amount counts. */
  public enum Kind {
    /** Grams. */
    WEIGHT,
    /** Millilitres. */
    VOLUME
  }

  /** Whether it is a weight. */
  public boolean isWeight() {
    return kind == Kind.WEIGHT;
  }
}
