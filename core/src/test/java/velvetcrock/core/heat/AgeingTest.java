package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.heat.Trace.Point;

class AgeingTest {
  @Test
  void seventyTwoHoursAtSixtyFiveAgeAnOilBySixtyEightDays() {
    Trace trace = new Trace(List.of(new Point(0, 65), new Point(72, 65)));

    assertThat(Ageing.hours(trace) / 24).isCloseTo(67.9, within(0.05));
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void ageingIsAdditiveOverASplitTrace(@Given int seed) {
    double from = Math.floorMod(seed, 90);
    double to = Math.floorMod(seed / 91, 90);
    double split = 0.1 + 0.8 * Math.floorMod(seed / 7, 100) / 100;
    Point a = new Point(0, from);
    Point middle = new Point(10 * split, from + split * (to - from));
    Point b = new Point(10, to);

    double whole = Ageing.hours(new Trace(List.of(a, b)));
    double parts =
        Ageing.hours(new Trace(List.of(a, middle))) + Ageing.hours(new Trace(List.of(middle, b)));

    assertThat(parts).isCloseTo(whole, within(1e-6 * whole));
  }

  @Test
  void aGapInTheReadingsIsReckonedAtItsHotterEnd() {
    Trace bridged =
        Readings.forAgeing(List.of(new Point(0, 30), new Point(4, 60), new Point(4.2, 60)));

    assertThat(Ageing.hours(bridged)).isCloseTo(4.2 * Ageing.rate(60), within(0.01));
  }

  @Test
  void hoursBetweenTwoTemperaturesAreThoseOfTheLine() {
    Trace trace = new Trace(List.of(new Point(0, 0), new Point(10, 100)));

    assertThat(trace.hoursBetween(4, 60)).isCloseTo(5.6, within(1e-9));
  }

  @Test
  void aTraceThatRunsBackwardsIsRefusedAtItsPoint() {
    assertThatThrownBy(() -> new Trace(List.of(new Point(2, 20), new Point(1, 20))))
        .hasMessageContaining("trace[1]");
    assertThatThrownBy(() -> new Trace(List.of(new Point(0, 900))))
        .hasMessageContaining("trace[0].celsius");
  }
}
