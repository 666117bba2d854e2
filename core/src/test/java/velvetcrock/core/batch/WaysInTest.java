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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.care.Round;
import velvetcrock.core.care.Task.Kind;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.Leaving;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;

/** The ways in besides dried herb simply poured over: fresh, through spirit, blended, moved. */
class WaysInTest {
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final LocalDate DAY0 = LocalDate.of(2026, 6, 1);
  private static final Instant NOON = DAY0.atTime(12, 0).atZone(OSLO).toInstant();
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final JarIn JAR = new JarIn("Jar 1000 ml", 1060, 95);

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();

  private UUID happens(double hours, BatchEvent event, UUID replaces) {
    Entry<BatchEvent> entry =
        new Entry<BatchEvent>(
            UUID.randomUUID(),
            entries.size() + 1,
            NOON.plusSeconds(Math.round(hours * 3600)),
            event,
            replaces);
    entries.add(entry);
    return entry.id();
  }

  private UUID happens(double hours, BatchEvent event) {
    return happens(hours, event, null);
  }

  private BatchState state() {
    return BatchLog.fold(entries);
  }

  private BatchReckoning reckoning() {
    return new BatchReckoning(CATALOGUE, state());
  }

  private Leaving leaving() {
    return reckoning().leaving().orElseThrow();
  }

  private List<Kind> round(double hours) {
    return new Round(CATALOGUE, OSLO, NOON.plusSeconds(Math.round(hours * 3600)))
        .tasks(state()).stream().map(t -> t.kind()).toList();
  }

  private static HerbIn herb(HerbState state, Cut cut, double grams, double water) {
    return new HerbIn(
        "violet-leaf", Part.LEAF, cut, state, Range.exactly(grams), water, grams + " g");
  }

  private void charge(Method method, HerbIn herb, double oilMl, Manner manner) {
    charge(method, herb, oilMl, manner, Use.SKIN, new Stand("p", "Shelf", Light.DARK));
  }

  private void charge(
      Method method, HerbIn herb, double oilMl, Manner manner, Use use, Stand stand) {
    happens(
        0,
        new Charged(
            method,
            List.of(herb),
            List.of(new OilIn("olive", 1, DAY0.plusMonths(14), DAY0, null)),
            new Charged.Oil(Range.exactly(oilMl), ""),
            JAR,
            12,
            use,
            stand,
            new Charged.Begun(DAY0, 0, false),
            true,
            manner));
  }

  private void dampened() {
    charge(
        Method.SPIRIT,
        herb(HerbState.DRIED, Cut.GROUND, 60, 0.10),
        330,
        new Manner(false, new SpiritIn(40, 30, "30 g", null), null, List.of()));
  }

  private void fresh() {
    charge(
        Method.CROCK,
        herb(HerbState.FRESH, Cut.CUT, 160, 0.85),
        900,
        new Manner(false, null, null, List.of("free-water")));
  }

  private Keeping bottled(double hours, Store.Place place) {
    happens(hours, new Strained(250, "250 ml", Expression.SQUEEZE, Range.exactly(250)));
    happens(
        hours,
        new Bottled(
            List.of(
                new BottleIn(
                    "A", 100, 100, place, Store.Glass.AMBER, Store.Antioxidant.NONE, true))));
    return reckoning().keeping(state().bottle("A").orElseThrow(), OSLO, Series.none()).early();
  }

  @Test
  void whatIsDampenedRestsUntilItsOilIsPoured() {
    dampened();
    assertThat(state().status()).isEqualTo(Status.RESTING);
    assertThat(state().standing()).isTrue();
    assertThat(round(1)).containsExactly(Kind.DAMP);

    happens(2, new DampChecked(false));
    assertThat(round(3)).containsExactly(Kind.DAMP);
    happens(3, new DampChecked(true));
    assertThat(round(4)).isEmpty();
    assertThat(round(13)).containsExactly(Kind.POUR);

    happens(20, new OilPoured(350, "350 ml", 1000.0));
    assertThat(state().status()).isEqualTo(Status.INFUSING);
    assertThat(state().oilMl()).isEqualTo(Range.exactly(350));
    assertThat(reckoning().charge().oilMl()).isEqualTo(350);
  }

  @Test
  void aRestThatIsTooLongIsLate() {
    dampened();
    happens(3, new DampChecked(true));

    var task = new Round(CATALOGUE, OSLO, NOON.plusSeconds(80 * 3600)).tasks(state()).get(0);

    assertThat(task.kind()).isEqualTo(Kind.POUR);
    assertThat(task.overdueDays(DAY0.plusDays(3))).isEqualTo(1);
  }

  @ParameterizedTest
  @CsvSource({"strained", "topped", "weighed"})
  void beforeTheOilNothingCanBeStrainedToppedUpOrWeighed(String what) {
    dampened();
    BatchEvent event =
        switch (what) {
          case "strained" -> new Strained(100, "100 ml", Expression.DRIP, Range.exactly(100));
          case "topped" -> new ToppedUp(10, "olive", "10 ml");
          default -> new PotWeighed(900, "900 g");
        };
    happens(5, event);

    assertThatThrownBy(this::state).isInstanceOf(Refused.class);
  }

  @Test
  void oilIsPouredOnceAndOnlyAfterSpirit() {
    dampened();
    happens(20, new OilPoured(350, "", null));
    UUID again = happens(21, new OilPoured(350, "", null));
    assertThatThrownBy(this::state).hasMessageContaining("does not rest");

    happens(22, new Struck(), again);
    assertThat(state().oilMl().middle()).isEqualTo(350);
  }

  @Test
  void theJarIsWeighedDownUntilSpiritAndItsWaterHaveLeft() {
    dampened();
    happens(20, new OilPoured(330, "", 1000.0));
    // 30 g at 40 % vol: 10 g ethanol, 20 g water; 0.95 and 0.90 of them have to leave, 27.5 g, and
    // then as much of the water that neither the herb binds nor the oil can hold
    assertThat(leaving().mustLeaveG()).isCloseTo(28.3, within(0.1));
    assertThat(leaving().wet()).isTrue();
    assertThat(round(48)).contains(Kind.WEIGH, Kind.SHAKE).doesNotContain(Kind.STRAIN);

    happens(68, new PotWeighed(990, "990 g"));
    assertThat(leaving().goneG()).isCloseTo(10, within(1e-9));
    assertThat(leaving().now().orElseThrow().hoursLeft()).hasValueCloseTo(88.0, within(1.0));

    happens(160, new PotWeighed(971, "971 g"));
    assertThat(leaving().done()).isTrue();
    assertThat(leaving().wet()).isFalse();
    assertThat(round(24 * 9)).contains(Kind.STRAIN).doesNotContain(Kind.WEIGH);
  }

  @Test
  void spiritThatWasWeighedOutKeepsAsDriedAndOtherwiseTheWaterDecides() {
    dampened();
    happens(20, new OilPoured(330, "", 1000.0));
    happens(160, new PotWeighed(971, "971 g"));
    assertThat(bottled(200, Store.Place.COOL).decidedBy()).isNotEqualTo(Keeping.Rule.FREE_WATER);

    entries.clear();
    dampened();
    happens(20, new OilPoured(330, "", 1000.0));
    Keeping wet = bottled(200, Store.Place.COOL);
    assertThat(wet.decidedBy()).isEqualTo(Keeping.Rule.FREE_WATER);
    assertThat(wet.daysFromStraining()).isZero();
  }

  @Test
  void aJarThatSpiritLeavesIsShakenSeveralTimesADay() {
    dampened();
    happens(20, new OilPoured(330, "", 1000.0));
    happens(21, new AllWell());

    assertThat(round(24)).doesNotContain(Kind.SHAKE);
    assertThat(round(27)).contains(Kind.SHAKE);
  }

  @Test
  void freshHerbIsWeighedByTheHourAndStrainedOnlyOnceItsWaterHasGone() {
    fresh();
    // 160 g at 0.85: 160·0.73/0.88
    assertThat(leaving().mustLeaveG()).isCloseTo(132.7, within(0.1));
    assertThat(round(1)).contains(Kind.WEIGH);
    happens(1, new PotWeighed(3000, ""));
    assertThat(round(1.5)).doesNotContain(Kind.WEIGH);
    assertThat(round(2.5)).contains(Kind.WEIGH);
    happens(10, new PotWeighed(2900, ""));
    assertThat(round(26)).doesNotContain(Kind.STRAIN);
    happens(26, new PotWeighed(2865, ""));
    assertThat(round(27)).contains(Kind.STRAIN);
  }

  @Test
  void oilToppedUpOnTheWayIsNotTakenForWater() {
    fresh();
    happens(1, new PotWeighed(3000, ""));
    happens(2, new ToppedUp(100, "olive", "100 ml"));
    happens(3, new PotWeighed(3041.3, ""));

    assertThat(leaving().goneG()).isCloseTo(50, within(0.01));
  }

  @Test
  void intoAnotherVesselWhatHasGoneStaysGone() {
    fresh();
    happens(1, new PotWeighed(3000, ""));
    happens(5, new PotWeighed(2900, ""));
    happens(6, new Transferred(new JarIn("Pan", 2500, 200, "pan", Jar.Shape.PAN)));
    assertThat(state().vessel().name()).isEqualTo("Pan");
    assertThat(reckoning().charge().levels().orElseThrow().brimMm()).isCloseTo(79.6, within(0.1));
    assertThat(leaving().goneG()).isEqualTo(100);
    assertThat(leaving().now()).isEmpty();

    happens(7, new PotWeighed(1800, ""));
    happens(9, new PotWeighed(1766, ""));
    assertThat(leaving().goneG()).isEqualTo(134);
    assertThat(leaving().done()).isTrue();
  }

  @Test
  void aWeighingThatCannotBeIsRefused() {
    fresh();
    happens(1, new PotWeighed(3000, ""));
    happens(2, new PotWeighed(3100, ""));

    assertThatThrownBy(() -> leaving())
        .isInstanceOf(Refused.class)
        .hasMessageContaining("grossG")
        .hasMessageContaining("nothing has been added");
  }

  @Test
  void freshHerbDrivenDryKeepsOnTheSkinAndUndrivenHasFourteenDaysInTheFridge() {
    fresh();
    happens(1, new PotWeighed(3000, ""));
    happens(30, new PotWeighed(2860, ""));
    Keeping dry = bottled(40, Store.Place.COOL);
    assertThat(dry.decidedBy()).isNotEqualTo(Keeping.Rule.FREE_WATER);
    assertThat(dry.legs().get(0).name()).contains("as warm as is usual");

    entries.clear();
    fresh();
    Keeping wet = bottled(40, Store.Place.FRIDGE);
    assertThat(wet.decidedBy()).isEqualTo(Keeping.Rule.FREE_WATER);
    assertThat(wet.daysFromStraining()).isEqualTo(14);
  }

  @Test
  void forTheKitchenFreshHerbHasFourDaysInTheFridgeAndNoneElsewhere() {
    HerbIn herb = herb(HerbState.FRESH, Cut.CUT, 30, 0.85);
    charge(
        Method.COLD,
        herb,
        300,
        Manner.PLAIN,
        Use.KITCHEN,
        new Stand("f", "Fridge", Light.DARK, 4.0));
    Keeping fridge = bottled(48, Store.Place.FRIDGE);
    assertThat(fridge.decidedBy()).isEqualTo(Keeping.Rule.KITCHEN_FRESH);
    assertThat(fridge.bestBefore()).isEqualTo(DAY0.plusDays(4));

    entries.clear();
    charge(
        Method.COLD,
        herb,
        300,
        Manner.PLAIN,
        Use.KITCHEN,
        new Stand("s", "Shelf", Light.DARK, 18.0));
    assertThat(bottled(48, Store.Place.FRIDGE).decidedBy()).isEqualTo(Keeping.Rule.STOOD_WARM);
  }

  @Test
  void aSlurryCountsAsGroundAndIsLookedAtOnceItHasSettled() {
    HerbIn herb = herb(HerbState.DRIED, Cut.CUT, 100, 0.10);
    charge(Method.COLD, herb, 600, new Manner(true, null, null, List.of()));

    assertThat(reckoning().herbs().get(0).cut()).isEqualTo(Cut.GROUND);
    assertThat(reckoning().charge().oilMl()).isCloseTo(582, within(1e-9));
    assertThat(reckoning().charge().herbMassG()).isCloseTo(97, within(1e-9));
    assertThat(round(2)).doesNotContain(Kind.SETTLE);
    assertThat(round(26)).contains(Kind.SETTLE);
    happens(27, new Looked(true, null, null, null, null, null));
    assertThat(round(28)).doesNotContain(Kind.SETTLE);
  }

  @Test
  void driedHerbHasNothingToLose() {
    charge(Method.COLD, herb(HerbState.DRIED, Cut.CUT, 60, 0.10), 600, Manner.PLAIN);

    assertThat(reckoning().leaving()).isEmpty();
    assertThat(reckoning().usualExpression()).isEqualTo(Expression.SQUEEZE);
  }

  @Test
  void aBlendIsNamedByWeight() {
    happens(
        0,
        new Charged(
            Method.COLD,
            List.of(
                herb(HerbState.DRIED, Cut.CUT, 10, 0.1),
                new HerbIn(
                    "yarrow", Part.FLOWER, Cut.CUT, HerbState.DRIED, Range.exactly(30), 0.1, ""),
                new HerbIn(
                    "self-heal", Part.LEAF, Cut.CUT, HerbState.DRIED, Range.exactly(20), 0.1, "")),
            List.of(new OilIn("olive", 1, null, null, null)),
            new Charged.Oil(Range.exactly(700), ""),
            JAR,
            12,
            Use.SKIN,
            new Stand("p", "Shelf", Light.DARK),
            new Charged.Begun(DAY0, 0, false),
            true,
            Manner.PLAIN));

    assertThat(reckoning().herbNames()).isEqualTo("Yarrow, Self-heal and Violet leaf");
  }
}
