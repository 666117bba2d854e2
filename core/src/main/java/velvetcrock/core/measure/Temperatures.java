package velvetcrock.core.measure;

/** Degrees Celsius and Fahrenheit. */
public final class Temperatures {
  /** Absolute zero in °C, below which nothing is read. */
  public static final double ABSOLUTE_ZERO_C = -273.15;

  private Temperatures() {}

  /** Degrees Fahrenheit in °C: (F − 32) · 5/9. */
  public static double celsiusOfFahrenheit(double fahrenheit) {
    return (fahrenheit - 32) * 5 / 9;
  }
}
