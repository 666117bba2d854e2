package velvetcrock.stove;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.batch.BatchReadings;
import velvetcrock.batch.BatchRecord;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.Bath;
import velvetcrock.core.batch.BathToppedUp;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.KnobTurned;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Series;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.web.Formats;

/** What the stove says of a pot, from its log and its readings alone. */
class PotWordsTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Cautions CAUTIONS = Cautions.shipped();
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final Instant CHARGED = Instant.parse("2026-03-02T08:00:00Z");
  private static final Bath BATH = new Bath("Big pan", 60, 20, 220, 60);

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();
  private Series series = Series.none();
  private Kitchen kitchen = Kitchen.METRIC;
  private boolean fromFile;

  @Test
  void aSteadyPotIsLeftAlone() {
    charge(Method.WARM);
    on(Appliance.YOGHURT_MAKER, "on", null);
    readings(0, 180, minute -> 43);
    PotRow row = row(180);
    assertThat(row.thermo().mood()).isEqualTo("in");
    assertThat(row.thermo().temperature()).isEqualTo("43.0");
    assertThat(row.thermo().trend()).isEqualTo("steady");
    assertThat(row.say()).isEqualTo("Leave it as it is.");
    assertThat(row.alarm()).isFalse();
    assertThat(row.course().served()).isEqualTo("3 h");
    assertThat(row.course().window()).isEqualTo("4 h to 12 h, usually 6 h");
    assertThat(row.course().servedPercent()).isEqualTo(25);
    assertThat(row.way()).isEqualTo("Warm · Yoghurt maker on on");
  }

  @Test
  void aPotThatWillLeaveItsBandSaysWhenAndWhatToDo() {
    charge(Method.WARM);
    on(Appliance.YOGHURT_MAKER, "on", null);
    readings(0, 60, minute -> minute < 48 ? 42 : 42 + (minute - 48) * 0.5);
    PotRow row = row(60);
    assertThat(row.thermo().mood()).isEqualTo("near");
    assertThat(row.thermo().trend()).startsWith("rising, leaves the band in about ");
    assertThat(row.say()).isEqualTo("Turn it down a touch.");
    assertThat(row.alarm()).isFalse();
  }

  @Test
  void aFallingPotIsTurnedUpATouch() {
    charge(Method.WARM);
    on(Appliance.YOGHURT_MAKER, "on", null);
    readings(0, 60, minute -> minute < 48 ? 45 : 45 - (minute - 48) * 0.4);
    assertThat(row(60).say()).isEqualTo("Turn it up a touch.");
    assertThat(row(60).thermo().trend()).startsWith("falling");
  }

  @Test
  void aThermostatsSwingIsNoReasonToRun() {
    charge(Method.WARM);
    on(Appliance.ELECTRIC_PLATE, "1", null);
    readings(0, 120, minute -> 44 + 3 * Math.sin(minute / 2.5));
    PotRow row = row(120);
    assertThat(row.thermo().trend()).isEqualTo("swinging, 41–47 °C");
    assertThat(row.thermo().mood()).isEqualTo("in");
  }

  @Test
  void warmingUpIsNoAlarmButFallingOutIs() {
    charge(Method.WARM);
    on(Appliance.YOGHURT_MAKER, "on", null);
    readings(0, 30, minute -> 20 + minute * 0.4);
    assertThat(row(30).thermo().moodWords()).isEqualTo("warming up");
    assertThat(row(30).thermo().trend()).contains("in the band in about");
    assertThat(row(30).alarm()).isFalse();

    readings(30, 90, minute -> 43);
    readings(90, 130, minute -> 43 - (minute - 90) * 0.2);
    PotRow row = row(130);
    assertThat(row.thermo().moodWords()).isEqualTo("below the band");
    assertThat(row.alarm()).isTrue();
    assertThat(row.say()).isEqualTo("Turn it up a little.");

    readings(130, 150, minute -> 35 + (minute - 130) * 0.1);
    assertThat(row(150).alarm()).isFalse();
    assertThat(row(150).say()).isEqualTo("It comes back by itself.");
  }

  @ParameterizedTest
  @CsvSource({
    "55, above the band, Turn it down.",
    "91, above its ceiling, 'Turn it down, lift the jar off, or cool the bath with water.'"
  })
  void tooHotIsAnAlarm(double celsius, String mood, String say) {
    charge(Method.WARM);
    on(Appliance.GAS_RING, "low", BATH);
    topUp(58);
    readings(0, 60, minute -> celsius);
    PotRow row = row(60);
    assertThat(row.thermo().moodWords()).isEqualTo(mood);
    assertThat(row.say()).isEqualTo(say);
    assertThat(row.alarm()).isTrue();
    assertThat(row.thermo().mood()).isEqualTo("out");
  }

  @Test
  void aBathCountsDownAndThenCalls() {
    charge(Method.WARM);
    on(Appliance.ELECTRIC_PLATE, "1", BATH);
    readings(0, 20, minute -> 43);
    assertThat(row(14).water().bathBy()).isEqualTo(at(15).toEpochMilli());
    assertThat(row(14).water().bath()).isEqualTo("Big pan: water until");
    PotRow late = row(20);
    assertThat(late.alarm()).isTrue();
    assertThat(late.say()).startsWith("Top up the bath with hot water.");
    assertThat(late.cautions()).extracting(PotRow.Warning::level).containsExactly("careful");
    topUp(20);
    assertThat(row(20).alarm()).isFalse();
  }

  @Test
  void aBathOnNoBurnerIsForecastByItsWater() {
    charge(Method.WARM);
    on(Appliance.OVEN, "50", BATH);
    double minutes = (60 - 20) * Math.PI / 4 * 220 * 220 / 1000 / (60 / 2310.0) / 60;
    assertThat(row(1).water().bathBy())
        .isBetween(at(minutes).toEpochMilli() - 1000, at(minutes).toEpochMilli() + 1000);
  }

  @Test
  void silenceOfAProbeCallsButAFilesDoesNot() {
    charge(Method.WARM);
    on(Appliance.YOGHURT_MAKER, "on", null);
    readings(0, 60, minute -> 43);
    assertThat(row(63).thermo().mood()).isEqualTo("in");
    PotRow silent = row(66);
    assertThat(silent.thermo().mood()).isEqualTo("silent");
    assertThat(silent.alarm()).isTrue();
    fromFile = true;
    assertThat(row(66).alarm()).isFalse();
    assertThat(row(66).thermo().source()).isEqualTo("From a file, 6 min ago");
  }

  @Test
  void servedItsTimeItMayComeOffAndLateItCalls() {
    charge(Method.WARM);
    on(Appliance.YOGHURT_MAKER, "on", null);
    readings(0, 13 * 60, minute -> 43);
    assertThat(row(6 * 60, 6 * 60).thermo().moodWords()).isEqualTo("has had its time");
    PotRow late = row(12 * 60 + 30, 12 * 60 + 30);
    assertThat(late.thermo().moodWords()).isEqualTo("longer than it should");
    assertThat(late.alarm()).isTrue();
    happens(13 * 60, new TakenOffHeat());
    assertThat(row(13 * 60 + 5).say()).isEqualTo("Strain it while it is warm.");
    assertThat(row(13 * 60 + 5).thermo().mood()).isEqualTo("done");
  }

  @Test
  void fryingAndSpiritOnAFlameAreStopped() {
    charge(Method.OVEN);
    on(Appliance.OVEN, "100", null);
    readings(0, 60, minute -> 104);
    assertThat(row(60).cautions()).extracting(PotRow.Warning::level).containsExactly("stop");
    assertThat(row(60).cautions().get(0).text()).contains("fries");
    assertThat(row(60).alarm()).isTrue();
  }

  @Test
  void anAssumedPotAsksForAReadingWhereItMatters() {
    charge(Method.CROCK);
    happens(0, new PutOnHeat(heater(Appliance.SLOW_COOKER), knob("low", 88.0), null));
    PotRow row = row(240);
    assertThat(row.thermo().moodWords()).isEqualTo("likely too hot");
    assertThat(row.say()).startsWith("Read a thermometer");
    assertThat(row.alarm()).isFalse();
    assertThat(row.thermo().temperature()).doesNotContain(".");
  }

  @Test
  void aCoolAssumedPotIsLeftToWarm() {
    charge(Method.CROCK);
    happens(0, new PutOnHeat(heater(Appliance.SLOW_COOKER), knob("warm", 40.0), null));
    assertThat(row(240).thermo().moodWords()).isEqualTo("likely below the band");
    happens(241, new KnobTurned(knob("low", 62.0)));
    assertThat(row(600).thermo().moodWords()).isEqualTo("likely in the band");
  }

  @Test
  void anAmericanKitchenReadsFahrenheit() {
    kitchen = Kitchen.US;
    charge(Method.WARM);
    on(Appliance.YOGHURT_MAKER, "on", null);
    readings(0, 60, minute -> 43);
    PotRow row = row(60);
    assertThat(row.thermo().temperature()).isEqualTo("109.4");
    assertThat(row.thermo().band()).isEqualTo("100–122 °F, never above 194 °F");
    assertThat(row.last().lastValue()).isBetween(109.3, 109.5);
  }

  @Test
  void aPotNotYetOnTheHeatSaysSo() {
    charge(Method.WARM);
    PotRow row = row(5);
    assertThat(row.thermo().temperature()).isEqualTo("–");
    assertThat(row.thermo().moodWords()).isEqualTo("not on the heat");
    assertThat(row.course().pull()).isNotEmpty();
    assertThat(row.last().lastAt()).isZero();
    on(Appliance.YOGHURT_MAKER, "on", null);
    assertThat(row.onHeat()).isFalse();
    assertThat(row(5).onHeat()).isTrue();
  }

  private PotRow row(double minute) {
    return row(minute, Double.MAX_VALUE);
  }

  private LivePot pot(Series.Builder readings) {
    BatchRecord batch = new BatchRecord(UUID.randomUUID(), "K7M", BatchLog.fold(entries));
    return new LivePot(UUID.randomUUID(), OSLO, batch, fromFile, readings::build);
  }

  @Test
  void aPotOfVeryManyReadingsIsOutlinedOnceAndAgainOnlyWhereThatFailed() {
    charge(Method.WARM);
    Series.Builder readings = Series.builder();
    for (int second = 0; second < BatchReadings.MANY; second++) {
      readings.add(at(second / 60.0).toEpochMilli(), 43);
    }
    LivePot pot = pot(readings);
    pot.series();
    assertThat(pot.wantsOutline()).isTrue();
    assertThat(pot.wantsOutline()).as("somebody was told").isFalse();
    pot.outlineLater();
    assertThat(pot.wantsOutline()).as("who could not").isTrue();
    assertThat(pot.outline(CATALOGUE, at(400))).isPresent();
    assertThat(pot.wantsOutline()).isFalse();
  }

  /** The row at a minute, with the readings up to another. */
  private PotRow row(double minute, double upTo) {
    Series.Builder until = Series.builder();
    for (int i = 0; i < series.size(); i++) {
      if (series.millis(i) <= at(Math.min(minute, upTo)).toEpochMilli()) {
        until.add(series.millis(i), series.celsius(i));
      }
    }
    return new PotWords(
            pot(until), CATALOGUE, CAUTIONS, new Formats(kitchen, OSLO, at(minute)), at(minute))
        .row();
  }

  private void readings(int fromMinute, int toMinute, DoubleUnaryOperator course) {
    for (int minute = series.size() == 0 ? fromMinute : fromMinute + 1;
        minute <= toMinute;
        minute++) {
      series = series.with(at(minute).toEpochMilli(), course.applyAsDouble(minute));
    }
  }

  private void on(Appliance kind, String setting, Bath bath) {
    happens(0, new PutOnHeat(heater(kind), knob(setting, null), bath));
  }

  private void topUp(double minute) {
    happens(minute, new BathToppedUp());
  }

  private static Heater heater(Appliance kind) {
    return new Heater(null, kind.words(), kind);
  }

  private static Knob knob(String name, Double settlesC) {
    return new Knob(name, settlesC, 1.0);
  }

  private void charge(Method method) {
    LocalDate day = LocalDate.of(2026, 3, 2);
    happens(
        0,
        new Charged(
            method,
            List.of(
                new HerbIn(
                    "rosemary",
                    Part.LEAF,
                    Cut.CUT,
                    HerbState.DRIED,
                    Range.exactly(50),
                    0.10,
                    "50 g")),
            List.of(new OilIn("olive", 1, day.plusMonths(16), null, null)),
            new Charged.Oil(Range.exactly(400), "400 ml"),
            new JarIn("Jar", 720, 85),
            12,
            Use.SKIN,
            new Stand("place", "Stove", Light.ROOM, 20.0),
            new Charged.Begun(day, 0, false),
            true,
            Manner.PLAIN));
  }

  private void happens(double minute, BatchEvent event) {
    entries.add(
        new Entry<BatchEvent>(UUID.randomUUID(), entries.size() + 1, at(minute), event, null));
  }

  private static Instant at(double minute) {
    return CHARGED.plusMillis(Math.round(minute * 60_000));
  }
}
