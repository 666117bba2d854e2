package velvetcrock.core.heat;

import velvetcrock.core.Range;

/**
 * Ageing hours: how many hours at 20 °C some time at other temperatures is worth, at each of three
 * activation energies. Above 20 °C the lowest energy gives the least, below it the most.
 *
 * @param gentle at 60 kJ/mol, h
 * @param usual at 70 kJ/mol, h
 * @param steep at 80 kJ/mol, h
 */
public record Aged(double gentle, double usual, double steep) {
  /** No time at all. */
  public static final Aged NONE = new Aged(0, 0, 0);

  /** Both after one another. */
  public Aged plus(Aged other) {
    return new Aged(gentle + other.gentle, usual + other.usual, steep + other.steep);
  }

  /** So many times as much. */
  public Aged times(double factor) {
    return new Aged(gentle * factor, usual * factor, steep * factor);
  }

  /** The least of the three to the greatest, h. */
  public Range range() {
    return new Range(
        Math.min(gentle, Math.min(usual, steep)), Math.max(gentle, Math.max(usual, steep)));
  }
}
