package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import velvetcrock.core.heat.HeatStatistics.Band;

class ThinnedTest {
  private static final double CEILING_C = 60;

  /** A day of a cheap probe, each second, with an hour too hot and an hour of silence. */
  private static Series aDay() {
    SplittableRandom random = new SplittableRandom(3);
    Series.Builder day = Series.builder();
    for (int second = 0; second < 86_400; second++) {
      boolean silent = second > 50_000 && second < 53_600;
      if (!silent) {
        double hot = second > 20_000 && second < 23_600 ? 20 : 0;
        day.add(
            1000L * second, 43 + hot + 3 * Math.sin(second / 900.0) + 0.4 * random.nextDouble());
      }
    }
    return day.build();
  }

  private static HeatStatistics told(Series readings) {
    return HeatStatistics.of(
        new Trace(readings.points(0, Long.MAX_VALUE, 0)), Band.WARM, CEILING_C);
  }

  private static Series thinned(Series readings) {
    return Thinned.of(readings, Band.WARM.lowC(), Band.WARM.highC(), CEILING_C);
  }

  @Test
  void whatWasJudgedByItStaysAsItWas() {
    Series all = aDay();

    Series few = thinned(all);

    HeatStatistics before = told(all);
    HeatStatistics after = told(few);
    assertThat(few.size()).isLessThan(all.size() / 40);
    assertThat(after.peakC()).isEqualTo(before.peakC());
    assertThat(after.excursions()).isEqualTo(before.excursions()).isNotEmpty();
    assertThat(after.gapMinutes()).isCloseTo(before.gapMinutes(), within(1e-9));
    assertThat(after.aboveCeilingMinutes()).isCloseTo(before.aboveCeilingMinutes(), within(1e-9));
    assertThat(after.inBandFraction()).isCloseTo(before.inBandFraction(), within(1e-9));
    assertThat(after.ageingHours()).isCloseTo(before.ageingHours(), withinPercentage(1));
  }

  @Test
  void whatWasThinnedOnceStaysTheSame() {
    Series few = thinned(aDay());

    assertThat(thinned(few).points(0, Long.MAX_VALUE, 0))
        .isEqualTo(few.points(0, Long.MAX_VALUE, 0));
  }

  @Test
  void aFewReadingsAndNoneStayAsTheyAre() {
    Series three = Series.builder().add(0, 20).add(60_000, 21).add(400_000, 22).build();

    assertThat(thinned(three).size()).isEqualTo(3);
    assertThat(thinned(Series.none()).size()).isZero();
  }
}
