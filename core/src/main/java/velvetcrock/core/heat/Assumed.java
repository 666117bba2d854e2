package velvetcrock.core.heat;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;

/**
 * A trace assumed where nobody has a thermometer, from what a hand feels and a knob is turned to.
 * It holds to ± 8 °C at best.
 *
 * @param trace the course assumed
 */
public record Assumed(Trace trace) {
  /** How far off such a trace may be, °C (practice). */
  public static final double WITHIN_C = 8;

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

    List<Trace.Point> points = new ArrayList<>();
    points.add(new Trace.Point(onAtHours, Ageing.REFERENCE_C));
    felt.forEach(f -> points.add(new Trace.Point(f.hours(), f.test().celsius())));
    double last = felt.get(felt.size() - 1).test().celsius();
    points.add(new Trace.Point(offAtHours, last));
    return new Assumed(new Trace(points));
  }

  /** Ageing hours from 8 °C cooler to 8 °C warmer, h. */
  public Range ageingHours() {
    return new Range(
        Ageing.hours(trace.warmerBy(-WITHIN_C)), Ageing.hours(trace.warmerBy(WITHIN_C)));
  }
}
