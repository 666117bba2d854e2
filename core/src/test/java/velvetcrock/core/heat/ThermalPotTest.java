package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The stand-in against what can be worked out on paper. */
class ThermalPotTest {
  private static final double ROOM = 20;

  /**
   * Two lumps on paper: x' = M·x + b with x the excess of body and oil over the room, by the
   * eigenvalues of M.
   */
  private static double[] onPaper(
      Appliance appliance, double watts, double bodyC, double oilC, double seconds) {
    double jar = appliance.jarCapacity();
    double body = appliance.heatCapacity() - jar;
    double k = appliance.jarWPerK();
    double a = -(appliance.lossWPerK() + k) / body;
    double b = k / body;
    double c = k / jar;
    double rest = watts / appliance.lossWPerK();
    double trace = a - c;
    double determinant = -a * c - b * c;
    double root = Math.sqrt(trace * trace - 4 * determinant);
    double fast = (trace - root) / 2;
    double slow = (trace + root) / 2;
    double x = bodyC - ROOM - rest;
    double y = oilC - ROOM - rest;
    // eigenvectors (λ + c, c)
    double beta = (x * c - y * (fast + c)) / (c * (slow - fast));
    double alpha = y / c - beta;
    double grown = alpha * Math.exp(fast * seconds);
    double kept = beta * Math.exp(slow * seconds);
    return new double[] {
      ROOM + rest + grown * (fast + c) + kept * (slow + c), ROOM + rest + c * (grown + kept)
    };
  }

  @ParameterizedTest
  @CsvSource({"600", "1800", "3600", "14400"})
  void bodyAndOilHeatAsOnPaper(double seconds) {
    Appliance crock = Appliance.SLOW_COOKER;
    ThermalPot pot = new ThermalPot(crock, ROOM);
    pot.turn(crock.setting("warm"));
    pot.run(seconds);

    double[] paper = onPaper(crock, crock.setting("warm").watts(), ROOM, ROOM, seconds);
    assertThat(pot.bodyC()).isCloseTo(paper[0], within(1e-5));
    assertThat(pot.celsius()).isCloseTo(paper[1], within(1e-5));
    assertThat(pot.celsius()).isLessThan(pot.bodyC());
  }

  @ParameterizedTest
  @CsvSource({"300", "2700", "9000"})
  void bodyAndOilCoolAsOnPaper(double seconds) {
    Appliance crock = Appliance.SLOW_COOKER;
    ThermalPot pot = new ThermalPot(crock, ROOM);
    pot.warmTo(65);
    pot.run(seconds);

    double[] paper = onPaper(crock, 0, 65, 65, seconds);
    assertThat(pot.bodyC()).isCloseTo(paper[0], within(1e-5));
    assertThat(pot.celsius()).isCloseTo(paper[1], within(1e-5));
  }

  @Test
  void aThermostatHoldsTheBodyAndTheOilSwingsLess() {
    Appliance box = Appliance.DEHYDRATOR;
    Appliance.Setting at = box.setting("42");
    ThermalPot pot = new ThermalPot(box, ROOM);
    pot.turn(at);
    pot.run(3 * 3600);
    double[] body = {Double.MAX_VALUE, -Double.MAX_VALUE};
    double[] oil = {Double.MAX_VALUE, -Double.MAX_VALUE};
    for (int step = 0; step < 3600 / ThermalPot.STEP_S; step++) {
      pot.run(ThermalPot.STEP_S);
      widen(body, pot.bodyC());
      widen(oil, pot.celsius());
    }

    assertThat(body[0]).isCloseTo(at.thermostatC() - at.swingC(), within(0.3));
    assertThat(body[1]).isCloseTo(at.thermostatC() + at.swingC(), within(0.5));
    assertThat(oil[1] - oil[0]).isLessThan((body[1] - body[0]) / 2);
    assertThat((oil[0] + oil[1]) / 2).isCloseTo(at.thermostatC(), within(1.0));
  }

  private static void widen(double[] span, double to) {
    span[0] = Math.min(span[0], to);
    span[1] = Math.max(span[1], to);
  }

  /** A jar in a bath lags by some ten minutes, and rises on once the knob is turned down. */
  @Test
  void theOilLagsAndOvershoots() {
    ThermalPot pot = new ThermalPot(Appliance.GAS_RING, ROOM);
    pot.turn(Appliance.GAS_RING.setting("medium"));
    pot.run(900);
    double reached = pot.bodyC();
    double lagS = 0;
    while (pot.celsius() < reached) {
      pot.run(30);
      lagS += 30;
    }
    assertThat(lagS).isBetween(420.0, 900.0);

    ThermalPot steep = new ThermalPot(Appliance.GAS_RING, ROOM);
    steep.turn(Appliance.GAS_RING.setting("medium"));
    steep.run(600);
    double turnedDown = steep.celsius();
    steep.turn(Appliance.OFF);
    steep.run(600);
    assertThat(steep.celsius()).isGreaterThan(turnedDown + 3);
    steep.run(6 * 3600);
    assertThat(steep.celsius()).isLessThan(turnedDown);
  }

  @Test
  void aLidKeepsNineTenthsOfTheWaterAndMakesItHotter() {
    ThermalPot open = new ThermalPot(Appliance.ELECTRIC_PLATE, ROOM);
    ThermalPot shut = new ThermalPot(Appliance.ELECTRIC_PLATE, ROOM);
    shut.lid(true);
    for (ThermalPot pot : List.of(open, shut)) {
      pot.turn(Appliance.ELECTRIC_PLATE.setting("2"));
      pot.run(4 * 3600);
    }
    double lost = Appliance.ELECTRIC_PLATE.waterG() - open.waterG();
    double keptUnder = Appliance.ELECTRIC_PLATE.waterG() - shut.waterG();
    assertThat(keptUnder / lost).isBetween(0.08, 0.13);
    assertThat(shut.lidded()).isTrue();
    shut.lid(false);
    assertThat(shut.lidded()).isFalse();
  }

  @Test
  void aBathBoilsAtAHundredUntilItIsDryAndThenRunsAway() {
    ThermalPot pot = new ThermalPot(Appliance.GAS_RING, ROOM);
    pot.turn(Appliance.GAS_RING.setting("medium"));
    pot.fill(400);
    double hottestWet = 0;
    for (int minute = 0; minute < 240 && pot.waterG() > 0; minute++) {
      pot.run(60);
      hottestWet = Math.max(hottestWet, pot.waterG() > 0 ? pot.celsius() : 0);
    }
    assertThat(pot.waterG()).isZero();
    assertThat(hottestWet).isBetween(90.0, 100.0);
    pot.run(1200);
    assertThat(pot.celsius()).isGreaterThan(120);
  }

  @Test
  void waterThatEvaporatesCoolsAndIsGone() {
    ThermalPot dry = new ThermalPot(Appliance.GAS_RING, ROOM);
    ThermalPot wet = new ThermalPot(Appliance.GAS_RING, ROOM);
    dry.fill(0);
    dry.turn(Appliance.GAS_RING.setting("lowest"));
    wet.turn(Appliance.GAS_RING.setting("lowest"));
    dry.run(4 * 3600);
    wet.run(4 * 3600);
    assertThat(wet.celsius()).isLessThan(dry.celsius() - 5);
    assertThat(wet.waterG()).isBetween(1000.0, 1990.0);
    double before = wet.bodyC();
    wet.fill(2000);
    assertThat(wet.bodyC()).isLessThan(before);
  }

  @Test
  void anOpenWindowAndADraughtPullItDown() {
    ThermalPot pot = new ThermalPot(Appliance.YOGHURT_MAKER, ROOM);
    pot.turn(Appliance.YOGHURT_MAKER.setting("on"));
    pot.run(12 * 3600);
    double shut = pot.celsius();
    pot.surround(8, 1.6);
    pot.run(3600);
    assertThat(pot.celsius()).isLessThan(shut - 5);
  }

  @Test
  void theSunComesAndGoesEachDay() {
    assertThat(SunnyDay.celsius(14, 20)).isGreaterThan(SunnyDay.celsius(5, 20) + 8);
    Trace three = SunnyDay.course(72, 0, 20);
    assertThat(three.hours()).isEqualTo(72);
    assertThat(Ageing.hours(three)).isGreaterThan(72);
    assertThat(SunnyDay.celsius(-10, 20)).isEqualTo(SunnyDay.celsius(14, 20));
  }

  @Test
  void everySettingOfEveryApplianceStaysWithinWhatKitchensKnow() {
    for (Appliance appliance : Appliance.values()) {
      double before = 0;
      for (Appliance.Setting setting : appliance.settings()) {
        ThermalPot pot = new ThermalPot(appliance, ROOM);
        pot.startAt(12);
        pot.turn(setting);
        pot.run(3600);
        assertThat(pot.celsius()).isBetween(19.0, 130.0).isGreaterThanOrEqualTo(before);
        before = pot.celsius();
      }
    }
    assertThat(Appliance.OVEN.setting("no such")).isEqualTo(Appliance.OFF);
  }

  @ParameterizedTest
  @CsvSource({
    "SLOW_COOKER, warm, 66, 70",
    "SLOW_COOKER, low, 84, 92",
    "YOGHURT_MAKER, on, 41, 45",
    "DEHYDRATOR, 42, 40, 44",
    "ELECTRIC_PLATE, 1, 42, 46",
    "CUPBOARD, shut, 19.9, 20.1"
  })
  void whereNothingIsLearnedASettingIsTypicalOfItsKind(
      Appliance kind, String setting, double low, double high) {
    Settled typical = ThermalPot.typical(kind, kind.setting(setting));
    assertThat(typical.meanC()).isBetween(low, high);
    assertThat(typical.minutes()).isBetween(0.0, 360.0);
  }

  @Test
  void turnedOffItCoolsAndTurnedOnItRises() {
    ThermalPot pot = new ThermalPot(Appliance.SLOW_COOKER, ROOM);
    pot.turn(Appliance.SLOW_COOKER.setting("high"));
    pot.run(3600);
    double hot = pot.celsius();
    assertThat(pot.heating()).isTrue();
    pot.turn(Appliance.OFF);
    pot.run(600);
    assertThat(pot.celsius()).isLessThan(hot);
    assertThat(pot.heating()).isFalse();
    assertThat(pot.setting()).isEqualTo(Appliance.OFF);
    assertThat(pot.appliance()).isEqualTo(Appliance.SLOW_COOKER);
  }
}
