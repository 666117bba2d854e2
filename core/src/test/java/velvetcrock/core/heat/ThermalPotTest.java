package velvetcrock.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The stand-in against what can be worked out on paper. */
class ThermalPotTest {
  private static final double ROOM = 20;

  @ParameterizedTest
  @CsvSource({"600", "1800", "3600", "14400"})
  void itHeatsAsNewtonSays(double seconds) {
    Appliance crock = Appliance.SLOW_COOKER;
    ThermalPot pot = new ThermalPot(crock, ROOM);
    pot.turn(crock.setting("warm"));
    pot.run(seconds);

    double rise = crock.setting("warm").watts() / crock.lossWPerK();
    double tau = crock.heatCapacity() / crock.lossWPerK();
    assertThat(pot.celsius()).isCloseTo(ROOM + rise * (1 - Math.exp(-seconds / tau)), within(1e-6));
  }

  @ParameterizedTest
  @CsvSource({"300", "2700", "9000"})
  void itCoolsAsNewtonSays(double seconds) {
    Appliance crock = Appliance.SLOW_COOKER;
    ThermalPot pot = new ThermalPot(crock, ROOM);
    pot.warmTo(65);
    pot.run(seconds);

    double tau = crock.heatCapacity() / crock.lossWPerK();
    assertThat(pot.celsius()).isCloseTo(ROOM + 45 * Math.exp(-seconds / tau), within(1e-6));
  }

  @Test
  void aThermostatSwitchesWithTheClosedFormsPeriod() {
    Appliance box = Appliance.DEHYDRATOR;
    Appliance.Setting at = box.setting("42");
    ThermalPot pot = new ThermalPot(box, ROOM);
    pot.warmTo(42);
    pot.turn(at);
    List<Double> switchedOn = new ArrayList<>();
    boolean before = pot.heating();
    for (int step = 0; step < 4 * 3600 / ThermalPot.STEP_S; step++) {
      pot.run(ThermalPot.STEP_S);
      if (pot.heating() && !before) {
        switchedOn.add(pot.seconds());
      }
      before = pot.heating();
    }

    double tau = box.heatCapacity() / box.lossWPerK();
    double high = at.thermostatC() + at.swingC() - ROOM;
    double low = at.thermostatC() - at.swingC() - ROOM;
    double most = at.watts() / box.lossWPerK();
    double period = tau * Math.log(high / low) + tau * Math.log((most - low) / (most - high));
    double measured =
        (switchedOn.get(switchedOn.size() - 1) - switchedOn.get(0)) / (switchedOn.size() - 1);
    assertThat(measured).isCloseTo(period, within(2 * ThermalPot.STEP_S));
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
    double before = wet.celsius();
    wet.fill(2000);
    assertThat(wet.celsius()).isLessThan(before);
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
