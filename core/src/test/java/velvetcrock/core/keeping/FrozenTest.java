package velvetcrock.core.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.Store.Place;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.HerbState;

/** Fresh herb for eating in the freezer: its days stop there, and none come back. */
class FrozenTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate CHARGED = LocalDate.of(2026, 6, 1);
  private static final LocalDate STRAINED = CHARGED.plusDays(2);

  private static Store in(Place place) {
    return new Store(place, Store.Glass.AMBER, Store.Fill.FULL, Store.Antioxidant.NONE);
  }

  private static Keeping keeping(HerbState herb, Use use, String stood, Place now) {
    List<KeepingOrder.StoredLeg> legs = new ArrayList<>();
    if (stood != null) {
      for (String leg : stood.split(" ")) {
        String[] parts = leg.split(":");
        legs.add(
            new KeepingOrder.StoredLeg(in(Place.valueOf(parts[0])), Double.parseDouble(parts[1])));
      }
    }
    return Keeper.reckon(
        new KeepingOrder(
            CHARGED,
            STRAINED,
            List.of(
                new CarrierDates(
                    CATALOGUE.carrier("olive"), 1, CHARGED.plusMonths(15), null, null)),
            herb,
            herb != HerbState.DRIED,
            use,
            List.of(new InfusingLeg("cold", 48, Trace.steady(4, 48), Light.DARK)),
            legs,
            in(now)));
  }

  @ParameterizedTest
  @CsvSource({
    // where it stood since it was strained on 3 June (charged on the 1st), where now, good until
    ", FRIDGE, 2026-06-05, KITCHEN_FRESH",
    ", FREEZER, 2026-09-03, KITCHEN_FROZEN",
    "FRIDGE:1, FREEZER, 2026-09-04, KITCHEN_FROZEN",
    // thawed after a month: two of its four days are left
    "FREEZER:30, FRIDGE, 2026-07-05, KITCHEN_FRESH",
    "FRIDGE:1 FREEZER:30, FRIDGE, 2026-07-05, KITCHEN_FRESH",
    // frozen too late: its days were over
    "FRIDGE:3, FREEZER, 2026-06-05, KITCHEN_FRESH",
    "FRIDGE:2, FREEZER, 2026-06-05, KITCHEN_FRESH",
    // longer than three months in the freezer
    "FREEZER:120, FRIDGE, 2026-09-03, KITCHEN_FROZEN",
    // and nowhere else
    "FREEZER:30, COOL, 2026-06-03, KITCHEN_NOT_IN_FRIDGE",
    "ROOM:1, FREEZER, 2026-06-03, KITCHEN_NOT_IN_FRIDGE",
  })
  void itsDaysStopInTheFreezerAndGoOnAfter(
      String stood, Place now, LocalDate until, Keeping.Rule rule) {
    Keeping keeping = keeping(HerbState.FRESH, Use.KITCHEN, stood, now);

    assertThat(keeping.bestBefore()).isEqualTo(until);
    assertThat(keeping.decidedBy()).isEqualTo(rule);
  }

  @Test
  void theFreezerIsToldAsWhatWouldLengthenItForEatingOnly() {
    assertThat(keeping(HerbState.FRESH, Use.KITCHEN, null, Place.FRIDGE).lengthen())
        .extracting(Keeping.Gain::change)
        .contains(Keeping.Change.FREEZER);
    assertThat(keeping(HerbState.FRESH, Use.SKIN, null, Place.FRIDGE).lengthen())
        .extracting(Keeping.Gain::change)
        .doesNotContain(Keeping.Change.FREEZER);
  }

  @Test
  void whatIsNotEatenFreshKeepsThereAsInTheFridge() {
    for (Use use : Use.values()) {
      assertThat(keeping(HerbState.DRIED, use, null, Place.FREEZER).bestBefore())
          .isAfterOrEqualTo(keeping(HerbState.DRIED, use, null, Place.FRIDGE).bestBefore());
    }
    assertThat(keeping(HerbState.FRESH, Use.SKIN, null, Place.FREEZER).daysFromStraining())
        .isEqualTo(14);
  }

  /** However often it is moved, it never has more than its four days and its three months. */
  @ParameterizedTest
  @InstancioSource(samples = 1000)
  void movingItAboutNeverGivesADay(@Given int seed) {
    int cool = Math.floorMod(seed, 6);
    int frozen = Math.floorMod(seed / 7, 140);
    boolean coolFirst = seed % 2 == 0;
    String legs =
        coolFirst
            ? "FRIDGE:" + cool + " FREEZER:" + frozen
            : "FREEZER:" + frozen + " FRIDGE:" + cool;
    Place now = seed % 3 == 0 ? Place.FREEZER : Place.FRIDGE;
    LocalDate until = keeping(HerbState.FRESH, Use.KITCHEN, legs, now).bestBefore();

    assertThat(until).isBeforeOrEqualTo(CHARGED.plusDays(4).plusMonths(3).plusDays(2));
    assertThat(until).isAfterOrEqualTo(STRAINED);
    if (now == Place.FRIDGE && frozen < 89) {
      assertThat(until).isBeforeOrEqualTo(CHARGED.plusDays(4L + frozen));
    }
  }
}
