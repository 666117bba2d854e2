package velvetcrock.core.heat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.stat.regression.SimpleRegression;
import velvetcrock.core.Range;
import velvetcrock.core.heat.HeatStatistics.Band;

/**
 * Where the oil is heading, from its last minutes. Newton's law of heating and cooling, T(t) = T∞ +
 * (T − T∞)·exp(−k·t), with k from how the slope of the newer half has fallen against the older's;
 * where it has not fallen, a straight line. An estimate: it knows no hand at the knob.
 *
 * @param celsius where it is by the fitted course, °C
 * @param perMinute how fast it rises, °C/min; falling below 0
 * @param settlesC where it would settle, °C; empty where its pace does not slacken
 * @param decayPerMinute k, 1/min; 0 for a straight line
 * @param perMinuteWithin how far its pace may be off to either side, °C/min (80 %)
 * @param mostC what it cannot pass, °C: 100 in a bath of water, endless elsewhere
 */
public record Forecast(
    double celsius,
    double perMinute,
    OptionalDouble settlesC,
    double decayPerMinute,
    double perMinuteWithin,
    double mostC) {
  /** How far back it looks, h. */
  public static final double LOOKS_BACK_HOURS = 12 / 60.0;

  /** Slower than this it counts as steady, °C/min. */
  private static final double STEADY = 0.05;

  private static final double BOILS_C = 100;
  private static final double ANY_C = Double.POSITIVE_INFINITY;
  private static final double WITHIN_80 = 1.28;
  private static final int FEWEST = 3;
  private static final int FEWEST_FOR_A_CURVE = 8;
  private static final double SLACKENING = 0.9;
  private static final double SOONEST_HOURS = 1 / 60.0;

  /** Minutes beyond which nobody should believe it. */
  private static final double FARTHEST_MINUTES = 180;

  /** Where it goes. */
  public enum Heading {
    /** Rising. */
    RISING,
    /** Falling. */
    FALLING,
    /** Neither. */
    STEADY
  }

  /**
   * Fits the last minutes.
   *
   * @param recent in order of time; points older than 12 minutes before the last are passed over
   * @return empty with fewer than three points or less than a minute of them
   */
  public static Optional<Forecast> of(List<Trace.Point> recent) {
    if (recent.isEmpty()) {
      return Optional.empty();
    }
    double now = recent.get(recent.size() - 1).hours();
    List<Trace.Point> last =
        recent.stream().filter(p -> p.hours() >= now - LOOKS_BACK_HOURS).toList();
    if (last.size() < FEWEST || now - last.get(0).hours() < SOONEST_HOURS) {
      return Optional.empty();
    }
    Line all = Line.through(last, now);
    if (last.size() < FEWEST_FOR_A_CURVE) {
      return Optional.of(
          new Forecast(all.at, all.slope, OptionalDouble.empty(), 0, all.within, ANY_C));
    }
    double middle = (now + last.get(0).hours()) / 2;
    List<Trace.Point> early = last.stream().filter(p -> p.hours() < middle).toList();
    List<Trace.Point> late = last.stream().filter(p -> p.hours() >= middle).toList();
    if (early.size() < FEWEST || late.size() < FEWEST) {
      return Optional.of(
          new Forecast(all.at, all.slope, OptionalDouble.empty(), 0, all.within, ANY_C));
    }
    Line before = Line.through(early, now);
    Line after = Line.through(late, now);
    double apart = (now - last.get(0).hours()) / 2 * 60;
    boolean slackens =
        before.slope * after.slope > 0
            && Math.abs(after.slope) < SLACKENING * Math.abs(before.slope)
            && Math.abs(before.slope) > STEADY;
    if (!slackens) {
      return Optional.of(
          new Forecast(after.at, after.slope, OptionalDouble.empty(), 0, after.within, ANY_C));
    }
    double k = Math.log(before.slope / after.slope) / apart;
    double slopeNow = after.slope * Math.exp(-k * apart / 2);
    return Optional.of(
        new Forecast(
            after.at,
            slopeNow,
            OptionalDouble.of(after.at + slopeNow / k),
            k,
            after.within,
            ANY_C));
  }

  private record Line(double at, double slope, double within) {
    static Line through(List<Trace.Point> points, double now) {
      SimpleRegression line = new SimpleRegression();
      points.forEach(p -> line.addData((p.hours() - now) * 60, p.celsius()));
      double slope = Double.isNaN(line.getSlope()) ? 0 : line.getSlope();
      return new Line(
          slope == 0 ? points.get(points.size() - 1).celsius() : line.predict(0),
          slope,
          slopeWithin(line));
    }
  }

  private static double slopeWithin(SimpleRegression line) {
    double error = line.getSlopeStdErr();
    return Double.isNaN(error) ? 0 : WITHIN_80 * error;
  }

  /**
   * The same where the oil stands in a bath of water: that does not pass 100 °C, and neither does
   * the oil.
   */
  public Forecast inWater() {
    return new Forecast(
        celsius,
        perMinute,
        settlesC.isPresent()
            ? OptionalDouble.of(Math.min(BOILS_C, settlesC.getAsDouble()))
            : settlesC,
        decayPerMinute,
        perMinuteWithin,
        BOILS_C);
  }

  /**
   * Between how many minutes it passes a temperature: with its pace at either end of what fits, and
   * slackening or not.
   *
   * @return empty where it does not within three hours; where only the quicker end does, the slower
   *     is three hours
   */
  public Optional<Range> minutesToWithin(double levelC) {
    OptionalDouble usual = minutesTo(levelC);
    if (usual.isEmpty()) {
      return Optional.empty();
    }
    double sign = Math.signum(perMinute);
    Forecast quick =
        new Forecast(
            celsius, perMinute + sign * perMinuteWithin, OptionalDouble.empty(), 0, 0, mostC);
    double slower = perMinute - sign * perMinuteWithin;
    Forecast slow = new Forecast(celsius, slower, OptionalDouble.empty(), decayPerMinute, 0, mostC);
    return Optional.of(
        new Range(
            Math.min(usual.getAsDouble(), quick.minutesTo(levelC).orElse(usual.getAsDouble())),
            Math.max(
                usual.getAsDouble(),
                slower * sign <= 0
                    ? FARTHEST_MINUTES
                    : slow.minutesTo(levelC).orElse(FARTHEST_MINUTES))));
  }

  /** Rising, falling or neither. */
  public Heading heading() {
    return Math.abs(perMinute) < STEADY
        ? Heading.STEADY
        : perMinute > 0 ? Heading.RISING : Heading.FALLING;
  }

  /**
   * Minutes until it passes a temperature.
   *
   * @return empty if it does not within three hours
   */
  public OptionalDouble minutesTo(double levelC) {
    double way = levelC - celsius;
    if (heading() == Heading.STEADY || way * perMinute <= 0 || levelC > mostC) {
      return OptionalDouble.empty();
    }
    double minutes =
        decayPerMinute == 0
            ? way / perMinute
            : -Math.log1p(-way * decayPerMinute / perMinute) / decayPerMinute;
    return minutes >= 0 && minutes <= FARTHEST_MINUTES
        ? OptionalDouble.of(minutes)
        : OptionalDouble.empty();
  }

  /** Minutes until it leaves a band that it is in; empty if it is outside or stays. */
  public OptionalDouble minutesToLeave(Band band) {
    boolean inside = celsius >= band.lowC() && celsius <= band.highC();
    return inside ? minutesTo(perMinute > 0 ? band.highC() : band.lowC()) : OptionalDouble.empty();
  }

  /** Minutes until it enters a band that it is outside of; empty if it is in it or never does. */
  public OptionalDouble minutesToEnter(Band band) {
    if (celsius < band.lowC()) {
      return minutesTo(band.lowC());
    }
    return celsius > band.highC() ? minutesTo(band.highC()) : OptionalDouble.empty();
  }
}
