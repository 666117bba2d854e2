package velvetcrock.core.moisture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.Problem;
import velvetcrock.core.Refused;
import velvetcrock.core.moisture.DryingCurve.Way;
import velvetcrock.core.moisture.DryingCurve.Weighing;

class MoistureTest {
  @Test
  void aHundredGramsOfFreshFlowersDryToSeventeen() {
    Moisture moisture = Moisture.of(100, 0.85, 0.10);

    assertThat(moisture.dryMatterG()).isCloseTo(15, within(1e-9));
    assertThat(moisture.waterG()).isCloseTo(85, within(1e-9));
    assertThat(moisture.targetMassG()).isCloseTo(16.667, within(0.001));
    assertThat(moisture.reckoning().lines()).hasSize(3);
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void theWaterContentIsFoundAgainByWeighing(@Given int seed) {
    double fraction = Math.floorMod(seed, 970) / 1000.0;
    double target = Math.floorMod(seed / 970, 970) / 1000.0;
    Moisture moisture = Moisture.of(50, fraction, target);

    assertThat(Moisture.fractionOf(moisture.dryMatterG(), moisture.targetMassG()))
        .isCloseTo(target, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"0, 0.8, 0.1", "100, 1.0, 0.1", "100, 0.8, -0.1", "NaN, 0.8, 0.1", "100, NaN, 0.1"})
  void whatCannotBeIsRefused(double massG, double fraction, double target) {
    assertThatThrownBy(() -> Moisture.of(massG, fraction, target)).isInstanceOf(Refused.class);
  }

  @Test
  void aCurveIsFoundAgainFromItsOwnPoints() {
    double k = 0.02;
    double n = 1.1;
    List<Weighing> weighings =
        List.of(24.0, 48.0, 96.0).stream()
            .map(t -> new Weighing(t, 30 + 170 * Math.exp(-k * Math.pow(t, n))))
            .toList();

    DryingCurve curve = DryingCurve.fit(200, 0.85, 0.10, weighings);

    double end = Math.pow(-Math.log((30 / 0.9 - 30) / 170) / k, 1 / n);
    assertThat(curve.k()).isCloseTo(k, within(1e-6));
    assertThat(curve.n()).isCloseTo(n, within(1e-6));
    assertThat(curve.hoursLeft()).isCloseTo(end - 96, within(1e-4));
    assertThat(curve.hoursLeftRange().low()).isLessThan(curve.hoursLeft());
    assertThat(curve.hoursLeftRange().high()).isGreaterThan(curve.hoursLeft());
    assertThat(curve.massAt(48, 200, 30)).isCloseTo(weighings.get(1).massG(), within(1e-6));
    assertThat(curve.fractions()).hasSize(3).isSortedAccordingTo((a, b) -> Double.compare(b, a));
  }

  @Test
  void oneWeighingIsEnoughForAFirstGuess() {
    DryingCurve curve =
        DryingCurve.fit(200, 0.85, 0.10, List.of(new Weighing(0, 200), new Weighing(24, 115)));

    assertThat(curve.n()).isEqualTo(1);
    assertThat(curve.k()).isCloseTo(Math.log(2) / 24, within(1e-9));
    assertThat(curve.hoursLeftRange().high()).isGreaterThan(1.2 * curve.hoursLeft());
  }

  @Test
  void whatHasReachedItsTargetHasNoHoursLeft() {
    DryingCurve curve =
        DryingCurve.fit(200, 0.85, 0.10, List.of(new Weighing(24, 80), new Weighing(72, 33)));

    assertThat(curve.hoursLeft()).isZero();
    assertThat(curve.hoursLeftRange().high()).isZero();
  }

  @Test
  void sillyWeighingsAreRefusedEachByItsLine() {
    List<Weighing> silly =
        List.of(
            new Weighing(5, 210),
            new Weighing(10, 100),
            new Weighing(20, 120),
            new Weighing(9, 20));

    assertThatThrownBy(() -> DryingCurve.fit(200, 0.85, 0.10, silly))
        .isInstanceOfSatisfying(
            Refused.class,
            refused ->
                assertThat(refused.problems())
                    .extracting(Problem::field)
                    .containsExactly(
                        "weighings[0].massG",
                        "weighings[2].massG",
                        "weighings[3].hours",
                        "weighings[3].massG"));
  }

  @Test
  void aLoadThatHasLostNothingYetIsToBeWeighedAgain() {
    assertThatThrownBy(() -> DryingCurve.fit(200, 0.85, 0.10, List.of(new Weighing(1, 200))))
        .hasMessageContaining("again");
  }

  @ParameterizedTest
  @EnumSource(Way.class)
  void everyWayOfDryingHasAnExpectation(Way way) {
    assertThat(DryingCurve.expectedHours(way, 0.85, 0.10).low()).isPositive();
  }

  @Test
  void aBunchTakesTwoToFourWeeks() {
    var range = DryingCurve.expectedHours(Way.BUNCH, 0.85, 0.10);

    assertThat(range.low() / 24).isBetween(10.0, 14.5);
    assertThat(range.high() / 24).isBetween(28.0, 37.0);
  }

  @ParameterizedTest
  @CsvSource({"0.85, 0.976", "0.65, 0.927"})
  void aPotIsDryWhenItsHerbIsDownToTheBoundWater(double fraction, double share) {
    assertThat(Moisture.freeWaterG(100, fraction) / (100 * fraction))
        .isCloseTo(share, within(0.0005));
  }

  private static WeighingDown pot(Weighing... weighings) {
    return WeighingDown.of(Moisture.freeWaterG(100, 0.85), 100, 900, List.of(weighings));
  }

  @Test
  void thePotSaysHowFarItIsAndHowLongItTakes() {
    WeighingDown pot = pot(new Weighing(1, 880), new Weighing(2, 850));

    assertThat(pot.targetG()).isCloseTo(817.0, within(0.1));
    assertThat(pot.goneShare()).isCloseTo(50 / (0.97594 * 85), within(1e-3));
    assertThat(pot.done()).isFalse();
    assertThat(pot.hoursLeft()).hasValueCloseTo((850 - pot.targetG()) / 30, within(1e-9));
  }

  @Test
  void aPotThatNoLongerLosesHasNoForecast() {
    assertThat(pot(new Weighing(1, 880), new Weighing(2, 880)).hoursLeft()).isEmpty();
    assertThat(pot().hoursLeft()).isEmpty();
  }

  @Test
  void aPotBelowItsTargetIsDry() {
    WeighingDown pot = pot(new Weighing(3, 815));

    assertThat(pot.done()).isTrue();
    assertThat(pot.hoursLeft()).hasValue(0);
    assertThat(pot.goneShare()).isEqualTo(1);
  }

  @ParameterizedTest
  @CsvSource({"905, nothing has been added", "700, cannot have lost more"})
  void aPotThatGainsOrLosesWhatItCannotIsRefused(double grams, String said) {
    assertThatThrownBy(() -> pot(new Weighing(1, grams)))
        .hasMessageContaining("weighings[0].massG")
        .hasMessageContaining(said);
  }

  @Test
  void waterOnARinsedLeafCountsAsItsWater() {
    assertThat(Moisture.rinsed(100, 0.85, 110)).isCloseTo(95.0 / 110, within(1e-9));
    assertThat(Moisture.rinsed(100, 0.85, 100)).isCloseTo(0.85, within(1e-9));
    assertThatThrownBy(() -> Moisture.rinsed(100, 0.85, 90)).hasMessageContaining("heavier");
    assertThatThrownBy(() -> Moisture.rinsed(100, 0.85, 900)).hasMessageContaining("Shake it dry");
  }
}
