package velvetcrock.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** Drawn from what is typical towards what was seen. */
class LearnedTest {
  @Test
  void nothingSeenIsWhatIsTypical() {
    Learned learned = Learned.of(1.5, 0.375);

    assertThat(learned.mean()).isEqualTo(1.5);
    assertThat(learned.count()).isZero();
    assertThat(learned.range().high() - 1.5)
        .isCloseTo(1.28 * 0.375 * Math.sqrt(4.0 / 3), within(1e-9));
  }

  @Test
  void oneSeenMovesItAQuarterOfTheWay() {
    assertThat(Learned.of(1.5, 0.375, 1.1).mean()).isCloseTo(1.4, within(1e-9));
  }

  @RepeatedTest(20)
  void muchSeenOverrulesWhatIsTypicalAndItsRangeHoldsFourInFive(RepetitionInfo run) {
    Random random = new Random(run.getCurrentRepetition());
    double[] seen =
        random.doubles(4000, 0, 1).map(u -> 2 + Math.sqrt(12) * 0.3 * (u - 0.5)).toArray();

    Learned learned = Learned.of(9, 1, seen);

    assertThat(learned.mean()).isCloseTo(2, within(0.05));
    double within =
        Arrays.stream(seen)
                .filter(x -> x >= learned.range().low() && x <= learned.range().high())
                .count()
            / 4000.0;
    assertThat(within).isBetween(0.68, 0.86);
    assertThat(Learned.of(9, 1, Arrays.copyOf(seen, 10)).range().high())
        .isGreaterThan(learned.range().high());
  }
}
