package velvetcrock.core;

import java.util.ArrayList;
import java.util.List;

/**
 * The lines that led to a result, in the order in which a person would work them out.
 *
 * @param lines the steps; copied
 */
public record Reckoning(List<Line> lines) {

  /** Copies the lines. */
  public Reckoning {
    lines = List.copyOf(lines);
  }

  /**
   * One step.
   *
   * @param name what was found, as the craft calls it
   * @param how the formula in words, with its figures
   * @param value the result
   * @param unit the unit of {@code value}; empty for a bare number
   * @param standing what the figure is worth
   */
  public record Line(String name, String how, Range value, String unit, Standing standing) {}

  /** An empty list of lines to write on. */
  public static Writer writer() {
    return new Writer();
  }

  /** Collects lines while a result is worked out. */
  public static final class Writer {
    private final List<Line> lines = new ArrayList<>();

    private Writer() {}

    /** Writes one step with an exact value and hands the value back. */
    public double line(String name, String how, double value, String unit, Standing standing) {
      lines.add(new Line(name, how, Range.exactly(value), unit, standing));
      return value;
    }

    /** Writes one step whose value is a range and hands the range back. */
    public Range line(String name, String how, Range value, String unit, Standing standing) {
      lines.add(new Line(name, how, value, unit, standing));
      return value;
    }

    /** Everything written so far. */
    public Reckoning done() {
      return new Reckoning(lines);
    }
  }
}
