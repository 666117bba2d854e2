package velvetcrock.core;

import java.util.Arrays;

/** Figures put down in a row, to be read back in the same order. */
public final class FigureRow {
  private static final int FIRST_CAPACITY = 64;

  private double[] figures;
  private int size;
  private int next;

  private FigureRow(double[] figures, int size) {
    this.figures = figures;
    this.size = size;
  }

  /** With nothing in it. */
  public static FigureRow empty() {
    return new FigureRow(new double[FIRST_CAPACITY], 0);
  }

  /** Of figures that were put down before; read from the first. */
  public static FigureRow of(double... figures) {
    return new FigureRow(figures.clone(), figures.length);
  }

  /** Puts figures down. */
  public FigureRow put(double... more) {
    if (size + more.length > figures.length) {
      figures = Arrays.copyOf(figures, Math.max(size + more.length, 2 * size));
    }
    System.arraycopy(more, 0, figures, size, more.length);
    size += more.length;
    return this;
  }

  /** Puts down whether something is so. */
  public FigureRow put(boolean so) {
    return put(so ? 1 : 0);
  }

  /**
   * The next figure.
   *
   * @throws IllegalArgumentException where all were read
   */
  public double next() {
    if (next == size) {
      throw new IllegalArgumentException("All " + size + " figures were read.");
    }
    return figures[next++];
  }

  /** The next figure as a whole number: a count, or milliseconds. */
  public long nextWhole() {
    return (long) next();
  }

  /** Whether that is so. */
  public boolean nextSo() {
    return next() != 0;
  }

  /**
   * Says so where some were not read.
   *
   * @throws IllegalArgumentException then
   */
  public void requireAllRead() {
    if (next < size) {
      throw new IllegalArgumentException((size - next) + " of " + size + " were not read.");
    }
  }

  /** All that were put down. */
  public double[] all() {
    return Arrays.copyOf(figures, size);
  }
}
