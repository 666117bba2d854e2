package velvetcrock.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.care.Round;
import velvetcrock.core.care.Task;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.DrySigns;
import velvetcrock.core.jar.DrySigns.Says;
import velvetcrock.core.keeping.Keeping;
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

/** Where no scale shows an oil dry, three signs together do; what is seen of water goes with it. */
class DrySignsTest {
  private static final ZoneId UTC = ZoneId.of("UTC");
  private static final LocalDate DAY0 = LocalDate.of(2026, 6, 1);
  private static final Instant NOON = DAY0.atTime(12, 0).atZone(UTC).toInstant();
  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();

  private void happens(double hours, BatchEvent event) {
    entries.add(
        new Entry<BatchEvent>(
            UUID.randomUUID(),
            entries.size() + 1,
            NOON.plusSeconds(Math.round(hours * 3600)),
            event,
            null));
  }

  private BatchState state() {
    return BatchLog.fold(entries);
  }

  private BatchReckoning reckoning() {
    return new BatchReckoning(CATALOGUE, state());
  }

  private DrySigns signs() {
    return reckoning().leaving().orElseThrow().signs();
  }

  private void charged(Method method, HerbState herb, double grams, double water) {
    happens(
        0,
        new Charged(
            method,
            List.of(
                new HerbIn(
                    "violet-leaf", Part.LEAF, Cut.CUT, herb, Range.exactly(grams), water, "")),
            List.of(new OilIn("olive", 1, DAY0.plusMonths(14), DAY0, null)),
            new Charged.Oil(Range.exactly(600), ""),
            new JarIn("Crock 1500 ml", 1500, 140),
            12,
            Use.SKIN,
            new Stand("p", "Stove", Light.DARK),
            new Charged.Begun(DAY0, 0, false),
            true,
            Manner.PLAIN));
  }

  private void heated(double hours) {
    happens(
        0.5,
        new PutOnHeat(
            new Heater("crock", "Crock", Appliance.SLOW_COOKER),
            new Knob("low", null, null),
            null));
    happens(0.5 + hours, new TakenOffHeat());
  }

  private static OilLooked still(double atC) {
    return new OilLooked(true, atC, true, null, null, false);
  }

  private static OilLooked clearAfterANight() {
    return new OilLooked(null, null, null, false, false, true);
  }

  private Keeping bottled(double hours, Store.Place place, @Nullable BatchEvent before) {
    happens(hours, new Strained(400, "400 ml", Expression.DRIP, Range.exactly(400)));
    if (before != null) {
      happens(hours + 12, before);
    }
    happens(
        hours + 13,
        new Bottled(
            List.of(
                new BottleIn(
                    "A", 100, 100, place, Store.Glass.AMBER, Store.Antioxidant.NONE, true))));
    return reckoning().keeping(state().bottle("A").orElseThrow(), UTC, Series.none()).early();
  }

  @Test
  void allThreeTogetherShowItDryAndItKeepsAsOfDriedHerb() {
    charged(Method.CROCK, HerbState.FRESH, 80, 0.85);
    heated(20);
    happens(20, still(64));
    assertThat(reckoning().wet()).isTrue();
    assertThat(reckoning().hazards()).contains(Hazard.WATER);

    Keeping dry = bottled(24, Store.Place.COOL, new StoodClear());
    assertThat(reckoning().leaving().orElseThrow().done()).isTrue();
    assertThat(reckoning().leaving().orElseThrow().weighedDry()).isFalse();
    assertThat(reckoning().hazards()).doesNotContain(Hazard.WATER);
    assertThat(dry.decidedBy()).isNotEqualTo(Keeping.Rule.FREE_WATER);
    assertThat(dry.daysFromStraining()).isGreaterThan(200);
  }

  @ParameterizedTest
  @CsvSource({"bubble", "crisp", "clear"})
  void oneMissingShowsNothing(String missing) {
    charged(Method.CROCK, HerbState.FRESH, 80, 0.85);
    heated(20);
    happens(
        20,
        new OilLooked(
            missing.equals("bubble") ? null : true,
            64.0,
            missing.equals("crisp") ? null : true,
            false,
            false,
            !missing.equals("clear")));

    assertThat(signs().dry()).isFalse();
    Keeping wet = bottled(24, Store.Place.FRIDGE, null);
    assertThat(wet.decidedBy()).isEqualTo(Keeping.Rule.FREE_WATER);
    assertThat(wet.daysFromStraining()).isEqualTo(14);
  }

  @ParameterizedTest
  @CsvSource({
    // way, °C while no bubble rose, hours on the heat, what it says
    "CROCK, 64, 20, YES",
    "CROCK, 60, 1, YES",
    "CROCK, 45, 48, SAYS_NOTHING",
    "WARM, 49, 30, YES",
    "WARM, 49, 1, SAYS_NOTHING",
    "WARM, 40, 30, SAYS_NOTHING",
    "COLD, 20, 1, SAYS_NOTHING",
  })
  void noBubbleSaysSomethingInHotOilOnly(Method method, double atC, double hours, Says says) {
    charged(method, HerbState.FRESH, 80, 0.85);
    heated(hours);
    happens(hours, still(atC));

    assertThat(signs().still()).isEqualTo(says);
  }

  @Test
  void withoutATemperatureNoBubbleSaysNothing() {
    charged(Method.CROCK, HerbState.FRESH, 80, 0.85);
    happens(1, new OilLooked(true, null, null, null, null, false));

    assertThat(signs().still()).isEqualTo(Says.SAYS_NOTHING);
    happens(2, new OilLooked(false, null, false, true, null, false));
    assertThat(signs()).isEqualTo(new DrySigns(Says.NO, Says.NO, Says.NO));
  }

  /** Strained early: what was seen is told though the herb was dry by the book. */
  @ParameterizedTest
  @CsvSource({"layer", "cloudy", "bubbles"})
  void whatIsSeenOfWaterCountsWhateverTheHerbBrought(String what) {
    charged(Method.COLD, HerbState.DRIED, 80, 0.10);
    assertThat(reckoning().wet()).isFalse();
    happens(24, new Strained(400, "400 ml", Expression.SQUEEZE, Range.exactly(400)));
    happens(
        24,
        new OilLooked(
            what.equals("bubbles") ? Boolean.FALSE : null,
            null,
            null,
            what.equals("layer"),
            what.equals("cloudy"),
            false));

    assertThat(reckoning().wet()).isTrue();
    assertThat(reckoning().hazards()).contains(Hazard.WATER);
  }

  @Test
  void aNightThatItStoodClearTakesAHazeBackAndWaterPouredOffDoesNot() {
    charged(Method.COLD, HerbState.DRIED, 80, 0.10);
    happens(24, new Strained(400, "400 ml", Expression.SQUEEZE, Range.exactly(400)));
    happens(24, new OilLooked(null, null, null, false, true, false));
    happens(40, new StoodClear());
    assertThat(reckoning().wet()).isFalse();

    happens(41, new OilLooked(null, null, null, true, null, false));
    happens(42, new Decanted(Leaving.WATER, 5, "5 g"));
    assertThat(reckoning().wet()).isTrue();
    assertThat(state().seen().oil().clear()).isFalse();
  }

  @Test
  void theScaleGoesBeforeBubblesThatRoseOnTheWay() {
    charged(Method.CROCK, HerbState.FRESH, 80, 0.85);
    happens(1, new PotWeighed(3000, ""));
    happens(2, new OilLooked(false, 70.0, null, null, null, false));
    happens(30, new PotWeighed(2930, ""));

    assertThat(reckoning().wet()).isFalse();
  }

  @Test
  void theRoundAsksForTheScaleUntilTheSignsShowItDry() {
    charged(Method.CROCK, HerbState.FRESH, 80, 0.85);
    heated(20);
    assertThat(round(26)).contains(Task.Kind.WEIGH).doesNotContain(Task.Kind.STRAIN);

    happens(21, still(64));
    happens(25, clearAfterANight());
    assertThat(round(26)).contains(Task.Kind.STRAIN).doesNotContain(Task.Kind.WEIGH);
  }

  private List<Task.Kind> round(double hours) {
    return new Round(CATALOGUE, UTC, NOON.plusSeconds(Math.round(hours * 3600)))
        .tasks(state()).stream().map(Task::kind).toList();
  }

  @Test
  void itIsLookedAtWhileItCanBeAndSomethingIsSaid() {
    assertThatThrownBy(() -> new OilLooked(null, 60.0, null, null, null, true))
        .hasMessageContaining("at least one thing");
    assertThatThrownBy(() -> still(900)).hasMessageContaining("atC");
    charged(Method.COLD, HerbState.DRIED, 80, 0.10);
    bottled(24, Store.Place.COOL, null);
    happens(60, clearAfterANight());
    assertThatThrownBy(this::state).hasMessageContaining("bottled before");
  }
}
