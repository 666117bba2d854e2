package velvetcrock.core.measure;

import static velvetcrock.core.Figures.plain;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;

/**
 * An amount as it was read: a weight, a volume, a count, a depth or parts, exact or as a span.
 *
 * @param kind what {@code amount} counts
 * @param amount grams, millilitres, pieces, millimetres or parts, above zero
 * @param loose the same of a thing that lies loose, which can be heaped and packed
 * @param text what was typed, trimmed
 * @param noun what is counted, in the singular; empty for what is no count
 * @param of what it is an amount of, as was typed; empty where nothing was said
 * @param check the same amount as it was said once more in brackets; null where it was not
 */
public record Measure(
    Kind kind,
    Range amount,
    Range loose,
    String text,
    String noun,
    String of,
    @Nullable Measure check) {
  /** Two amounts of one kind that differ by more are two. */
  private static final double AGREES_WITHIN = 0.12;

  /** One that is the same of loose things, counts no pieces and has no check. */
  public Measure(Kind kind, Range amount, String text) {
    this(kind, amount, amount, text, "", "", null);
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
    DEPTH,
    /** Parts of a whole that is told elsewhere. */
    PARTS
  }

  /**
   * The same so many times.
   *
   * @param factor above 0
   * @param said what was said of it
   */
  public Measure times(double factor, String said) {
    return new Measure(kind, amount.times(factor), loose.times(factor), said, noun, of, null);
  }

  /** Whether it is a weight. */
  public boolean isWeight() {
    return kind == Kind.WEIGHT;
  }

  /**
   * Ends where it was said twice in one kind of measure, and the two are not the same.
   *
   * @throws Refused at {@code text} with both
   */
  void refuseIfApart() {
    if (check == null || check.kind != kind) {
      return;
    }
    if (check.amount.low() > amount.high() * (1 + AGREES_WITHIN)
        || check.amount.high() < amount.low() * (1 - AGREES_WITHIN)) {
      String unit = kind == Kind.WEIGHT ? " g" : kind == Kind.VOLUME ? " ml" : "";
      throw new Refused(
          "text",
          "“"
              + text
              + "” says two amounts that are not the same: "
              + plain(Math.round(amount.middle() * 10) / 10.0)
              + unit
              + " and "
              + plain(Math.round(check.amount.middle() * 10) / 10.0)
              + unit
              + ".");
    }
  }
}
