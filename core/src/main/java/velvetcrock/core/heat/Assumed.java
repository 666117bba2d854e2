package velvetcrock.core.heat;

import java.util.ArrayList;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.TreeSet;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;

/**
 * A trace assumed where nobody has a thermometer, from what a knob is turned to and a hand feels.
 * It holds to ± 8 °C at best. Every real reading bends it to itself and narrows it: ± 8/(1 + n) °C
 * with n readings, never below ± 2 (an estimate: the hand and the knob err mostly the same way each
 * time, so one reading shows half of the error).
 *
 * @param trace the course assumed
 * @param withinC how far off it may be, °C
 */
public record Assumed(Trace trace, double withinC) {
  /** How far off such a trace may be without a reading, °C (practice). */
  public static final double WITHIN_C = 8;

  private static final double NARROWEST_C = 2;
  private static final double SAME_HOURS = 1e-6;

  /** Time constant of a pot that cools in the room, h (typical). */
  private static final double COOLS_HOURS = 0.75;

  private static final double[] TIMES_OF_TAU = {0.5, 1, 1.5, 2, 3, 4};

  /** What a hand feels at the pot. */
  public enum HandTest {
    /** Comfortably warm, like a bath. */
    COMFORTABLE(40),
    /** Hot to the touch. */
    HOT(50),
    /** Too hot to hold. */
    TOO_HOT_TO_HOLD(60);

    private final double celsius;

    HandTest(double celsius) {
      this.celsius = celsius;
    }

    /** About what the oil has then, °C. */
    public double celsius() {
      return celsius;
    }
  }

  /**
   * A look at the pot.
   *
   * @param hours when, h
   */
  public record Felt(double hours, HandTest test) {}

  /**
   * The knob was turned.
   *
   * @param hours when, h
   * @param towardsC where that setting settles, °C
   * @param settleHours how long it takes to, h
   */
  public record Turn(double hours, double towardsC, double settleHours) {}

  /**
   * A time on the heat.
   *
   * @param onHours when it was switched on, h
   * @param roomC the room's temperature, °C
   * @param turns of the knob, the first when it was switched on; may be empty
   * @param felt in order of time
   * @param untilHours when it was switched off, or now, h
   * @param off whether it was switched off then
   * @param coolsUntilHours until when it cools after that, h
   */
  public record Stint(
      double onHours,
      double roomC,
      List<Turn> turns,
      List<Felt> felt,
      double untilHours,
      boolean off,
      double coolsUntilHours) {
    /** Copies the lists. */
    public Stint {
      turns = List.copyOf(turns);
      felt = List.copyOf(felt);
    }

    /** Where the knob alone would have it, °C. */
    private double byKnob(double hours) {
      double celsius = roomC;
      for (int i = 0; i < turns.size() && turns.get(i).hours() <= hours; i++) {
        Turn turn = turns.get(i);
        double end = i + 1 < turns.size() ? Math.min(hours, turns.get(i + 1).hours()) : hours;
        double tau = Math.max(SAME_HOURS, turn.settleHours() / 3);
        celsius =
            turn.towardsC() + (celsius - turn.towardsC()) * Math.exp(-(end - turn.hours()) / tau);
      }
      return celsius;
    }

    /** Where the lines between the marks bend. */
    private TreeSet<Double> bends() {
      TreeSet<Double> bends = new TreeSet<>(List.of(onHours, untilHours));
      for (Turn turn : turns) {
        bends.add(turn.hours());
        for (double times : TIMES_OF_TAU) {
          bends.add(turn.hours() + times * turn.settleHours() / 3);
        }
      }
      felt.forEach(f -> bends.add(f.hours()));
      return bends;
    }
  }

  /**
   * Joins what was felt, from room temperature where it was switched on.
   *
   * @param onAtHours when it was switched on, h
   * @param felt in order of time, each after it was switched on; at least one
   * @param offAtHours when it was switched off, h, after the last
   * @throws velvetcrock.core.Refused at {@code felt} or {@code trace}
   */
  public static Assumed of(double onAtHours, List<Felt> felt, double offAtHours) {
    Problems problems = new Problems();
    problems.require(!felt.isEmpty(), "felt", "Somebody has to have felt it once.");
    problems.refuseIfAny();
    return of(
        new Stint(onAtHours, Ageing.REFERENCE_C, List.of(), felt, offAtHours, false, offAtHours),
        List.of());
  }

  /**
   * The course of a time on the heat.
   *
   * @param readings real ones within it, in order; each becomes a point of the trace
   */
  public static Assumed of(Stint stint, List<Trace.Point> readings) {
    Offsets byHand = new Offsets(stint.onHours());
    stint.felt().forEach(f -> byHand.add(f.hours(), f.test().celsius() - stint.byKnob(f.hours())));
    Offsets byReading = new Offsets(stint.onHours());
    readings.forEach(
        r ->
            byReading.add(r.hours(), r.celsius() - stint.byKnob(r.hours()) - byHand.at(r.hours())));
    TreeSet<Double> times = stint.bends();
    readings.forEach(r -> times.add(r.hours()));

    List<Trace.Point> points = new ArrayList<>();
    double before = Double.NEGATIVE_INFINITY;
    for (double hours : times.subSet(stint.onHours(), true, stint.untilHours(), true)) {
      if (hours - before > SAME_HOURS) {
        double celsius = stint.byKnob(hours) + byHand.at(hours) + byReading.at(hours);
        points.add(new Trace.Point(hours, Math.max(stint.roomC() - 10, celsius)));
        before = hours;
      }
    }
    if (stint.off()) {
      cool(stint, points);
    }
    double within = Math.max(NARROWEST_C, WITHIN_C / (1 + readings.size()));
    return new Assumed(new Trace(points), within);
  }

  private static void cool(Stint stint, List<Trace.Point> points) {
    Trace.Point hot = points.get(points.size() - 1);
    for (double times : TIMES_OF_TAU) {
      double hours = hot.hours() + times * COOLS_HOURS;
      if (hours >= stint.coolsUntilHours()) {
        return;
      }
      double celsius = stint.roomC() + (hot.celsius() - stint.roomC()) * Math.exp(-times);
      points.add(new Trace.Point(hours, celsius));
    }
  }

  /** By how much a course is off at some moments; linear between them, and held after the last. */
  private static final class Offsets {
    private final NavigableMap<Double, Double> known = new TreeMap<>();

    Offsets(double zeroAtHours) {
      known.put(zeroAtHours, 0.0);
    }

    void add(double hours, double offset) {
      known.put(hours, offset);
    }

    double at(double hours) {
      var before = known.floorEntry(hours);
      var after = known.ceilingEntry(hours);
      if (before == null || after == null) {
        return before == null ? 0 : before.getValue();
      }
      double span = after.getKey() - before.getKey();
      double share = span == 0 ? 0 : (hours - before.getKey()) / span;
      return before.getValue() + share * (after.getValue() - before.getValue());
    }
  }

  /** Ageing hours from as much cooler as it may be to as much warmer, over the energies, h. */
  public Range ageingHours() {
    return new Range(
        Ageing.of(trace.warmerBy(-withinC)).range().low(),
        Ageing.of(trace.warmerBy(withinC)).range().high());
  }
}
