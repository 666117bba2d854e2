package velvetcrock.core.jar;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.FigureRow;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.extraction.PullTally;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.heat.Course;
import velvetcrock.core.heat.Forecast;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.heat.HeatStatistics;
import velvetcrock.core.heat.HeatTally;
import velvetcrock.core.heat.Series;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Method;

/**
 * A batch's heat as it happens: where its oil should be, how the trace so far compares, the pull
 * gained and the shelf life used. New readings at the end are added one by one, also while others
 * look: each answer is of one moment.
 */
public final class PotHeat {
  private static final double MILLIS_PER_HOUR = 3_600_000;
  private static final int HOURS_PER_DAY = 24;
  private static final int FEWEST_OF_A_PROBE = 5;
  private static final int MOST_RECENT = 4000;
  private static final double REMEMBERS_HOURS = 1;

  /** A swing is known once it has been seen for so long before the last minutes, h. */
  private static final double SWINGS_HOURS = 0.4;

  private static final double SMALLEST_SWING_C = 1;

  private final BatchState state;
  private final BatchReckoning reckoning;
  private final HeatGoal goal;
  private final long zeroMillis;
  private final Course course;
  private final HeatTally tally;
  private final PullTally pull;
  private final Deque<Trace.Point> recent = new ArrayDeque<>();
  private final double drawsFromHours;
  private long firstMillis;
  private long lastMillis;
  private double lastC;
  private int readings;

  /**
   * Reckons a batch up to now.
   *
   * @param readings all that were taken, in order
   * @param zone where the sun rises by the household's clock
   */
  public PotHeat(Catalogue catalogue, BatchState state, Series readings, Instant now, ZoneId zone) {
    this(new BatchReckoning(catalogue, state), state, readings, now, zone);
  }

  private PotHeat(
      BatchReckoning reckoning, BatchState state, Series readings, Instant now, ZoneId zone) {
    this(reckoning, state, reckoning.course(readings, now, zone), now, null);
    course.walk(
        (hours, celsius, read) -> {
          tally.add(hours, celsius, read);
          if (hours >= drawsFromHours) {
            pull.add(hours, celsius, read);
          }
        });
    int from = Math.max(0, readings.size() - MOST_RECENT);
    for (int i = from; i < readings.size(); i++) {
      remember(readings.millis(i), readings.celsius(i));
    }
    this.readings = readings.size();
    if (readings.size() > 0) {
      firstMillis = readings.millis(0);
    }
  }

  private PotHeat(
      BatchReckoning reckoning,
      BatchState state,
      Course course,
      Instant now,
      @Nullable FigureRow kept) {
    this.reckoning = reckoning;
    this.state = state;
    this.course = course;
    this.goal = reckoning.heatGoal();
    this.zeroMillis = reckoning.zero().toEpochMilli();
    this.drawsFromHours = drawsFrom(state, reckoning);
    Cut cut = state.charge().manner().blended() ? Cut.GROUND : reckoning.heaviestCut();
    boolean spirit = state.charge().manner().spirit() != null;
    Pull.Herb herb = new Pull.Herb(cut, reckoning.heaviestPart(), spirit, reckoning.speed());
    double days = Math.max(0, now.toEpochMilli() - zeroMillis) / MILLIS_PER_HOUR / HOURS_PER_DAY;
    Agitation moved = Agitation.of(state.tended().shakes(), days);
    this.tally =
        kept == null
            ? new HeatTally(goal.band(), goal.ceilingC())
            : HeatTally.resumed(goal.band(), goal.ceilingC(), kept);
    this.pull =
        kept == null
            ? new PullTally(reckoning.carriers(), herb, moved)
            : PullTally.resumed(reckoning.carriers(), herb, moved, kept);
  }

  /**
   * Goes on from where another stood, with no reading read once more. What it was reckoned by (the
   * log, the catalogue) is taken to be as it was.
   *
   * @param kept what {@link #kept} put down
   * @throws IllegalArgumentException where that is more or less than is read here
   */
  public static PotHeat resumed(
      Catalogue catalogue, BatchState state, FigureRow kept, Instant now) {
    BatchReckoning reckoning = new BatchReckoning(catalogue, state);
    Course nothingAssumed = new Course(Series.none(), List.of(), reckoning.zero().toEpochMilli());
    PotHeat heat = new PotHeat(reckoning, state, nothingAssumed, now, kept);
    for (long left = kept.nextWhole(); left > 0; left--) {
      heat.remember(kept.nextWhole(), kept.next());
    }
    heat.readings = (int) kept.nextWhole();
    heat.firstMillis = kept.nextWhole();
    kept.requireAllRead();
    return heat;
  }

  /** All that it holds, for {@link #resumed}; empty where something is assumed, or nothing read. */
  public synchronized Optional<FigureRow> kept() {
    if (!course.assumed().isEmpty() || readings == 0) {
      return Optional.empty();
    }
    FigureRow row = FigureRow.empty();
    tally.keep(row);
    pull.keep(row);
    row.put(recent.size());
    recent.forEach(p -> row.put(millis(p), p.celsius()));
    row.put(readings, firstMillis);
    return Optional.of(row);
  }

  private double millis(Trace.Point point) {
    return zeroMillis + Math.round(point.hours() * MILLIS_PER_HOUR);
  }

  /** From when the herb stands in oil: through spirit, from when that followed; h. */
  private static double drawsFrom(BatchState state, BatchReckoning reckoning) {
    BatchState.Rest rest = state.rest();
    if (rest == null) {
      return 0;
    }
    return rest.pouredAt() == null ? Double.MAX_VALUE : reckoning.hours(rest.pouredAt());
  }

  /**
   * Adds a reading.
   *
   * @return false if it is not later than the last, or changes what was assumed: reckon anew then
   */
  public synchronized boolean read(long millis, double celsius) {
    if (!course.assumed().isEmpty() || readings > 0 && millis <= lastMillis) {
      return false;
    }
    if (readings == 0) {
      firstMillis = millis;
    }
    double hours = (millis - zeroMillis) / MILLIS_PER_HOUR;
    tally.read(hours, celsius);
    if (hours >= drawsFromHours) {
      pull.add(hours, celsius, true);
    }
    remember(millis, celsius);
    readings++;
    return true;
  }

  private void remember(long millis, double celsius) {
    double hours = (millis - zeroMillis) / MILLIS_PER_HOUR;
    recent.addLast(new Trace.Point(hours, celsius));
    while (recent.size() > 1
        && (recent.size() > MOST_RECENT || recent.peekFirst().hours() < hours - REMEMBERS_HOURS)) {
      recent.removeFirst();
    }
    lastMillis = millis;
    lastC = celsius;
  }

  /** The reckoning of the batch that it is of. */
  public BatchReckoning reckoning() {
    return reckoning;
  }

  /** Where the oil should be, and for how long. */
  public HeatGoal goal() {
    return goal;
  }

  /** How many readings there are. */
  public synchronized int readings() {
    return readings;
  }

  /** How far apart its last readings are, s; empty where too few came to call it a probe. */
  public synchronized OptionalDouble usualGapSeconds() {
    if (recent.size() < FEWEST_OF_A_PROBE) {
      return OptionalDouble.empty();
    }
    double now = recent.peekLast().hours();
    List<Trace.Point> last =
        recent.stream().filter(p -> p.hours() >= now - Forecast.LOOKS_BACK_HOURS).toList();
    return last.size() < FEWEST_OF_A_PROBE
        ? OptionalDouble.empty()
        : OptionalDouble.of((now - last.get(0).hours()) * 3600 / (last.size() - 1));
  }

  /** The last reading. */
  public synchronized Optional<BatchReckoning.Reading> last() {
    return readings == 0
        ? Optional.empty()
        : Optional.of(new BatchReckoning.Reading(Instant.ofEpochMilli(lastMillis), lastC));
  }

  /** Where the assumed course is now; empty where a thermometer watches or nothing is known. */
  public Optional<Trace.Point> assumedLast() {
    List<Assumed> assumed = course.assumed();
    if (assumed.isEmpty()) {
      return Optional.empty();
    }
    List<Trace.Point> points = assumed.get(assumed.size() - 1).trace().points();
    return Optional.of(points.get(points.size() - 1));
  }

  /** The times that nobody read, as assumed from knob and hand. */
  public List<Assumed> assumed() {
    return course.assumed();
  }

  /** The moment from which hours of the course count, ms since 1970. */
  public long zeroMillis() {
    return zeroMillis;
  }

  /**
   * The swing of a thermostat, where the last hour shows one: where the oil heads now it has been
   * before in that hour, and came back.
   */
  public synchronized Optional<Range> swing() {
    if (recent.isEmpty()) {
      return Optional.empty();
    }
    double now = recent.peekLast().hours();
    double celsius = recent.peekLast().celsius();
    double[] older =
        recent.stream()
            .filter(p -> p.hours() < now - Forecast.LOOKS_BACK_HOURS)
            .mapToDouble(Trace.Point::celsius)
            .toArray();
    double seen = now - Forecast.LOOKS_BACK_HOURS - recent.peekFirst().hours();
    if (older.length < FEWEST_OF_A_PROBE || seen < SWINGS_HOURS) {
      return Optional.empty();
    }
    Range swing =
        Range.between(
            Arrays.stream(older).min().getAsDouble(), Arrays.stream(older).max().getAsDouble());
    boolean between = celsius >= swing.low() && celsius <= swing.high();
    return between && swing.high() - swing.low() >= SMALLEST_SWING_C
        ? Optional.of(swing)
        : Optional.empty();
  }

  /** Where the last readings head. */
  public synchronized Optional<Forecast> forecast() {
    boolean water = state.heat().now().map(s -> s.bath() != null).orElse(false);
    Optional<Forecast> forecast = Forecast.of(new ArrayList<>(recent));
    return water ? forecast.map(Forecast::inWater) : forecast;
  }

  /** What the course amounts to; empty with fewer than two points. */
  public synchronized Optional<HeatStatistics> statistics() {
    return tally.points() < 2 ? Optional.empty() : Optional.of(tally.statistics());
  }

  /** The stretch above the ceiling that lasts still. */
  public synchronized Optional<HeatStatistics.Excursion> excursionNow() {
    return tally.excursionNow();
  }

  /** The pull until a moment; hours that nothing covers count as the place's warmth. */
  public synchronized Pull pull(Instant now) {
    Double celsius = state.stand().celsius();
    double drawing = (now.toEpochMilli() - zeroMillis) / MILLIS_PER_HOUR - drawsFromHours;
    double untraced = Math.max(0, Math.min(untracedHours(now), drawing));
    return pull.pullWith(untraced, celsius == null ? Carrier.ROOM_C : celsius);
  }

  /** Shelf life used until a moment, days at 20 °C in the dark; untraced hours count at 20 °C. */
  public synchronized double spentDays(Instant now) {
    Light light = reckoning.light(state.stand());
    return (tally.ageingHours() + untracedHours(now)) / HOURS_PER_DAY * light.factor();
  }

  private double untracedHours(Instant now) {
    double since = (now.toEpochMilli() - zeroMillis) / MILLIS_PER_HOUR;
    double covered = tally.points() == 0 ? 0 : tally.lastHours() - tally.firstHours();
    return Math.max(0, since - covered);
  }

  /**
   * Hours served on the heat: by its log, or else from the first reading to the last.
   *
   * @param now until when what is on the heat counts
   */
  public synchronized double servedHours(Instant now) {
    if (!state.heat().stints().isEmpty()) {
      return state.heat().hours(now);
    }
    if (state.charge().method() == Method.SOLAR) {
      return Math.max(0, (now.toEpochMilli() - zeroMillis) / MILLIS_PER_HOUR);
    }
    return readings < 2 ? 0 : (lastMillis - firstMillis) / MILLIS_PER_HOUR;
  }
}
