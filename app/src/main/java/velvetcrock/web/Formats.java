package velvetcrock.web;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.measure.CookWords;
import velvetcrock.core.measure.CustomaryWords;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Quantity;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.core.measure.Units;

/**
 * Writes figures and dates the way one household reads them: its kitchen measures beside the metric
 * ones, its time zone, no more digits than anybody can weigh.
 */
public final class Formats {
  /** Below this many hours people count in hours, above it in days. */
  private static final Pattern ISO_DATE = Pattern.compile("(?<![“\\w-])\\d{4}-\\d{2}-\\d{2}\\b");

  private static final double HOURS_IN_HOURS = 48;

  private static final double HOURS_A_DAY = 24;

  /** A span narrower than this, as a share, is one figure. */
  private static final double SAME_WITHIN = 1e-3;

  /** So many steps of its last digit lie in a span at least. */
  private static final double STEPS_IN_A_SPAN = 5;

  private static final double SMALL = 1;
  private static final double LEAST_SPOON_ML = 0.6;
  private static final double MM_A_CM = 10;
  private static final double MM_AN_INCH = 25.4;
  private static final double IN_HUNDREDTHS = 10;
  private static final Map<String, String> KILOS = Map.of(" ml", " l", " g", " kg");
  private static final double KILO = 1000;

  private final Units units;
  private final Customs customs;
  private final DateWords dates;
  private final ZoneId zone;
  private final Instant now;
  private final LocalDate today;

  /** Formats for one household on one day, from its midnight. */
  public Formats(Kitchen kitchen, ZoneId zone, LocalDate today) {
    this(kitchen, zone, today.atStartOfDay(zone).toInstant());
  }

  /** Formats for one household at a moment, as all were before each thing could be chosen. */
  public Formats(Kitchen kitchen, ZoneId zone, Instant now) {
    this(Units.former(kitchen), Customs.FORMER, zone, now);
  }

  /** Formats for one household at a moment. */
  public Formats(Units units, Customs customs, ZoneId zone, Instant now) {
    this.units = units;
    this.customs = customs;
    this.dates = DateWords.of(customs);
    this.zone = zone;
    this.now = now;
    this.today = LocalDate.ofInstant(now, zone);
  }

  /** In what it reads amounts. */
  public Units units() {
    return units;
  }

  /** How it writes dates and money, and on what it prints. */
  public Customs customs() {
    return customs;
  }

  /** The moment they are for. */
  public Instant now() {
    return now;
  }

  /** The day it is, in the household. */
  public LocalDate today() {
    return today;
  }

  /** The household's time zone. */
  public ZoneId zone() {
    return zone;
  }

  /** A volume, such as {@code 300 ml} or {@code 1.2 l}, in steps that a jug shows. */
  public String ml(double ml) {
    if (inCups()) {
      return ml < LEAST_SPOON_ML
          ? CookWords.of(Range.exactly(ml), units.kitchen())
          : CookWords.of(ml, units.kitchen());
    }
    return ml >= KILO ? number(ml / KILO, 2) + " l" : number(ml, ml < 10 ? 1 : 0) + " ml";
  }

  /** A volume as a range, or one figure where it is one. */
  public String ml(Range ml) {
    if (inCups()) {
      return same(ml) ? ml(ml.middle()) : CookWords.of(ml, units.kitchen());
    }
    return span(ml, ml(ml.middle()), " ml");
  }

  /** A volume in the household's cups and spoons; empty in a metric kitchen. */
  public String cups(double ml) {
    return inCups() || units.kitchen() == Kitchen.METRIC ? "" : CookWords.of(ml, units.kitchen());
  }

  /** A volume with the household's cups behind it. */
  public String volume(double ml) {
    String cups = cups(ml);
    return cups.isEmpty() ? ml(ml) : ml(ml) + " (" + cups + ")";
  }

  /** A weight, such as {@code 60 g}. */
  public String g(double grams) {
    if (inOunces()) {
      return CustomaryWords.ofGrams(grams);
    }
    return grams >= KILO
        ? number(grams / KILO, 2) + " kg"
        : number(grams, grams < 20 ? 1 : 0) + " g";
  }

  /**
   * A weight to the gram, however heavy: of vessel and all, where what counts is the difference.
   */
  public String gram(double grams) {
    return inOunces() ? CustomaryWords.closely(grams) : number(grams, 0) + " g";
  }

  /** A weight as a range, or one figure where it is one. */
  public String g(Range grams) {
    if (inOunces()) {
      return same(grams) ? g(grams.middle()) : CustomaryWords.ofGrams(grams);
    }
    return span(grams, g(grams.middle()), " g");
  }

  /** A length, mm. */
  public String mm(double mm) {
    return inInches() ? CustomaryWords.ofMm(mm) : number(mm, 0) + " mm";
  }

  /** A weight to be typed back: hundredths below 10 g, tenths from there on. */
  public String typedG(double grams) {
    return inOunces()
        ? CustomaryWords.closely(grams)
        : number(grams, grams < IN_HUNDREDTHS ? 2 : 1) + " g";
  }

  /** A volume to be typed back: to the millilitre, or the tenth of a fluid ounce. */
  public String typedMl(double ml) {
    return inCups() ? CustomaryWords.ofMl(ml, units.kitchen()) : number(ml, 0) + " ml";
  }

  /** What is in a vessel, as its label tells it. */
  public String contents(double ml) {
    String other = other().label(ml);
    return customs.contents() == Customs.Contents.BOTH ? label(ml) + " (" + other + ")" : label(ml);
  }

  private String label(double ml) {
    return inCups() ? CustomaryWords.ofMl(ml, units.kitchen()) : ml(ml);
  }

  /** What is proposed in a field: one of two texts, by what so much is read in. */
  public String proposed(Quantity quantity, String metric, String customary) {
    return units.metric(quantity) ? metric : customary;
  }

  /** What a small vessel holds that is proposed. */
  public String usualVessel() {
    return proposed(Quantity.VOLUME, "30 ml", "1 fl oz");
  }

  /** A length of a hand or more, mm: in cm, or in inches. */
  public String cm(double mm) {
    return inInches() ? CustomaryWords.ofMm(mm) : number(mm / MM_A_CM, 1) + " cm";
  }

  /** A length of a hand or more, mm, as a bare figure for a field that shows its unit. */
  public String large(double mm) {
    return inInches() ? number(Math.round(mm / MM_AN_INCH * 2) / 2.0, 1) : number(mm / MM_A_CM, 1);
  }

  /** A length as a range, or one figure where it is one. */
  public String mm(Range mm) {
    return inInches() ? CustomaryWords.ofMm(mm) : span(mm, mm(mm.middle()), " mm");
  }

  private boolean inCups() {
    return units.volumes() == Units.Volumes.CUPS;
  }

  private boolean inOunces() {
    return units.weights() == Units.Weights.OUNCES;
  }

  private boolean inInches() {
    return units.lengths() == Units.Lengths.INCHES;
  }

  private static boolean same(Range range) {
    return range.high() - range.low() < SAME_WITHIN * range.high();
  }

  /** The middle of a weight with no more digits than its width bears. */
  public String aboutG(Range grams) {
    double width = grams.high() - grams.low();
    return inOunces() || same(grams) || grams.high() >= KILO
        ? g(grams.middle())
        : number(grams.middle(), width > STEPS_IN_A_SPAN / 2 ? 0 : 1) + " g";
  }

  /** Two ends with no more digits than their distance bears; one figure where they are one. */
  private String span(Range range, String one, String unit) {
    if (same(range)) {
      return one;
    }
    String kilo = KILOS.get(unit);
    if (kilo != null && range.high() >= KILO) {
      return span(range.times(1 / KILO), one, kilo, 2);
    }
    return span(range, one, unit, range.high() < SMALL ? 2 : 1);
  }

  private String span(Range range, String one, String unit, int mostDecimals) {
    double width = range.high() - range.low();
    int digits = (int) Math.floor(Math.log10(width / STEPS_IN_A_SPAN));
    int decimals = Math.max(0, Math.min(mostDecimals, -digits));
    double step = Math.pow(10, Math.max(0, digits));
    String low = number(Math.round(range.low() / step) * step, 0);
    String high = number(Math.round(range.high() / step) * step, 0);
    if (decimals > 0) {
      low = number(range.low(), decimals);
      high = number(range.high(), decimals);
    }
    return low.equals(high) ? one : low + "–" + high + unit;
  }

  /**
   * A finished text whose figures are in g, ml, mm and °C, in the household's own units and
   * spelling. What stands between quotation marks was typed, and stays.
   */
  public String own(String text) {
    return new OwnWords(this).text(text);
  }

  /** A figure with its unit. */
  public String figure(Quantity quantity, Range amount) {
    return switch (quantity) {
      case WEIGHT -> g(amount);
      case VOLUME -> ml(amount);
      case LENGTH -> mm(amount);
      case TEMPERATURE -> degrees(amount);
      case WARMER -> warmer(amount);
    };
  }

  private String warmer(Range celsius) {
    double step = inFahrenheit() ? Temperatures.CELSIUS_A_FAHRENHEIT : 1;
    String low = number(celsius.low() / step, 0);
    String high = number(celsius.high() / step, 0);
    return (low.equals(high) ? high : low + "–" + high) + " " + degreeUnit();
  }

  /** The same household with each thing in the other system. */
  Formats other() {
    return new Formats(units.other(), customs, zone, now);
  }

  /** A temperature in the household's degrees. */
  public String degrees(double celsius) {
    return number(inDegrees(celsius), 0) + " " + degreeUnit();
  }

  /** A temperature as a bare figure in the household's degrees. */
  public double inDegrees(double celsius) {
    return inFahrenheit() ? Temperatures.fahrenheitOfCelsius(celsius) : celsius;
  }

  /** The household's degrees: {@code °C} or {@code °F}. */
  public String degreeUnit() {
    return inFahrenheit() ? "°F" : "°C";
  }

  private boolean inFahrenheit() {
    return units.degrees() == Units.Degrees.FAHRENHEIT;
  }

  /** Two temperatures as a span, such as {@code 38–50 °C}. */
  public String degrees(double lowC, double highC) {
    return number(inDegrees(lowC), 0) + "–" + degrees(highC);
  }

  /** Hours and minutes, such as {@code 2 h 10 min}. */
  public String time(double hours) {
    long minutes = Math.max(0, Math.round(hours * 60));
    if (minutes >= 48 * 60) {
      return days(Math.round(hours / HOURS_A_DAY));
    }
    String rest = minutes % 60 + " min";
    return minutes < 60 ? rest : minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + rest);
  }

  /** A ratio's second half, such as {@code 5.5}. */
  public String ratio(double oilPerHerb) {
    return "1 : " + number(oilPerHerb, oilPerHerb < 20 ? 1 : 0);
  }

  /** A pull that is planned: in words, then as a share. */
  public String pull(double pull) {
    return Pull.Strength.of(pull).words() + ", about " + percent(pull);
  }

  /** A pull with its width: in words, then as a share, then between what. */
  public String pull(Pull pull) {
    if (pull.range().high() == 0) {
      return "none";
    }
    String low = number(100 * pull.range().low(), 0);
    String high = percent(pull.range().high());
    return high.equals(low + " %")
        ? pull(pull.pull())
        : pull(pull.pull()) + " (" + low + "–" + high + ")";
  }

  /** A share as a whole percentage, such as {@code 82 %}. */
  public String percent(double share) {
    return number(share * 100, 0) + " %";
  }

  /** A bare number with at most so many decimals and no needless zeros. */
  public String number(double value, int decimals) {
    return Figured.plain(value, decimals);
  }

  /** Money of which hundredths are given, with its currency where the household has said one. */
  public String money(double minor) {
    return Figured.money(minor, customs);
  }

  /** So many of something, in the singular or the plural. */
  public String count(long count, String one, String other) {
    return count + " " + (Figured.one(count) ? one : other);
  }

  /**
   * The value of a reckoning's line with its unit; in the household's unit too where it is other.
   */
  public String value(Reckoning.Line line) {
    Range value = line.value();
    String figures =
        value.exact() ? figure(value.low()) : figure(value.low()) + "–" + figure(value.high());
    String metric = line.unit().isEmpty() ? figures : figures + " " + line.unit();
    String own =
        switch (line.unit()) {
          case "g" -> inOunces() && value.low() > 0 ? g(value) : "";
          case "ml" -> inCups() && value.low() > 0 ? ml(value) : "";
          case "mm" -> inInches() && value.low() > 0 ? mm(value) : "";
          case "°C" -> inFahrenheit() ? degrees(value) : "";
          default -> "";
        };
    return own.isEmpty() ? metric : own + " (" + metric + ")";
  }

  private String degrees(Range celsius) {
    return celsius.exact() ? degrees(celsius.low()) : degrees(celsius.low(), celsius.high());
  }

  private String figure(double value) {
    double size = Math.abs(value);
    return number(value, size >= 100 ? 0 : size >= 10 ? 1 : 2);
  }

  /** A date, with its year where that is not this year. */
  public String date(LocalDate date) {
    return date.getYear() == today.getYear() ? dates.day(date) : dates.full(date);
  }

  /** A date with its year, as on a label. */
  public String fullDate(LocalDate date) {
    return dates.full(date);
  }

  /**
   * A text with the dates in it as this house writes them, as {@link #fullDate} does. What somebody
   * typed is quoted as it was, and what is no date stays.
   */
  public String dated(String text) {
    return ISO_DATE
        .matcher(text)
        .replaceAll(found -> Matcher.quoteReplacement(datedOrSo(found.group())));
  }

  private String datedOrSo(String written) {
    try {
      return fullDate(LocalDate.parse(written));
    } catch (DateTimeParseException noDate) {
      return written;
    }
  }

  /** A month with its year, such as {@code May 2027}. */
  public String month(LocalDate date) {
    return dates.month(date);
  }

  /** A date in short, such as {@code 5 Dec}; with its year where that is not this year. */
  public String shortDate(LocalDate date) {
    return date.getYear() == today.getYear() ? dates.brief(date) : dates.briefWithYear(date);
  }

  /** Two dates as a range, or one where they are one. */
  public String dates(LocalDate from, LocalDate to) {
    if (from.equals(to)) {
      return date(from);
    }
    boolean sameMonth = from.getYear() == to.getYear() && from.getMonth() == to.getMonth();
    boolean dayOnly = sameMonth && customs.dates() == Customs.Dates.DAY_FIRST;
    return (dayOnly ? String.valueOf(from.getDayOfMonth()) : date(from)) + "–" + date(to);
  }

  /** A date as seen from today: today, tomorrow, a weekday, or the date. */
  public String nearDate(LocalDate date) {
    long days = ChronoUnit.DAYS.between(today, date);
    if (days == 0) {
      return "today";
    }
    if (days == 1) {
      return "tomorrow";
    }
    if (days == -1) {
      return "yesterday";
    }
    return days > 1 && days < 7 ? dates.weekday(date) : date(date);
  }

  /** A moment: the time if it is today's, else the date, else both for the thread. */
  public String moment(Instant at) {
    LocalDate date = date(at);
    String time = dates.time(at.atZone(zone));
    return date.equals(today) ? "today " + time : nearDate(date) + " " + time;
  }

  /** Until when: the day where it is from the morning on, else the moment. */
  public String until(Instant at) {
    return at.equals(date(at).atStartOfDay(zone).toInstant()) ? date(date(at)) : moment(at);
  }

  /** The time of day: {@code 14:05}. */
  public String clock(Instant at) {
    return dates.time(at.atZone(zone));
  }

  /** The day on which a moment falls in the household. */
  public LocalDate date(Instant at) {
    return at.atZone(zone).toLocalDate();
  }

  /** So many hours, in the unit that people would say: minutes, hours, or days from two on. */
  public String hours(double hours) {
    if (hours < 1) {
      return Math.max(1, Math.round(hours * 60)) + " min";
    }
    return hours < HOURS_IN_HOURS
        ? number(hours, hours < 10 && Math.abs(hours - Math.rint(hours)) > 0.2 ? 1 : 0) + " h"
        : days(Math.round(hours / HOURS_A_DAY));
  }

  /** A range of hours, in one unit where both can be said in it. */
  public String hours(Range hours) {
    boolean asDays = hours.high() >= HOURS_IN_HOURS && hours.low() >= HOURS_A_DAY;
    if (!asDays && (hours.low() < 1 || hours.high() >= HOURS_IN_HOURS)) {
      return hours(hours.low()) + " to " + hours(hours.high());
    }
    String low = number(asDays ? hours.low() / HOURS_A_DAY : hours.low(), 0);
    String high = number(asDays ? hours.high() / HOURS_A_DAY : hours.high(), 0);
    String unit = asDays ? " days" : " h";
    return low.equals(high) ? high + unit : low + "–" + high + unit;
  }

  /** So many days, in weeks and days where that is clearer. */
  public String days(long days) {
    if (days < 14) {
      return days == 1 ? "1 day" : days + " days";
    }
    if (days >= 90) {
      return Math.round(days / 30.44) + " months";
    }
    long weeks = days / 7;
    long rest = days % 7;
    return weeks + " weeks" + (rest == 0 ? "" : " " + days(rest));
  }
}
