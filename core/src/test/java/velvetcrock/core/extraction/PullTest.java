package velvetcrock.core.extraction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.extraction.Pull.Herb;
import velvetcrock.core.extraction.Pull.Leg;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.heat.Trace.Point;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Part;

class PullTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final CarrierBlend OLIVE = CarrierBlend.of(CATALOGUE.carrier("olive"));

  private static double pull(Trace trace, Cut cut, Agitation agitation, boolean spirit) {
    return Pull.of(List.of(new Leg(trace, agitation)), OLIVE, new Herb(cut, null, spirit)).pull();
  }

  @ParameterizedTest
  @CsvSource({
    "840, 20, CUT, DAILY, false, 0.90",
    "504, 20, CUT, DAILY, false, 0.78",
    "6, 43, GROUND, WEEKLY, false, 0.49",
    "72, 65, CUT, NONE, false, 0.78",
    "24, 65, CUT, NONE, false, 0.52",
    "0.75, 80, CUT, SEVERAL, false, 0.32",
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
                new Herb(Cut.CUT, null, false))
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

    assertThatThrownBy(() -> Pull.of(cold, coconut, new Herb(Cut.CUT, null, false)))
        .hasMessageContaining("solid fat does not infuse");
    assertThat(Pull.of(warm, coconut, new Herb(Cut.CUT, null, false)).pull()).isPositive();
  }

  @Test
  void theRangeStaysWithinNothingAndAll() {
    Pull all =
        Pull.of(
            List.of(new Leg(Trace.steady(40, 2000), Agitation.DAILY)),
            OLIVE,
            new Herb(Cut.POWDER, null, false));

    assertThat(all.range().high()).isEqualTo(1);
    assertThat(all.range().low()).isBetween(0.9, all.pull());
    assertThat(all.reckoning().lines()).hasSize(5);
  }

  /** SCIENCE 8: the cold anchor is about 0.74–0.98 wide. */
  @Test
  void theColdAnchorIsAsWideAsItsGuesses() {
    Pull anchor = cold(Cut.CUT, null, 840, false);

    assertThat(anchor.range().low()).isCloseTo(0.74, within(0.01));
    assertThat(anchor.range().high()).isCloseTo(0.98, within(0.01));
    assertThat(anchor.strength()).isEqualTo(Pull.Strength.NEARLY_ALL);
    assertThat(cold(Cut.CUT, null, 840, true).range().low()).isLessThan(anchor.range().low());
  }

  @ParameterizedTest
  @CsvSource({
    "0.349, WEAK",
    "0.35, FAIR",
    "0.6, FAIR",
    "0.61, GOOD",
    "0.85, GOOD",
    "0.86, NEARLY_ALL"
  })
  void pullIsToldInWords(double pull, Pull.Strength strength) {
    assertThat(Pull.Strength.of(pull)).isEqualTo(strength);
  }

  /** Bark and root give more slowly than leaf, and resin hardly anything in the cool. */
  @Test
  void partsDiffer() {
    double leaf = cold(Cut.CUT, Part.LEAF, 500, false).pull();
    assertThat(leaf).isEqualTo(cold(Cut.CUT, null, 500, false).pull());
    assertThat(cold(Cut.CUT, Part.HEAD, 500, false).pull()).isLessThan(leaf);
    assertThat(cold(Cut.CUT, Part.RESIN, 500, false).pull())
        .isLessThan(cold(Cut.CUT, Part.ROOT, 500, false).pull());
    Herb resin = new Herb(Cut.CUT, Part.RESIN, false);
    List<Leg> hot = List.of(new Leg(Trace.steady(55, 5), Agitation.DAILY));
    assertThat(Pull.of(hot, OLIVE, resin).pull())
        .isEqualTo(Pull.of(hot, OLIVE, new Herb(Cut.CUT, Part.LEAF, false)).pull());
    Trace line = new Trace(List.of(new Point(0, 20), new Point(10, 80)));
    Trace halves = new Trace(List.of(new Point(0, 20), new Point(4, 44), new Point(10, 80)));
    assertThat(Pull.of(List.of(new Leg(halves, Agitation.DAILY)), OLIVE, resin).pull())
        .isCloseTo(
            Pull.of(List.of(new Leg(line, Agitation.DAILY)), OLIVE, resin).pull(), within(1e-7));
  }

  /** Hours in which a fat was solid count nothing; the others do. */
  @Test
  void onlyTheHoursInWhichItIsLiquidCount() {
    CarrierBlend coconut = CarrierBlend.of(CATALOGUE.carrier("coconut"));
    Herb cut = new Herb(Cut.CUT, null, false);
    Leg solid = new Leg(Trace.steady(15, 500), Agitation.DAILY);
    Leg melted = new Leg(Trace.steady(40, 6), Agitation.DAILY);

    assertThat(Pull.of(List.of(solid, melted), coconut, cut).pull())
        .isEqualTo(Pull.of(List.of(melted), coconut, cut).pull());
  }

  @Test
  void twoDaysOfOneJarAreToldApartAndTwoWaysMayNotBe() {
    Pull week = cold(Cut.CUT, null, 168, false);
    Pull month = cold(Cut.CUT, null, 720, false);
    assertThat(month.toldApartFrom(week)).isTrue();
    assertThat(week.toldApartFrom(month)).isTrue();
    Pull warm =
        Pull.of(
            List.of(new Leg(Trace.steady(60, 24), Agitation.NONE)),
            OLIVE,
            new Herb(Cut.CUT, null, false));
    Pull cold = cold(Cut.CUT, null, 144, false);
    assertThat(warm.toldApartFrom(cold)).isFalse();
  }

  @ParameterizedTest
  @InstancioSource(samples = 300)
  void theFigureLiesWithinItsEndsAndWiderWhereItIsAssumed(@Given int seed) {
    double hours = 0.1 + Math.floorMod(seed, 900);
    double celsius = 5 + Math.floorMod(seed / 901, 80);
    Herb herb =
        new Herb(
            Cut.values()[Math.floorMod(seed / 7, 4)],
            Part.values()[Math.floorMod(seed / 29, 6)],
            Math.floorMod(seed, 2) == 0);
    List<Leg> legs = List.of(new Leg(Trace.steady(celsius, hours), Agitation.WEEKLY));
    Pull pull = Pull.of(legs, OLIVE, herb);
    Pull assumed = Pull.of(legs, OLIVE, herb, true);

    assertThat(pull.range().low()).isBetween(0.0, pull.pull());
    assertThat(pull.range().high()).isBetween(pull.pull(), 1.0);
    assertThat(assumed.pull()).isEqualTo(pull.pull());
    assertThat(assumed.range().low()).isLessThanOrEqualTo(pull.range().low());
    assertThat(assumed.range().high()).isGreaterThanOrEqualTo(pull.range().high());
  }

  private static Pull cold(Cut cut, @Nullable Part part, double hours, boolean assumed) {
    List<Leg> legs = List.of(new Leg(Trace.steady(20, hours), Agitation.DAILY));
    return Pull.of(legs, OLIVE, new Herb(cut, part, false), assumed);
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
