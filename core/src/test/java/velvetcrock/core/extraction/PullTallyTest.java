package velvetcrock.core.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;

/** Pull reckoned as readings come in. */
class PullTallyTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final CarrierBlend OLIVE = CarrierBlend.of(CATALOGUE.carrier("olive"));

  @ParameterizedTest
  @InstancioSource(samples = 60)
  void readingByReadingItIsTheWholeTraces(@Given int seed) {
    Random random = new Random(seed);
    List<Trace.Point> points = new ArrayList<>();
    double hours = 0;
    for (int i = 0; i < 50; i++) {
      points.add(new Trace.Point(hours, 20 + 60 * random.nextDouble()));
      hours += 0.05 + 0.4 * random.nextDouble();
    }
    PullTally tally =
        new PullTally(OLIVE, new Pull.Herb(Cut.GROUND, null, false), Agitation.WEEKLY);
    points.forEach(p -> tally.add(p.hours(), p.celsius(), true));
    Pull whole =
        Pull.of(
            List.of(new Pull.Leg(new Trace(points), Agitation.WEEKLY)),
            OLIVE,
            new Pull.Herb(Cut.GROUND, null, false));
    assertThat(tally.pull().pull()).isCloseTo(whole.pull(), within(1e-9));
  }

  @ParameterizedTest
  @EnumSource(Agitation.class)
  void moreMovingNeverDrawsLess(Agitation agitation) {
    assertThat(steady(agitation, 43, 6)).isGreaterThanOrEqualTo(steady(Agitation.NONE, 43, 6));
  }

  @Test
  void aSilenceDrawsAlongItsLineAndWhatIsAssumedIsWider() {
    PullTally gap = new PullTally(OLIVE, new Pull.Herb(Cut.CUT, null, false), Agitation.NONE);
    gap.add(0, 30, true);
    gap.add(2, 60, true);
    PullTally assumed = new PullTally(OLIVE, new Pull.Herb(Cut.CUT, null, false), Agitation.NONE);
    assumed.add(0, 30, false);
    assumed.add(2, 60, false);
    assertThat(gap.pull().pull()).isEqualTo(assumed.pull().pull());
    assertThat(assumed.pull().range().low()).isLessThan(gap.pull().range().low());
    assertThat(assumed.pull().range().high()).isGreaterThan(gap.pull().range().high());
  }

  @Test
  void aSolidFatDrawsNothingUntilItHasMelted() {
    CarrierBlend coconut = CarrierBlend.of(CATALOGUE.carrier("coconut"));
    PullTally tally = new PullTally(coconut, new Pull.Herb(Cut.CUT, null, false), Agitation.NONE);
    tally.add(0, 18, true);
    tally.add(0.4, 20, true);
    assertThat(tally.pull().pull()).isZero();
    assertThat(tally.pullWith(100, 20).pull()).isZero();
    tally.add(0.6, 40, true);
    tally.add(1.0, 45, true);
    assertThat(tally.pull().pull()).isPositive();
  }

  @Test
  void hoursBesidesCountAtTheirOwnWarmth() {
    PullTally warm = new PullTally(OLIVE, new Pull.Herb(Cut.CUT, null, false), Agitation.DAILY);
    warm.add(0, 43, true);
    warm.add(0.4, 43, true);
    double alone = warm.pull().pull();
    double weeks = warm.pullWith(35 * 24, 20).pull();
    assertThat(alone).isLessThan(0.2);
    assertThat(weeks).isBetween(0.89, 0.93);
    assertThat(
            new PullTally(OLIVE, new Pull.Herb(Cut.CUT, null, false), Agitation.DAILY)
                .pullWith(0, 20)
                .pull())
        .isZero();
  }

  private static double steady(Agitation agitation, double celsius, double hours) {
    PullTally tally = new PullTally(OLIVE, new Pull.Herb(Cut.CUT, null, false), agitation);
    tally.add(0, celsius, false);
    tally.add(hours, celsius, false);
    return tally.pull().pull();
  }
}
