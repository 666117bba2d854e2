package velvetcrock.core.measure;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Refused;

/** Degrees Celsius and Fahrenheit, computed and as people write them. */
public final class Temperatures {
  /** Absolute zero in °C, below which nothing is read. */
  public static final double ABSOLUTE_ZERO_C = -273.15;

  /** Coldest that is believed of a kitchen, °C. */
  public static final double COLDEST_C = -60;

  /** Hottest that is believed of a kitchen, °C. */
  public static final double HOTTEST_C = 400;

  private static final int LONGEST_TEXT = 80;
  private static final Pattern WRITTEN =
      Pattern.compile(
          "([-−]?\\d{1,4}(?:[.,]\\d{1,3})?)\\s*(?:°|degrees?|deg)?\\s*(c|f|celsius|fahrenheit)",
          Pattern.CASE_INSENSITIVE);

  private Temperatures() {}

  /** Degrees Fahrenheit in °C: (F − 32) · 5/9. */
  public static double celsiusOfFahrenheit(double fahrenheit) {
    return (fahrenheit - 32) * 5 / 9;
  }

  /** Degrees Celsius in °F: C · 9/5 + 32. */
  public static double fahrenheitOfCelsius(double celsius) {
    return celsius * 9 / 5 + 32;
  }

  /**
   * Reads a temperature such as {@code 43 C}, {@code 110 °F} or {@code 43,5 celsius}.
   *
   * @return °C
   * @throws Refused at field {@code text} if it is none, names no scale, or is outside −60 to 400
   *     °C
   */
  public static double read(String typed) {
    Matcher matcher = WRITTEN.matcher(typed.strip());
    if (typed.length() > LONGEST_TEXT || !matcher.matches()) {
      throw new Refused("text", "Write a temperature with its scale, such as 43 C or 110 F.");
    }
    double number = Double.parseDouble(matcher.group(1).replace(',', '.').replace('−', '-'));
    char scale = Character.toLowerCase(matcher.group(2).charAt(0));
    double celsius = scale == 'f' ? celsiusOfFahrenheit(number) : number;
    if (celsius < COLDEST_C || celsius > HOTTEST_C) {
      throw new Refused(
          "text", "“" + typed.strip() + "” is outside −60 to 400 °C. Check number and scale.");
    }
    return celsius;
  }
}
