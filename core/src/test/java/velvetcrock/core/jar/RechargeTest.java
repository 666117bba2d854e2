package velvetcrock.core.jar;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.heat.Series;
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

/** An infused oil charged again over fresh herb brings its date, its hours and its hazards. */
class RechargeTest {
  private static final ZoneId UTC = ZoneId.of("UTC");
  private static final LocalDate FIRST = LocalDate.of(2026, 3, 1);
  private static final LocalDate OWN = FIRST.plusMonths(16);
  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private static BatchState batch(
      LocalDate on, String herb, int days, Store.Place place, @Nullable Earlier earlier) {
    List<Entry<BatchEvent>> entries = new ArrayList<>();
    happens(
        entries,
        on,
        new Charged(
            Method.COLD,
            List.of(
                new HerbIn(
                    herb, Part.FLOWER, Cut.CUT, HerbState.DRIED, Range.exactly(40), 0.10, "")),
            List.of(new OilIn("olive", 1, OWN, null, null)),
            new Charged.Oil(Range.exactly(400), ""),
            new JarIn("Jar", 600, 80),
            12,
            Use.SKIN,
            new Stand("p", "Shelf", Light.DARK),
            new Charged.Begun(on, 0, false),
            true,
            new Manner(false, null, null, List.of(), null, null, earlier)));
    happens(
        entries, on.plusDays(days), new Strained(300, "", Expression.SQUEEZE, new Range(290, 310)));
    happens(
        entries,
        on.plusDays(days),
        new Bottled(
            List.of(
                new BottleIn(
                    "A", 300, 300, place, Store.Glass.AMBER, Store.Antioxidant.NONE, true))));
    return BatchLog.fold(entries);
  }

  private static void happens(List<Entry<BatchEvent>> entries, LocalDate on, BatchEvent event) {
    Instant noon = on.atTime(12, 0).atZone(UTC).toInstant();
    entries.add(
        new Entry<BatchEvent>(
            UUID.randomUUID(), entries.size() + 1, noon.plusSeconds(entries.size()), event, null));
  }

  private static BatchReckoning reckoning(BatchState state) {
    return new BatchReckoning(CATALOGUE, state);
  }

  private static Keeping keeping(BatchState state) {
    return reckoning(state).keeping(state.bottle("A").orElseThrow(), UTC, Series.none()).early();
  }

  private static Earlier again(BatchState state, LocalDate on) {
    return Recharge.of(
        "AAA",
        state,
        state.bottle("A").orElseThrow(),
        reckoning(state),
        new Recharge.Before(keeping(state), UTC, Series.none(), on));
  }

  @Test
  void itBringsItsFirstDayItsHerbsItsDateAndWhatItSpent() {
    BatchState first = batch(FIRST, "calendula", 35, Store.Place.ROOM, null);
    Earlier earlier = again(first, FIRST.plusDays(65));

    assertThat(earlier.code()).isEqualTo("AAA-A");
    assertThat(earlier.herbs()).containsExactly("calendula");
    assertThat(earlier.chargedOn()).isEqualTo(FIRST);
    assertThat(earlier.goodUntil()).isEqualTo(keeping(first).earliest());
    double room =
        new Store(Store.Place.ROOM, Store.Glass.AMBER, Store.Fill.FULL, Store.Antioxidant.NONE)
            .rate();
    assertThat(earlier.spentDays()).isCloseTo(35 + 30 * room, within(0.01));
  }

  @Test
  void theSecondInfusionCountsOnFromWhatTheFirstSpent() {
    BatchState first = batch(FIRST, "calendula", 35, Store.Place.WARM, null);
    LocalDate again = FIRST.plusDays(65);
    BatchState second = batch(again, "yarrow", 30, Store.Place.COOL, again(first, again));
    Keeping keeping = keeping(second);

    assertThat(keeping.legs().get(0).name()).isEqualTo("before, as AAA-A");
    assertThat(keeping.legs().get(0).days()).isEqualTo(65);
    assertThat(keeping.spentDays())
        .isCloseTo(second.charge().manner().earlier().spentDays() + 30, within(0.01));
    assertThat(keeping.bestBefore()).isBeforeOrEqualTo(keeping(first).earliest());
    assertThat(reckoning(second).herbNames()).isEqualTo("Yarrow and Calendula");
    assertThat(reckoning(second).botanicalNames()).contains("Calendula officinalis");
  }

  @Test
  void aThirdInfusionStillKnowsTheFirst() {
    BatchState first = batch(FIRST, "calendula", 30, Store.Place.COOL, null);
    BatchState second =
        batch(FIRST.plusDays(40), "yarrow", 30, Store.Place.COOL, again(first, FIRST.plusDays(40)));
    Earlier third = again(second, FIRST.plusDays(80));

    assertThat(third.herbs()).containsExactly("calendula", "yarrow");
    assertThat(third.chargedOn()).isEqualTo(FIRST);
    assertThat(third.goodUntil()).isBeforeOrEqualTo(keeping(first).earliest());
  }

  @ParameterizedTest
  @EnumSource(Hazard.class)
  void whatWasWrongWithItGoesOn(Hazard hazard) {
    Earlier earlier =
        new Earlier(
            "AAA", null, List.of("calendula"), FIRST, FIRST.plusDays(300), 40, Set.of(hazard));
    BatchState second = batch(FIRST.plusDays(40), "yarrow", 30, Store.Place.FRIDGE, earlier);

    assertThat(reckoning(second).hazards()).contains(hazard);
    if (hazard == Hazard.WATER) {
      assertThat(keeping(second).decidedBy()).isEqualTo(Keeping.Rule.FREE_WATER);
      assertThat(keeping(second).daysFromStraining()).isEqualTo(14);
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 300)
  void nothingMadeOfItOutlivesIt(@Given int seed) {
    int days = Math.floorMod(seed, 60);
    int between = Math.floorMod(seed / 7, 120);
    Store.Place[] places = Store.Place.values();
    BatchState first =
        batch(FIRST, "calendula", days, places[Math.floorMod(seed / 11, places.length)], null);
    LocalDate again = FIRST.plusDays(days + between);
    BatchState second =
        batch(
            again,
            "yarrow",
            Math.floorMod(seed / 13, 50),
            places[Math.floorMod(seed / 17, places.length)],
            again(first, again));
    LocalDate strained = again.plusDays(Math.floorMod(seed / 13, 50));

    assertThat(keeping(second).bestBefore())
        .isBeforeOrEqualTo(
            strained.isAfter(keeping(first).earliest()) ? strained : keeping(first).earliest());
  }
}
