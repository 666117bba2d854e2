package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import org.junit.jupiter.api.Test;

class SilenceTest {
  private static double after(double usual, double gap, int times) {
    double now = usual;
    for (int i = 0; i < times; i++) {
      now = Silence.usual(now, gap);
    }
    return now;
  }

  @Test
  void fourIntervalsWithoutAWordAreSilenceButNothingBeforeAMinuteAndAHalf() {
    assertThat(Silence.after(300)).isEqualTo(Duration.ofMinutes(20));
    assertThat(Silence.after(2)).isEqualTo(Silence.SOONEST);
  }

  @Test
  void aNightsPauseIsSoonForgotten() {
    double morning = Silence.usual(60, 9 * 3600);
    assertThat(Silence.after(morning)).isLessThan(Duration.ofMinutes(10));
    assertThat(after(morning, 60, 10)).isCloseTo(60, within(5.0));
  }

  @Test
  void anIntervalThatWasSetAnewIsLearnt() {
    assertThat(Silence.after(after(60, 1800, 6))).isGreaterThan(Duration.ofSeconds(1800));
    assertThat(after(60, 1800, 30)).isCloseTo(1800, within(20.0));
    assertThat(after(1800, 60, 30)).isCloseTo(60, within(20.0));
  }
}
