package velvetcrock.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Range;
import velvetcrock.core.care.Round;
import velvetcrock.core.care.Task;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.PotOnHeat;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Assumed.HandTest;
import velvetcrock.core.heat.Series;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;

/** A batch on the heat: its log, its course, its round. */
class HeatLogTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final LocalDate DAY0 = LocalDate.of(2026, 3, 2);
  private static final Instant CHARGED = Instant.parse("2026-03-02T08:00:00Z");
  private static final Bath BATH = new Bath("Big pan", 60, 20, 200, 200);

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();

  @Test
  void aTimeOnTheHeatIsServedUntilItIsTakenOff() {
    charge(Method.WARM, null);
    happens(1, put(Appliance.ELECTRIC_PLATE, "1", 44.0, BATH));
    happens(2, new KnobTurned(new Knob("2", 62.0, 1.0)));
    assertThat(state().heat().now().orElseThrow().knob().name()).isEqualTo("2");
    happens(4.5, new TakenOffHeat());

    assertThat(state().heat().now()).isEmpty();
    assertThat(state().heat().hours(after(9))).isEqualTo(3.5);
    assertThat(state().heat().hours(after(2))).isEqualTo(1);
  }

  @Test
  void aBathOnABurnerWantsWaterAfterAQuarterOfAnHourAndEachFillBeginsItAnew() {
    charge(Method.WARM, null);
    happens(1, put(Appliance.ELECTRIC_PLATE, "1", 44.0, BATH));
    assertThat(state().heat().now().orElseThrow().topUpBy()).contains(after(1.25));
    assertThat(kinds(1.5)).contains(Task.Kind.FILL_BATH);
    happens(1.5, new BathToppedUp());
    assertThat(state().heat().now().orElseThrow().topUpBy()).contains(after(1.75));
    assertThat(kinds(1.6)).doesNotContain(Task.Kind.FILL_BATH);
  }

  @Test
  void strainingTakesItOffTheHeat() {
    charge(Method.WARM, null);
    happens(1, put(Appliance.YOGHURT_MAKER, "on", 43.0, null));
    happens(7, new Strained(300, "300 ml", Expression.SQUEEZE, new Range(290, 330)));
    assertThat(state().heat().hours(after(20))).isEqualTo(6);
  }

  @Test
  void whatCannotBeIsRefused() {
    charge(Method.WARM, null);
    refused("kind", new TakenOffHeat());
    refused("kind", new KnobTurned(new Knob("2", null, null)));
    happens(1, put(Appliance.SLOW_COOKER, "warm", null, null));
    refused("kind", put(Appliance.SLOW_COOKER, "warm", null, null));
    refused("kind", new BathToppedUp());
    refused("from", new HeatAnswered(after(1), HeatAnswer.TURNED_DOWN));
    assertThatThrownBy(() -> new Bath("Pan", 10, 20, 200, 100)).hasMessageContaining("lowestMm");
    assertThatThrownBy(() -> new Knob("1", 900.0, null)).hasMessageContaining("settlesC");
  }

  @Test
  void anExcursionKeepsTheAnswerThatWasGiven() {
    charge(Method.WARM, null);
    happens(2, new RanHot(after(2), after(2.5), 92, 90));
    assertThat(state().heat().excursions().get(0).answer()).isNull();
    happens(3, new HeatAnswered(after(2), HeatAnswer.LIFTED_OFF));
    assertThat(state().heat().excursions().get(0).answer()).isEqualTo(HeatAnswer.LIFTED_OFF);
  }

  @Test
  void withoutAThermometerTheCourseComesFromKnobAndHand() {
    charge(Method.CROCK, null);
    happens(0, put(Appliance.SLOW_COOKER, "warm", 68.0, null));
    happens(6, new FeltByHand(HandTest.TOO_HOT_TO_HOLD));
    PotHeat pot = pot(Series.none(), 8);

    assertThat(pot.assumed()).hasSize(1);
    assertThat(pot.assumedLast().orElseThrow().celsius()).isCloseTo(60, within(1.0));
    assertThat(pot.servedHours(after(8))).isEqualTo(8);
    assertThat(pot.pull(after(8)).pull()).isBetween(0.2, 0.7);
    assertThat(pot.spentDays(after(8))).isBetween(5.0, 14.0);

    PotHeat read = pot(Series.none().with(after(7).toEpochMilli(), 66), 8);
    assertThat(read.assumed().get(0).withinC()).isEqualTo(4);
    assertThat(read.assumedLast().orElseThrow().celsius()).isGreaterThan(64);
  }

  @Test
  void aProbesReadingsAreReckonedOneByOneAsAllAtOnce() {
    charge(Method.WARM, null);
    happens(0, put(Appliance.YOGHURT_MAKER, "on", 43.0, null));
    Series all = Series.none();
    PotHeat live = pot(steady(43, 1), 6);
    for (int minute = 0; minute <= 360; minute++) {
      all = all.with(after(minute / 60.0).toEpochMilli(), 43);
      if (minute > 60) {
        assertThat(live.read(after(minute / 60.0).toEpochMilli(), 43)).isTrue();
      }
    }
    PotHeat whole = pot(all, 6);
    assertThat(live.pull(after(6)).pull()).isCloseTo(whole.pull(after(6)).pull(), within(1e-9));
    assertThat(live.spentDays(after(6))).isCloseTo(whole.spentDays(after(6)), within(1e-9));
    assertThat(whole.statistics().orElseThrow().inBandFraction()).isEqualTo(1);
    assertThat(live.read(after(1).toEpochMilli(), 50)).isFalse();
    Pull closed =
        Pull.of(
            List.of(new Pull.Leg(Trace.steady(43, 6), Agitation.NONE)),
            new BatchReckoning(CATALOGUE, state()).carriers(),
            new Pull.Herb(Cut.CUT, new BatchReckoning(CATALOGUE, state()).heaviestPart(), false));
    assertThat(whole.pull(after(6)).pull()).isCloseTo(closed.pull(), within(1e-6));
  }

  @Test
  void delicateFlowersLowerTheCeiling() {
    charge(Method.CROCK, "elderflower");
    assertThat(new BatchReckoning(CATALOGUE, state()).heatGoal().ceilingC()).isEqualTo(60);
  }

  @Test
  void theRoundPutsOnTakesOffAndStrainsByTheHour() {
    charge(Method.WARM, null);
    assertThat(kinds(0.5)).contains(Task.Kind.PUT_ON_HEAT);
    happens(1, put(Appliance.YOGHURT_MAKER, "on", 43.0, null));
    assertThat(kinds(4)).doesNotContain(Task.Kind.OFF_HEAT, Task.Kind.STRAIN);
    assertThat(kinds(7.1)).contains(Task.Kind.OFF_HEAT);
    happens(7.2, new TakenOffHeat());
    assertThat(kinds(7.3)).contains(Task.Kind.STRAIN).doesNotContain(Task.Kind.OFF_HEAT);
  }

  @Test
  void aTwoStageBatchIsWarmedOnceAndThenStandsForWeeks() {
    charge(Method.TWO_STAGE, null);
    assertThat(kinds(0.1)).contains(Task.Kind.PUT_ON_HEAT);
    happens(0.2, put(Appliance.ELECTRIC_PLATE, "1", 44.0, null));
    assertThat(kinds(1.0)).contains(Task.Kind.OFF_HEAT);
    happens(1.0, new TakenOffHeat());
    assertThat(kinds(2)).doesNotContain(Task.Kind.PUT_ON_HEAT, Task.Kind.STRAIN);
    assertThat(kinds(11 * 24)).contains(Task.Kind.STRAIN);
  }

  @Test
  void bothLegsOfATwoStageBatchSpendKeeping() {
    charge(Method.TWO_STAGE, null);
    double read = spentAfterThreeWeeks(Series.none());
    happens(0.2, put(Appliance.ELECTRIC_PLATE, "1", 44.0, null));
    happens(1.0, new TakenOffHeat());
    double known = spentAfterThreeWeeks(Series.none());
    assertThat(read).isCloseTo(21 + 0.1, within(0.15));
    assertThat(known).isBetween(21.0, 21.4);
  }

  @Test
  void theWindowsDaysAreWarmerAndBrighterThanTheCupboards() {
    charge(Method.SOLAR, null);
    assertThat(spentAfterThreeWeeks(Series.none())).isGreaterThan(21 * 2.5);
  }

  @Test
  void aPotSaysWhatIsDangerousAboutIt() {
    Cautions cautions = Cautions.shipped();
    assertThat(codes(cautions, new PotOnHeat(104, false, false, Appliance.OVEN, false)))
        .containsExactly("frying");
    assertThat(codes(cautions, new PotOnHeat(93, true, true, Appliance.GAS_RING, false)))
        .containsExactly("bath-too-hot", "bath-low");
    assertThat(codes(cautions, new PotOnHeat(30, true, false, Appliance.GAS_RING, true)))
        .containsExactly("spirit-on-burner");
    assertThat(codes(cautions, new PotOnHeat(30, true, false, Appliance.ELECTRIC_PLATE, true)))
        .containsExactly("spirit-fire");
    assertThat(codes(cautions, new PotOnHeat(43, true, false, Appliance.ELECTRIC_PLATE, false)))
        .isEmpty();
    for (String code : List.of("frying", "bath-too-hot", "spirit-on-burner")) {
      assertThat(cautions.of(code).level()).isEqualTo(Caution.Level.STOP);
    }
  }

  private static List<String> codes(Cautions cautions, PotOnHeat pot) {
    return cautions.forPot(pot).stream().map(Caution::code).toList();
  }

  private double spentAfterThreeWeeks(Series readings) {
    List<Entry<BatchEvent>> before = new ArrayList<>(entries);
    happens(21 * 24, new Strained(300, "300 ml", Expression.SQUEEZE, new Range(290, 330)));
    happens(
        21 * 24,
        new Bottled(
            List.of(
                new BottleIn(
                    "A",
                    100,
                    100,
                    Store.Place.COOL,
                    Store.Glass.AMBER,
                    Store.Antioxidant.NONE,
                    true))));
    double spent =
        new BatchReckoning(CATALOGUE, state())
            .keeping(state().bottle("A").orElseThrow(), OSLO, readings)
            .early()
            .spentDays();
    entries.clear();
    entries.addAll(before);
    return spent;
  }

  private PotHeat pot(Series readings, double nowHours) {
    return new PotHeat(CATALOGUE, state(), readings, after(nowHours), OSLO);
  }

  private static Series steady(double celsius, double hours) {
    Series.Builder builder = Series.builder();
    for (int minute = 0; minute <= hours * 60; minute++) {
      builder.add(after(minute / 60.0).toEpochMilli(), celsius);
    }
    return builder.build();
  }

  private List<Task.Kind> kinds(double nowHours) {
    return new Round(CATALOGUE, OSLO, after(nowHours))
        .tasks(state()).stream().map(Task::kind).toList();
  }

  private static PutOnHeat put(
      Appliance kind, String knob, @Nullable Double settlesC, @Nullable Bath bath) {
    return new PutOnHeat(new Heater(null, kind.words(), kind), new Knob(knob, settlesC, 1.5), bath);
  }

  private void charge(Method method, @Nullable String herb) {
    Light light = method == Method.SOLAR ? Light.WINDOW : Light.DARK;
    happens(
        0,
        new Charged(
            method,
            List.of(
                new HerbIn(
                    herb == null ? "rosemary" : herb,
                    herb == null ? Part.LEAF : Part.FLOWER,
                    Cut.CUT,
                    HerbState.DRIED,
                    Range.exactly(50),
                    0.10,
                    "50 g")),
            List.of(new OilIn("olive", 1, DAY0.plusMonths(16), null, null)),
            new Charged.Oil(Range.exactly(400), "400 ml"),
            new JarIn("Jar", 720, 85),
            12,
            Use.SKIN,
            new Stand("place", "Stove", light, 20.0),
            new Charged.Begun(DAY0, 0, false),
            true,
            Manner.PLAIN));
  }

  private void happens(double hours, BatchEvent event) {
    entries.add(
        new Entry<BatchEvent>(UUID.randomUUID(), entries.size() + 1, after(hours), event, null));
  }

  private void refused(String field, BatchEvent event) {
    happens(3, event);
    assertThatThrownBy(this::state).hasMessageContaining(field);
    entries.remove(entries.size() - 1);
  }

  private static Instant after(double hours) {
    return CHARGED.plusMillis(Math.round(hours * 3_600_000));
  }

  private BatchState state() {
    return BatchLog.fold(entries);
  }
}
