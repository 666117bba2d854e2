package velvetcrock.stove;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Random;
import org.junit.jupiter.api.Test;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.materia.Method;

class PracticePotTest {
  private static final Instant BEGIN = Instant.parse("2026-03-02T08:00:00Z");

  @Test
  void sixHoursPassInThreeMinutesAndNoMore() {
    PracticePot pot = pot(Appliance.ELECTRIC_PLATE, Method.WARM);
    pot.turn("1");
    for (int second = 1; second <= 200; second++) {
      pot.follow(BEGIN.plusSeconds(second));
    }
    assertThat(pot.done()).isTrue();
    assertThat(pot.hours()).isEqualTo(6);
    assertThat(pot.statistics().hours()).isEqualTo(6);
    assertThat(pot.pointsFrom(0)).hasSize(6 * 120 + 1);
    assertThat(pot.pointsFrom(700)).hasSize(21);
  }

  @Test
  void aGentleKnobKeepsItInItsBandAndAHardOneDoesNot() {
    PracticePot gentle = pot(Appliance.ELECTRIC_PLATE, Method.WARM);
    gentle.turn("1");
    gentle.run(6 * 3600);
    PracticePot hard = pot(Appliance.SLOW_COOKER, Method.WARM);
    hard.turn("high");
    hard.run(6 * 3600);

    assertThat(gentle.statistics().inBandFraction()).isGreaterThan(0.85);
    assertThat(hard.statistics().inBandFraction()).isLessThan(0.2);
    assertThat(hard.statistics().excursions()).isNotEmpty();
  }

  @Test
  void somebodyOpensTheWindowOnceAndItStaysOpenUntilItIsShut() {
    PracticePot pot = pot(Appliance.YOGHURT_MAKER, Method.WARM);
    pot.turn("on");
    pot.run(4.5 * 3600);
    assertThat(pot.windowOpen()).isTrue();
    double cold = pot.celsius();
    pot.shutWindow();
    pot.run(1.4 * 3600);
    assertThat(pot.windowOpen()).isFalse();
    assertThat(pot.celsius()).isGreaterThan(cold);
  }

  @Test
  void aBathBeginsHalfFullAndRunsLowUntilItIsToppedUp() {
    PracticePot pot = pot(Appliance.GAS_RING, Method.SIMMER);
    assertThat(pot.waterShare()).isEqualTo(0.55);
    pot.turn("medium");
    pot.run(3 * 3600);
    assertThat(pot.waterLow()).isTrue();
    pot.topUp();
    assertThat(pot.waterShare()).isEqualTo(1);
    assertThat(pot(Appliance.OVEN, Method.CROCK).waterShare()).isEqualTo(1);
  }

  @Test
  void aLaptopThatSleptFindsItsPotAsItLeftIt() {
    PracticePot pot = pot(Appliance.ELECTRIC_PLATE, Method.WARM);
    pot.follow(BEGIN.plusSeconds(1));
    double before = pot.hours();
    pot.follow(BEGIN.plusSeconds(3600));
    assertThat(pot.hours()).isEqualTo(before);
    pot.follow(BEGIN.plusSeconds(3601));
    assertThat(pot.hours()).isGreaterThan(before);
  }

  private static PracticePot pot(Appliance appliance, Method method) {
    return new PracticePot(appliance, method, new Random(1), BEGIN);
  }
}
