package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.Range;
import velvetcrock.core.heat.Assumed.Felt;
import velvetcrock.core.heat.Assumed.HandTest;
import velvetcrock.core.heat.HeatStatistics.Band;
import velvetcrock.core.heat.Trace.Point;

class HeatStatisticsTest {
  private static final Band WARM = Band.WARM;

  private static HeatStatistics of(Point... points) {
    return HeatStatistics.of(new Trace(List.of(points)), WARM, 60);
  }

  @Test
  void aRampSpendsItsTimeBelowInAndAboveTheBand() {
    HeatStatistics stats = of(new Point(0, 30), new Point(0.4, 70));

    assertThat(stats.underHours()).isCloseTo(0.08, within(1e-9));
    assertThat(stats.inBandFraction()).isCloseTo(0.3, within(1e-9));
    assertThat(stats.overHours()).isCloseTo(0.2, within(1e-9));
    assertThat(stats.aboveCeilingMinutes()).isCloseTo(6, within(1e-9));
    assertThat(stats.peakC()).isEqualTo(70);
    assertThat(stats.gapMinutes()).isZero();
  }

  @Test
  void sixMinutesAboveTheCeilingAreAnExcursionFromWhereItCrossed() {
    HeatStatistics stats = of(new Point(0, 30), new Point(0.4, 70), new Point(0.5, 50));

    assertThat(stats.excursions()).hasSize(1);
    assertThat(stats.excursions().get(0).fromHours()).isCloseTo(0.3, within(1e-9));
    assertThat(stats.excursions().get(0).toHours()).isCloseTo(0.45, within(1e-9));
    assertThat(stats.excursions().get(0).peakC()).isEqualTo(70);
  }

  @Test
  void fourMinutesAreNone() {
    HeatStatistics stats =
        of(new Point(0, 59), new Point(0.033, 61), new Point(0.066, 61), new Point(0.08, 58));

    assertThat(stats.aboveCeilingMinutes()).isPositive();
    assertThat(stats.excursions()).isEmpty();
  }

  @Test
  void twoExcursionsStayTwo() {
    HeatStatistics stats =
        of(
            new Point(0, 65),
            new Point(0.2, 65),
            new Point(0.3, 45),
            new Point(0.4, 75),
            new Point(0.7, 75));

    assertThat(stats.excursions()).hasSize(2);
    assertThat(stats.excursions().get(0).fromHours()).isZero();
    assertThat(stats.excursions().get(1).toHours()).isEqualTo(0.7);
    assertThat(stats.excursions().get(1).peakC()).isEqualTo(75);
  }

  @Test
  void aGapCountsInNoBandButAgesAlongTheLine() {
    HeatStatistics stats = of(new Point(0, 40), new Point(0.25, 40), new Point(2.25, 50));

    assertThat(stats.gapMinutes()).isCloseTo(120, within(1e-9));
    assertThat(stats.inBandFraction()).isCloseTo(0.25 / 2.25, within(1e-9));
    Trace line = new Trace(List.of(new Point(0, 40), new Point(0.25, 40), new Point(2.25, 50)));
    assertThat(stats.ageingHours()).isCloseTo(Ageing.hours(line), within(1e-9));
    assertThat(stats.ageingRange().low())
        .isCloseTo(Ageing.of(Trace.steady(40, 2.25)).gentle(), within(1e-9));
    assertThat(stats.ageingRange().high())
        .isCloseTo(
            Ageing.of(Trace.steady(40, 0.25)).plus(Ageing.of(Trace.steady(50, 2))).steep(),
            within(1e-9));
    assertThat(stats.underHours() + stats.overHours()).isZero();
  }

  @Test
  void anExcursionIsNotSeenThroughAGap() {
    HeatStatistics stats =
        of(new Point(0, 65), new Point(0.2, 65), new Point(3, 65), new Point(3.2, 65));

    assertThat(stats.excursions()).hasSize(2);
    assertThat(stats.excursions().get(0).toHours()).isEqualTo(0.2);
    assertThat(stats.excursions().get(1).fromHours()).isEqualTo(3);
  }

  @Test
  void aSteadyTemperatureIsItsOwnMean() {
    HeatStatistics stats = of(new Point(0, 43), new Point(0.5, 43), new Point(1, 43));

    assertThat(stats.meanKineticC()).isCloseTo(43, within(1e-9));
    assertThat(stats.inBandFraction()).isCloseTo(1, within(1e-12));
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void whatIsCountedAddsUpToAllHours(@Given int[] seeds) {
    java.util.ArrayList<Point> points = new java.util.ArrayList<>(List.of(new Point(0, 40)));
    for (int seed : seeds) {
      Point last = points.get(points.size() - 1);
      points.add(
          new Point(
              last.hours() + 0.01 + Math.floorMod(seed, 60) / 100.0,
              20 + Math.floorMod(seed / 61, 80)));
    }
    HeatStatistics stats = HeatStatistics.of(new Trace(points), WARM, 60);

    double counted =
        stats.underHours()
            + stats.overHours()
            + stats.inBandFraction() * stats.hours()
            + stats.gapMinutes() / 60;
    assertThat(counted).isCloseTo(stats.hours(), within(1e-9));
    assertThat(stats.ageingHours()).isGreaterThan(0);
    assertThat(stats.meanKineticC()).isLessThanOrEqualTo(stats.peakC() + 1e-9);
  }

  @Test
  void oneReadingIsNotEnough() {
    assertThatThrownBy(() -> of(new Point(0, 40))).hasMessageContaining("two readings");
  }

  @Test
  void aBandTheWrongWayRoundIsRefused() {
    assertThatThrownBy(() -> new Band(50, 38)).hasMessageContaining("band");
  }

  @Test
  void aHandsFeelingIsGoodToEightDegrees() {
    Assumed assumed =
        Assumed.of(0, List.of(new Felt(1, HandTest.HOT), new Felt(3, HandTest.HOT)), 5);
    Range ageing = assumed.ageingHours();

    assertThat(ageing.low()).isLessThan(Ageing.hours(assumed.trace()));
    assertThat(ageing.low()).isEqualTo(Ageing.of(assumed.trace().warmerBy(-8)).range().low());
    assertThat(ageing.high()).isEqualTo(Ageing.of(assumed.trace().warmerBy(8)).range().high());
    assertThatThrownBy(() -> Assumed.of(0, List.of(), 5)).hasMessageContaining("felt");
  }

  @Test
  void aBathOnABurnerIsLookedAtEveryQuarterOfAnHour() {
    assertThat(new WaterBath(60, 20, 200, 200, true).minutesToTopUp()).isEqualTo(15);
    assertThat(new WaterBath(60, 20, 200, 200, false).minutesToTopUp())
        .isCloseTo(1256.637 / (200 / 2310.0) / 60, within(0.01));
    assertThat(new WaterBath(60, 20, 200, 0, false).minutesToTopUp()).isInfinite();
    assertThatThrownBy(() -> new WaterBath(10, 20, 200, 200, true))
        .hasMessageContaining("lowestMm");
  }

  @Test
  void aTinSetsSoonerThanAPan() {
    Range tin = Cooling.minutes(75, 50, 20, 30);
    Range pan = Cooling.minutes(75, 50, 20, 500);

    assertThat(tin.middle()).isBetween(4.0, 7.0);
    assertThat(pan.low()).isGreaterThan(tin.high());
    assertThat(Cooling.minutes(45, 50, 20, 30)).isEqualTo(Range.exactly(0));
    assertThatThrownBy(() -> Cooling.minutes(75, 18, 20, 30)).hasMessageContaining("never sets");
  }
}
