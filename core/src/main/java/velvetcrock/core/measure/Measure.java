package velvetcrock.core.measure;

import velvetcrock.core.Range;

/**
 * An amount as it was read: a weight, a volume, a count or a depth, exact or as a range.
 *
 * @param kind what {@code amount} counts
 * @param amount grams, millilitres, pieces or millimetres, above zero
 * @param text what was typed, trimmed
 * @param noun what is counted, in the singular; empty for what is no count
 */
public record Measure(Kind kind, Range amount, String text, String noun) {
  /** One that counts no pieces. */
  public Measure(Kind kind, Range amount, String text) {
    this(kind, amount, text, "");
  }

  /** What an amount counts. */
  public enum Kind {
    /** Grams. */
    WEIGHT,
    /** Millilitres. */
    VOLUME,
    /** Pieces: sticks, cloves, leaves. */
    COUNT,
    /** Depth in a vessel, mm. */
    DEPTH
  }

  /** Whether it is a weight. */
  public boolean isWeight() {
    return kind == Kind.WEIGHT;
  }
}
