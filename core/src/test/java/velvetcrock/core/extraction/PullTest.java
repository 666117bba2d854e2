package velvetcrock.core.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.extraction.Pull.Leg;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.heat.Trace.Point;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;

class PullTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final CarrierBlend OLIVE = CarrierBlend.of(CATALOGUE.carrier("olive"));

  private static double pull(Trace trace, Cut cut, Agitation agitation, boolean spirit) {
    return Pull.of(List.of(new Leg(trace, agitation)), OLIVE, cut, spirit).pull();
  }

  @ParameterizedTest
  @CsvSource({
    "840, 20, CUT, DAILY, false, 0.90",
    "504, 20, CUT, DAILY, false, 0.78",
    "6, 43, GROUND, WEEKLY, false, 0.49",
    "72, 65, CUT, NONE, false, 0.80",
    "0.75, 80, CUT, SEVERAL, false, 0.33",
    "168, 30, POWDER, SEVERAL, true, 0.99"
  })
  void theCheckValuesHold(
      double hours, double celsius, Cut cut, Agitation agitation, boolean spirit, double expected) {
    assertThat(pull(Trace.steady(celsius, hours), cut, agitation, spirit))
        .isCloseTo(expected, within(0.005));
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void aSplitTracePullsTheSame(@Given int seed) {
    double from = 5 + Math.floorMod(seed, 90);
    double to = 5 + Math.floorMod(seed / 91, 90);
    double at = 10 * (0.1 + 0.8 * Math.floorMod(seed / 7, 100) / 100);
    double middleC = from + at / 10 * (to - from);
    Trace whole = new Trace(List.of(new Point(0, from), new Point(10, to)));
    Trace first = new Trace(List.of(new Point(0, from), new Point(at, middleC)));
    Trace second = new Trace(List.of(new Point(at, middleC), new Point(10, to)));

    double parts =
        Pull.of(
                List.of(new Leg(first, Agitation.DAILY), new Leg(second, Agitation.DAILY)),
                OLIVE,
                Cut.CUT,
                false)
            .pull();

    assertThat(parts).isCloseTo(pull(whole, Cut.CUT, Agitation.DAILY, false), within(1e-7));
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void longerWarmerFinerAndMoreShakenNeverPullsLess(@Given int seed) {
    double hours = 1 + Math.floorMod(seed, 500);
    double celsius = 10 + Math.floorMod(seed / 501, 60);
    Cut cut = Cut.values()[Math.floorMod(seed / 7, 3)];
    Agitation agitation = Agitation.values()[Math.floorMod(seed / 11, 4)];
    double plain = pull(Trace.steady(celsius, hours), cut, agitation, false);

    assertThat(plain).isBetween(0.0, 1.0);
    assertThat(pull(Trace.steady(celsius, hours + 1), cut, agitation, false))
        .isGreaterThanOrEqualTo(plain);
    assertThat(pull(Trace.steady(celsius + 1, hours), cut, agitation, false))
        .isGreaterThanOrEqualTo(plain);
    assertThat(pull(Trace.steady(celsius, hours), cut.finer().get(0), agitation, false))
        .isGreaterThanOrEqualTo(plain);
    assertThat(
            pull(
                Trace.steady(celsius, hours),
                cut,
                Agitation.values()[agitation.ordinal() + 1],
                false))
        .isGreaterThanOrEqualTo(plain);
    assertThat(pull(Trace.steady(celsius, hours), cut, agitation, true))
        .isGreaterThanOrEqualTo(plain);
  }

  @Test
  void noTimePullsNothing() {
    assertThat(pull(Trace.none(), Cut.POWDER, Agitation.CONTINUOUS, true)).isZero();
  }

  @Test
  void aSolidFatDoesNotInfuse() {
    CarrierBlend coconut = CarrierBlend.of(CATALOGUE.carrier("coconut"));
    List<Leg> cold = List.of(new Leg(Trace.steady(20, 100), Agitation.DAILY));
    List<Leg> warm = List.of(new Leg(Trace.steady(30, 100), Agitation.DAILY));

    assertThatThrownBy(() -> Pull.of(cold, coconut, Cut.CUT, false))
        .hasMessageContaining("solid fat does not infuse");
    assertThat(Pull.of(warm, coconut, Cut.CUT, false).pull()).isPositive();
  }

  @Test
  void theRangeStaysWithinNothingAndAll() {
    Pull all =
        Pull.of(
            List.of(new Leg(Trace.steady(40, 2000), Agitation.DAILY)), OLIVE, Cut.POWDER, false);

    assertThat(all.range().high()).isEqualTo(1);
    assertThat(all.range().low()).isCloseTo(all.pull() - 0.1, within(1e-12));
    assertThat(all.reckoning().lines()).hasSize(4);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 30, NONE",
    "3, 30, WEEKLY",
    "28, 30, DAILY",
    "90, 30, SEVERAL",
    "500, 3, CONTINUOUS"
  })
  void agitationIsReadOffTheLog(int times, double days, Agitation expected) {
    assertThat(Agitation.of(times, days)).isEqualTo(expected);
  }
}
