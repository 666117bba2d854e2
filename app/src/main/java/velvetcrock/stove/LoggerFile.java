package velvetcrock.stove;

import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.core.measure.Temperatures;

/**
 * Reads temperatures from a logger's CSV: any sensible header, comma, semicolon or tab, point or
 * comma in figures, °C or °F by header or cell. What it cannot know it asks; what it cannot read it
 * names line by line. It guesses nothing silently.
 */
public final class LoggerFile {
  /** Where it is refused because nobody has said what its clock did when clocks changed. */
  public static final String CLOCK_FIELD = "clock";

  private static final int PEEKED_BYTES = 64 * 1024;
  private static final int PEEKED_LINES = 200;
  private static final int HEADER_WITHIN = 30;
  private static final int OLDEST_YEAR = 2000;
  private static final Pattern CELL =
      Pattern.compile("([-−]?\\d{1,4}(?:[.,]\\d{1,6})?)\\s*(?:°|º|deg\\.?)?\\s*([cf])?[a-z]*");

  /** A jump by this much at once, °C, that is none if the figure is read as °F, is a mixture. */
  private static final double MIXED_JUMP_C = 25;

  private static final double MIXED_NEAR_C = 4;
  private static final long MIXED_WITHIN_S = 600;

  private final Charset charset;
  private final Format format;
  private final Sampled sampled;

  private record Format(char delimiter, int headerRecord, int time, int clock, int temperature) {}

  private record Sampled(Scale scale, TimeReader.Order order, boolean needsOrder, boolean zoned) {}

  /** What the figures are. */
  public enum Scale {
    /** Not said. */
    UNKNOWN,
    /** Degrees Celsius. */
    CELSIUS,
    /** Degrees Fahrenheit. */
    FAHRENHEIT
  }

  /** What a file does not say and somebody has to. */
  public enum Question {
    /** °C or °F. */
    SCALE,
    /** Whether days or months come first. */
    ORDER,
    /** Whether its clock went with the house’s where those were changed. */
    CLOCK
  }

  /**
   * How to read what a file does not say.
   *
   * @param monthFirst whether months come before days; null to be asked
   * @param zone of times that do not name theirs; null to refuse them
   * @param withTheHouse whether its clock was changed with the house’s; null to be asked
   */
  public record Choices(
      Scale scale,
      @Nullable Boolean monthFirst,
      @Nullable ZoneId zone,
      @Nullable Boolean withTheHouse) {
    /** These where they say something, else what was said earlier. */
    public Choices over(Choices earlier) {
      return new Choices(
          scale == Scale.UNKNOWN ? earlier.scale : scale,
          monthFirst == null ? earlier.monthFirst : monthFirst,
          earlier.zone,
          withTheHouse == null ? earlier.withTheHouse : withTheHouse);
    }

    private @Nullable LocalClock clock() {
      LocalClock.Changes changes =
          withTheHouse == null
              ? LocalClock.Changes.ASK
              : withTheHouse ? LocalClock.Changes.WITH_THE_HOUSE : LocalClock.Changes.NEVER;
      return zone == null ? null : new LocalClock(zone, changes);
    }
  }

  /** Takes what is read, line by line. */
  public interface Sink {
    /** A good line. */
    void reading(long line, Reading reading);

    /** A line that cannot be read, and why. */
    void rejected(long line, String why);
  }

  private LoggerFile(Charset charset, Format format, Sampled sampled) {
    this.charset = charset;
    this.format = format;
    this.sampled = sampled;
  }

  /**
   * Looks at a file's first lines.
   *
   * @throws Refused at {@code header} or {@code file}, with what was found instead
   */
  public static LoggerFile of(InputStream file) throws IOException {
    BufferedInputStream in = new BufferedInputStream(file, PEEKED_BYTES);
    byte[] peeked = in.readNBytes(PEEKED_BYTES);
    Charset charset = charset(peeked);
    String text = new String(peeked, charset);
    if (text.startsWith("\uFEFF")) {
      text = text.substring(1);
    }
    if (text.isBlank()) {
      throw new Refused("header", "There is nothing in it. A header and lines are expected.");
    }
    if (peeked.length == PEEKED_BYTES && text.lastIndexOf('\n') > 0) {
      text = text.substring(0, text.lastIndexOf('\n'));
    }
    char delimiter = delimiter(text);
    List<CSVRecord> rows = new ArrayList<>();
    try (CSVParser parser = CSVParser.parse(new java.io.StringReader(text), csv(delimiter))) {
      for (CSVRecord row : parser) {
        rows.add(row);
        if (rows.size() >= PEEKED_LINES) {
          break;
        }
      }
    } catch (IOException | UncheckedIOException | IllegalStateException e) {
      if (rows.isEmpty()) {
        throw new Refused("header", "This is no CSV: its quotes do not close.");
      }
    }
    Format format = header(rows, delimiter);
    return new LoggerFile(charset, format, sample(rows, format));
  }

  private static Charset charset(byte[] bytes) {
    int length = bytes.length;
    if (length >= 2 && (bytes[0] & 0xff) == 0xff && (bytes[1] & 0xff) == 0xfe) {
      return StandardCharsets.UTF_16LE;
    }
    if (length >= 2 && (bytes[0] & 0xff) == 0xfe && (bytes[1] & 0xff) == 0xff) {
      return StandardCharsets.UTF_16BE;
    }
    for (byte b : bytes) {
      if (b == 0) {
        throw new Refused(
            "header",
            "This is no text but a binary file. Save it as CSV, with time and temperature.");
      }
    }
    String utf8 = new String(bytes, StandardCharsets.UTF_8);
    int broken = utf8.indexOf('\uFFFD');
    return broken >= 0 && broken < utf8.length() - 1
        ? Charset.forName("windows-1252")
        : StandardCharsets.UTF_8;
  }

  private static char delimiter(String text) {
    String head = text.lines().limit(HEADER_WITHIN).reduce("", (a, b) -> a + "\n" + b);
    char best = ',';
    long most = -1;
    for (char c : new char[] {';', '\t', ','}) {
      long count = head.chars().filter(x -> x == c).count();
      if (count > most) {
        best = c;
        most = count;
      }
    }
    return most > 0 && head.indexOf(';') >= 0 && best == ',' && lineHas(head, ';') ? ';' : best;
  }

  private static boolean lineHas(String head, char c) {
    return head.lines().filter(l -> !l.isBlank()).allMatch(l -> l.indexOf(c) >= 0);
  }

  private static CSVFormat csv(char delimiter) {
    return CSVFormat.DEFAULT
        .builder()
        .setDelimiter(delimiter)
        .setTrim(true)
        .setIgnoreEmptyLines(true)
        .setIgnoreSurroundingSpaces(true)
        .get();
  }

  private static Format header(List<CSVRecord> rows, char delimiter) {
    for (int r = 0; r < Math.min(HEADER_WITHIN, rows.size()); r++) {
      CSVRecord row = rows.get(r);
      int time = -1;
      int clock = -1;
      int temperature = -1;
      for (int i = 0; i < row.size(); i++) {
        String name = row.get(i).toLowerCase(Locale.ROOT);
        if (temperature < 0 && !namesTime(name) && namesTemperature(name)) {
          temperature = i;
        } else if (time < 0 && namesTime(name)) {
          time = i;
        } else if (time >= 0 && clock < 0 && name.startsWith("time") && dateOnly(row.get(time))) {
          clock = i;
        }
      }
      if (time >= 0 && temperature >= 0) {
        return new Format(delimiter, r + 1, time, clock, temperature);
      }
    }
    String found = rows.isEmpty() ? "" : String.join(", ", rows.get(0).toList());
    throw new Refused(
        "header",
        "No line names a time and a temperature in °C or °F, such as: time,celsius. The first says “"
            + (found.length() > 60 ? found.substring(0, 60) + "…" : found)
            + "”.");
  }

  private static boolean namesTime(String name) {
    return name.matches(
            "(.*[^a-z])?(date|time|timestamp|datetime|zeit|datum)([^a-z].*)?|at|.*stamp")
        && !name.contains("elapsed");
  }

  private static boolean dateOnly(String name) {
    String lower = name.toLowerCase(Locale.ROOT);
    return lower.contains("date") && !lower.contains("time") || lower.contains("datum");
  }

  private static boolean namesTemperature(String name) {
    return name.matches(".*(temp|celsius|fahrenheit|°c|°f|º[cf]|deg).*|(.*[^a-z])?[cf]([^a-z].*)?");
  }

  private static Scale scaleOf(String name) {
    String lower = name.toLowerCase(Locale.ROOT);
    boolean c = lower.contains("celsius") || lower.matches(".*[°º] ?c.*|(.*[^a-z])?c([^a-z].*)?");
    boolean f =
        lower.contains("fahrenheit") || lower.matches(".*[°º] ?f.*|(.*[^a-z])?f([^a-z].*)?");
    return c == f ? Scale.UNKNOWN : f ? Scale.FAHRENHEIT : Scale.CELSIUS;
  }

  private static Sampled sample(List<CSVRecord> rows, Format format) {
    CSVRecord header = rows.get(format.headerRecord() - 1);
    Scale scale = scaleOf(header.get(format.temperature()));
    Set<TimeReader.Order> orders = EnumSet.noneOf(TimeReader.Order.class);
    boolean needsOrder = false;
    boolean zoned = true;
    boolean allSay = true;
    int seen = 0;
    for (CSVRecord row : rows.subList(format.headerRecord(), rows.size())) {
      String time = time(row, format);
      if (time == null || !TimeReader.looksLikeOne(time)) {
        continue;
      }
      seen++;
      orders.add(TimeReader.orderOf(time));
      needsOrder |= TimeReader.needsOrder(time);
      zoned &= TimeReader.namesZone(time);
      Matcher cell = CELL.matcher(row.get(format.temperature()).toLowerCase(Locale.ROOT));
      allSay &= cell.matches() && cell.group(2) != null;
    }
    orders.remove(TimeReader.Order.UNKNOWN);
    TimeReader.Order order =
        orders.size() == 1 ? orders.iterator().next() : TimeReader.Order.UNKNOWN;
    if (scale == Scale.UNKNOWN && seen > 0 && allSay) {
      scale = Scale.CELSIUS;
    }
    return new Sampled(scale, order, needsOrder, zoned);
  }

  /** What has to be asked before it can be read. */
  public Set<Question> questions() {
    Set<Question> questions = EnumSet.noneOf(Question.class);
    if (sampled.scale() == Scale.UNKNOWN) {
      questions.add(Question.SCALE);
    }
    if (sampled.needsOrder() && sampled.order() == TimeReader.Order.UNKNOWN) {
      questions.add(Question.ORDER);
    }
    return questions;
  }

  /** Whether its times say where their clock stands. */
  public boolean zoned() {
    return sampled.zoned();
  }

  /** What it is read as, in words. */
  public String readAs(Choices choices) {
    Scale scale = sampled.scale() == Scale.UNKNOWN ? choices.scale() : sampled.scale();
    String times =
        sampled.zoned()
            ? "times with their own zone"
            : "times of " + (choices.zone() == null ? "no known zone" : choices.zone().getId());
    return (scale == Scale.FAHRENHEIT ? "°F" : "°C") + ", " + times;
  }

  /**
   * Reads all of it.
   *
   * @param choices what it does not say itself
   * @throws Refused as a whole at {@code temperature} where °C and °F are mixed, and at {@code
   *     clock} where the clocks changed on its way and nobody has said what its own did
   */
  public void read(InputStream file, Choices choices, Sink sink) throws IOException {
    boolean fahrenheit =
        (sampled.scale() == Scale.UNKNOWN ? choices.scale() : sampled.scale()) == Scale.FAHRENHEIT;
    TimeReader.Order order =
        sampled.order() != TimeReader.Order.UNKNOWN
            ? sampled.order()
            : Boolean.TRUE.equals(choices.monthFirst())
                ? TimeReader.Order.MONTH_FIRST
                : TimeReader.Order.DAY_FIRST;
    Lines lines = new Lines(new TimeReader(choices.clock(), order), fahrenheit, sink);
    Reader reader = new BufferedReader(new InputStreamReader(file, charset), PEEKED_BYTES);
    try (CSVParser parser = CSVParser.parse(reader, csv(format.delimiter()))) {
      for (CSVRecord row : parser) {
        if (row.getRecordNumber() > format.headerRecord()) {
          lines.take(parser.getCurrentLineNumber(), row);
        }
      }
    } catch (IOException | UncheckedIOException | IllegalStateException e) {
      Throwable cause = e instanceof UncheckedIOException u ? u.getCause() : e;
      sink.rejected(lines.last + 1, "From here on it is no CSV: " + reason(cause));
    }
  }

  private static String reason(Throwable cause) {
    String message = String.valueOf(cause.getMessage());
    return message.contains("quot") || message.contains("EOF")
        ? "a quote does not close."
        : "it cannot be read.";
  }

  private static @Nullable String time(CSVRecord row, Format format) {
    if (row.size() <= Math.max(format.time(), Math.max(format.clock(), format.temperature()))) {
      return null;
    }
    return format.clock() < 0
        ? row.get(format.time())
        : row.get(format.time()) + " " + row.get(format.clock());
  }

  /** Reads line after line. */
  private final class Lines {
    private final TimeReader times;
    private final boolean fahrenheit;
    private final Sink sink;
    private @Nullable Reading before;
    private long last;

    Lines(TimeReader times, boolean fahrenheit, Sink sink) {
      this.times = times;
      this.fahrenheit = fahrenheit;
      this.sink = sink;
    }

    void take(long line, CSVRecord row) {
      last = line;
      String time = time(row, format);
      if (time == null) {
        sink.rejected(line, "A column is missing.");
        return;
      }
      String typed = row.get(format.temperature());
      double celsius = celsius(typed);
      if (Double.isNaN(celsius)) {
        sink.rejected(line, "“" + cut(typed) + "” is not a temperature.");
        return;
      }
      if (celsius < Temperatures.COLDEST_C || celsius > Temperatures.HOTTEST_C) {
        sink.rejected(
            line, "A temperature is between −60 and 400 °C; " + cut(typed) + " was read.");
        return;
      }
      Instant at = at(line, time);
      if (at != null) {
        Reading reading = new Reading(at, celsius);
        refuseMixture(line, reading);
        before = reading;
        sink.reading(line, reading);
      }
    }

    private @Nullable Instant at(long line, String time) {
      try {
        Instant at = times.read(time);
        int year = at.atOffset(java.time.ZoneOffset.UTC).getYear();
        if (year >= OLDEST_YEAR && year < OLDEST_YEAR + 200) {
          return at;
        }
        sink.rejected(line, "“" + cut(time) + "” is no year of our time.");
      } catch (DateTimeException e) {
        sink.rejected(line, "“" + cut(time) + "” " + notATime(e));
      }
      return null;
    }

    private static String notATime(DateTimeException why) {
      return LocalClock.SKIPPED.equals(why.getMessage())
          ? "was skipped that night: the clocks were put forward."
          : "is not a time with its zone, such as 2026-12-05T08:00:00Z.";
    }

    /** NaN for what is no temperature. */
    private double celsius(String typed) {
      double plain = plain(typed);
      if (!Double.isNaN(plain)) {
        return fahrenheit ? Temperatures.celsiusOfFahrenheit(plain) : plain;
      }
      Matcher cell = CELL.matcher(typed.toLowerCase(Locale.ROOT));
      if (!cell.matches()) {
        return Double.NaN;
      }
      double number = Double.parseDouble(cell.group(1).replace(',', '.').replace('−', '-'));
      boolean f = cell.group(2) == null ? fahrenheit : cell.group(2).equals("f");
      return f ? Temperatures.celsiusOfFahrenheit(number) : number;
    }

    /** A bare figure such as 43.25, without a pattern; NaN for anything else. */
    private static double plain(String typed) {
      int length = typed.length();
      if (length == 0 || length > 12) {
        return Double.NaN;
      }
      long digits = 0;
      double scale = 0;
      int from = typed.charAt(0) == '-' ? 1 : 0;
      for (int i = from; i < length; i++) {
        char c = typed.charAt(i);
        if (c >= '0' && c <= '9') {
          digits = digits * 10 + c - '0';
          scale *= 10;
        } else if (c == '.' && scale == 0 && i > from) {
          scale = 1;
        } else {
          return Double.NaN;
        }
      }
      double value = scale == 0 ? digits : digits / scale;
      return from == length ? Double.NaN : from == 1 ? -value : value;
    }

    /** A leap to what the figure before says in the other scale is no heat but a mixture. */
    private void refuseMixture(long line, Reading now) {
      Reading then = before;
      if (then == null || Math.abs(now.celsius() - then.celsius()) < MIXED_JUMP_C) {
        return;
      }
      long apart = Math.abs(now.at().getEpochSecond() - then.at().getEpochSecond());
      double inF = Temperatures.fahrenheitOfCelsius(then.celsius());
      double inC = Temperatures.celsiusOfFahrenheit(then.celsius());
      if (apart <= MIXED_WITHIN_S
          && (Math.abs(now.celsius() - inF) < MIXED_NEAR_C
              || Math.abs(now.celsius() - inC) < MIXED_NEAR_C)) {
        throw new Refused(
            "temperature",
            "°C and °F are mixed: line "
                + line
                + " leaps to a figure that is the one before in the other scale. Nothing was taken.");
      }
    }

    private static String cut(String text) {
      return text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }
  }
}
