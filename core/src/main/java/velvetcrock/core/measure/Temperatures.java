package velvetcrock.core.measure;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;

/** Degrees Celsius and Fahrenheit, computed and as people write them. */
public final class Temperatures {
  /** Absolute zero in °C, below which nothing is read. */
  public static final double ABSOLUTE_ZERO_C = -273.15;

  /** A step of 1 °F, °C. */
  public static final double CELSIUS_A_FAHRENHEIT = 5 / 9.0;

  /** Coldest that is believed of a kitchen, °C. */
  public static final double COLDEST_C = -60;

  /** Hottest that is believed of a kitchen, °C. */
  public static final double HOTTEST_C = 400;

  private static final int LONGEST_TEXT = 80;
  private static final String FIGURES = "([-−]?\\d{1,4}(?:[.,]\\d{1,3})?)";
  private static final Pattern WRITTEN =
      Pattern.compile(
          "(?:about|around|roughly|approx\\.?|ca\\.?|~|≈)?\\s*"
              + FIGURES
              + "(?:\\s*(?:-|–|to)\\s*"
              + FIGURES
              + ")?\\s*(?:°|degrees?|deg\\.?)?\\s*(c|f|celsius|fahrenheit|centigrade)?(?: or so)?",
          Pattern.CASE_INSENSITIVE);
  private static final int SCALE = 3;
  private static final Pattern GAS =
      Pattern.compile(
          "(?:gas(?: mark)?|mark|regulo)\\s*(\\d|1/2|1/4|½|¼)", Pattern.CASE_INSENSITIVE);

  /** What an oven’s gas marks come to, °C (common practice); a dial is right within 10 °C. */
  private static final Map<String, Double> GAS_MARKS =
      Map.ofEntries(
          Map.entry("1/4", 110.0),
          Map.entry("1/2", 120.0),
          Map.entry("1", 140.0),
          Map.entry("2", 150.0),
          Map.entry("3", 165.0),
          Map.entry("4", 180.0),
          Map.entry("5", 190.0),
          Map.entry("6", 200.0),
          Map.entry("7", 220.0),
          Map.entry("8", 230.0),
          Map.entry("9", 240.0));

  private static final double DIAL_WITHIN = 10;

  private static final Pattern DIAL =
      Pattern.compile(
          "(?:(?:an? |the )?(?:crock|slow cooker)[ ,]*)?(?:set )?(?:on |at |to )?(keep warm|warm|low|high)",
          Pattern.CASE_INSENSITIVE);

  /**
   * What the oil in a crock comes to on its settings, °C (practice: <i>warm</i> is often 60–75 in
   * truth; the others as ours is simulated, see {@code Appliance.SLOW_COOKER}).
   */
  private static final Map<String, Range> CROCK =
      Map.of(
          "keep warm", new Range(60, 75),
          "warm", new Range(60, 75),
          "low", new Range(78, 95),
          "high", new Range(92, 120));

  /** What a thermometer shows lies within this of what is typed, °C; a dial does not. */
  private static final double THERMOMETER_WITHIN_C = 8;

  private Temperatures() {}

  /**
   * Reads what a thermometer shows.
   *
   * @param own the scale of what has no letter
   * @return °C
   * @throws Refused at field {@code text} if it is none, or is what a dial says
   */
  public static double shown(String typed, Units.Degrees own) {
    Range read = read(typed, own);
    if (read.high() - read.low() > THERMOMETER_WITHIN_C) {
      throw new Refused(
          "text",
          "“"
              + typed.strip()
              + "” is between "
              + Math.round(read.low())
              + " and "
              + Math.round(read.high())
              + " °C: what a dial says, not a thermometer. Say it as the knob’s setting, or read one.");
    }
    return read.middle();
  }

  /** Degrees Fahrenheit in °C: (F − 32) · 5/9. */
  public static double celsiusOfFahrenheit(double fahrenheit) {
    return (fahrenheit - 32) * 5 / 9;
  }

  /** Degrees Celsius in °F: C · 9/5 + 32. */
  public static double fahrenheitOfCelsius(double celsius) {
    return celsius * 9 / 5 + 32;
  }

  /**
   * Reads a temperature such as {@code 43 C}, {@code 110 °F}, {@code about 43,5}, {@code 40–45 C},
   * {@code gas mark 3}, or a crock on {@code low}.
   *
   * @param own the scale of what has no letter
   * @return °C
   * @throws Refused at field {@code text} if it is none or is outside −60 to 400 °C
   */
  public static Range read(String typed, Units.Degrees own) {
    String text = typed.strip();
    Matcher gas = GAS.matcher(text);
    if (text.length() <= LONGEST_TEXT && gas.matches()) {
      Double celsius = GAS_MARKS.get(gas.group(1).replace("½", "1/2").replace("¼", "1/4"));
      if (celsius != null) {
        return new Range(celsius - DIAL_WITHIN, celsius + DIAL_WITHIN);
      }
    }
    Matcher dial = DIAL.matcher(text);
    if (text.length() <= LONGEST_TEXT && dial.matches()) {
      return CROCK.get(dial.group(1).toLowerCase(Locale.ROOT));
    }
    Matcher matcher = WRITTEN.matcher(text);
    if (text.length() > LONGEST_TEXT || !matcher.matches()) {
      throw new Refused("text", "Write a temperature, such as 43 C or 110 F.");
    }
    boolean fahrenheit =
        matcher.group(SCALE) == null
            ? own == Units.Degrees.FAHRENHEIT
            : Character.toLowerCase(matcher.group(SCALE).charAt(0)) == 'f';
    double low = celsius(matcher.group(1), fahrenheit);
    double high = matcher.group(2) == null ? low : celsius(matcher.group(2), fahrenheit);
    if (low < COLDEST_C || high > HOTTEST_C || high < low) {
      throw new Refused(
          "text",
          "“" + text + "” is outside −60 to 400 °C, or from high to low. Check number and scale.");
    }
    return new Range(low, high);
  }

  private static double celsius(String figures, boolean fahrenheit) {
    double number = Double.parseDouble(figures.replace(',', '.').replace('−', '-'));
    return fahrenheit ? celsiusOfFahrenheit(number) : number;
  }
}
