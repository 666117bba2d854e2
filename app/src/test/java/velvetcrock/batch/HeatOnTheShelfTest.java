package velvetcrock.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Bath;
import velvetcrock.core.batch.BathToppedUp;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.FeltByHand;
import velvetcrock.core.batch.HeatAnswer;
import velvetcrock.core.batch.HeatAnswered;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.KnobTurned;
import velvetcrock.core.batch.Leaving;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.MarcWeighed;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.RanHot;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.yield.Expression;
import velvetcrock.web.Formats;

/** A warm batch on the shelf, in its log's words, and its balance once it is strained. */
class HeatOnTheShelfTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final Instant CHARGED = Instant.parse("2026-03-02T08:00:00Z");

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1|on the heat, 3 h to go|resting",
        "4.5|may come off the heat|ready",
        "7|may come off the heat|ready",
        "13|over: take it off|over"
      })
  void onTheHeatItsHoursCount(double hours, String words, String mood) {
    charge(Method.WARM);
    putOn(0);
    JarView jar = jar(hours);
    assertThat(jar.standing()).isEqualTo(words);
    assertThat(jar.mood()).isEqualTo(mood);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "1|off the heat, 3 h to go|care",
        "5|could strain|ready",
        "6|ready|ready",
        "14|over: strain now|over"
      })
  void offTheHeatTheyStandStill(double hours, String words, String mood) {
    charge(Method.WARM);
    putOn(0);
    happens(hours, new TakenOffHeat());
    JarView jar = jar(hours + 30);
    assertThat(jar.standing()).isEqualTo(words);
    assertThat(jar.mood()).isEqualTo(mood);
  }

  @Test
  void itsBeadsAreHoursAndSayThem() {
    charge(Method.WARM);
    putOn(0);
    Beads beads = jar(6).beads();
    assertThat(beads.words())
        .isEqualTo("6 h on the heat; may come off from 4 h, usually 6 h, by 12 h");
    assertThat(beads.served().split("M")).hasSize(4 + 1);
    assertThat(beads.ahead().split("M")).hasSize(4 + 1);
  }

  @Test
  void aColdJarsBeadsAreDaysAsBefore() {
    charge(Method.COLD);
    assertThat(jar(6).beads().words()).startsWith("May be strained from 23 March");
    assertThat(jar(6).standing()).isEqualTo("3 weeks to go");
  }

  @Test
  void theLogSaysWhatWasDoneAtTheStove() {
    EntryWords words = new EntryWords(CATALOGUE, formats(5));
    assertThat(words.of(put(new Bath("Big pan", 60, 20, 220, 60))).title())
        .isEqualTo("Put on the heat: Plate, 1");
    assertThat(words.of(put(new Bath("Big pan", 60, 20, 220, 60))).detail())
        .isEqualTo("in the bath “Big pan”");
    assertThat(words.of(put(null)).detail()).isEmpty();
    assertThat(words.of(new KnobTurned(new Knob("2", null, null))).title())
        .isEqualTo("Knob turned to 2");
    assertThat(words.of(new TakenOffHeat()).title()).isEqualTo("Taken off the heat");
    assertThat(words.of(new BathToppedUp()).title()).isEqualTo("Bath topped up");
    BatchEvent hot = new RanHot(at(1), at(1.5), 94.4, 90);
    assertThat(words.of(hot).title()).isEqualTo("Ran hot: up to 94 °C");
    assertThat(words.of(hot).detail()).isEqualTo("above 90 °C from today 10:00 for 30 min");
    assertThat(words.of(new RanHot(at(1), null, 94.4, 90)).detail()).doesNotContain("for");
    assertThat(words.of(new HeatAnswered(at(1), HeatAnswer.TURNED_DOWN)).title())
        .isEqualTo("Answered: turned down");
    assertThat(words.of(new MarcWeighed(92, "92 g")).title()).isEqualTo("Spent herb weighed: 92 g");
    assertThat(words.of(new Decanted(Leaving.WATER, 8, "8 g")).title())
        .isEqualTo("Decanted: water left, 8 g");
  }

  @ParameterizedTest
  @EnumSource(Assumed.HandTest.class)
  void everythingAHandFeelsHasItsWords(Assumed.HandTest test) {
    assertThat(new EntryWords(CATALOGUE, formats(1)).of(new FeltByHand(test)).title())
        .startsWith("Felt by hand: ")
        .doesNotContain("_");
  }

  @ParameterizedTest
  @EnumSource(HeatAnswer.class)
  void everyAnswerHasItsWords(HeatAnswer answer) {
    assertThat(answer.words()).isNotBlank().isLowerCase().doesNotContain("_");
  }

  @Test
  void theBarsOfABalanceAreOfOneLength() {
    charge(Method.WARM);
    happens(8, new Strained(320, "320 ml", Expression.SQUEEZE, new Range(300, 340)));
    happens(9, new MarcWeighed(90, "90 g"));
    BalanceView view = balance(10);
    assertThat(length(view.in())).isCloseTo(100, org.assertj.core.data.Offset.offset(0.1));
    assertThat(length(view.out())).isCloseTo(100, org.assertj.core.data.Offset.offset(0.1));
    assertThat(view.marcWanted()).isFalse();
    assertThat(view.out().get(view.out().size() - 1).name()).isEqualTo("Unaccounted");
  }

  @Test
  void moreOutThanInIsSaidAndNotDrawnAsAGap() {
    charge(Method.WARM);
    happens(8, new Strained(400, "400 ml", Expression.SQUEEZE, new Range(300, 340)));
    happens(9, new MarcWeighed(150, "150 g"));
    BalanceView view = balance(10);
    assertThat(view.lead()).contains("more came out than");
    assertThat(view.closes()).isFalse();
    assertThat(view.out()).noneMatch(p -> p.name().equals("Unaccounted"));
    assertThat(length(view.in())).isLessThan(100);
    assertThat(view.causes()).isNotEmpty();
  }

  @Test
  void beforeItIsStrainedThereIsNoBalance() {
    charge(Method.WARM);
    assertThat(balance(1)).isNull();
  }

  private static double length(List<BalanceView.Piece> pieces) {
    return pieces.stream().mapToDouble(p -> Double.parseDouble(p.width())).sum();
  }

  private BalanceView balance(double hours) {
    return BalanceView.of(state(), new BatchReckoning(CATALOGUE, state()), formats(hours));
  }

  private JarView jar(double hours) {
    BatchRecord batch = new BatchRecord(UUID.randomUUID(), "K7M", state());
    return JarView.of(batch, CATALOGUE, formats(hours), 1);
  }

  private static Formats formats(double hours) {
    return new Formats(Kitchen.METRIC, OSLO, at(hours));
  }

  private void putOn(double hours) {
    happens(hours, put(null));
  }

  private static PutOnHeat put(Bath bath) {
    return new PutOnHeat(
        new Heater(null, "Plate", Appliance.ELECTRIC_PLATE), new Knob("1", 44.0, 0.5), bath);
  }

  private void charge(Method method) {
    LocalDate day = LocalDate.of(2026, 3, 2);
    HerbIn herb =
        new HerbIn(
            "rosemary", Part.LEAF, Cut.CUT, HerbState.DRIED, Range.exactly(50), 0.10, "50 g");
    happens(
        0,
        new Charged(
            method,
            List.of(herb),
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

  private BatchState state() {
    return BatchLog.fold(entries);
  }

  private void happens(double hours, BatchEvent event) {
    entries.add(
        new Entry<BatchEvent>(UUID.randomUUID(), entries.size() + 1, at(hours), event, null));
  }

  private static Instant at(double hours) {
    return CHARGED.plusMillis(Math.round(hours * 3_600_000));
  }
}
