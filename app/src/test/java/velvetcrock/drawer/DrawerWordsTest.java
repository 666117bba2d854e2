package velvetcrock.drawer;

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
import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.DryingBegun;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.LoadWeighed;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotAdded;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.drawer.Snap;
import velvetcrock.core.drawer.Snapped;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.moisture.DryingCurve.Way;
import velvetcrock.web.Formats;

/** How lots and drying loads are read from forms, said in words, and drawn. */
class DrawerWordsTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);
  private static final Instant NOW = Instant.parse("2026-11-24T12:00:00Z");
  private static final Formats FMT = new Formats(Kitchen.METRIC, ZoneId.of("Europe/Oslo"), TODAY);
  private static final LotWords WORDS = new LotWords(CATALOGUE, FMT);

  private static LotForm form(
      String kind, String thing, String price, String abv, String amount, String other) {
    return new LotForm(
        kind,
        thing,
        "",
        new LotForm.Plant("", "CUT", "DRIED", ""),
        "BOUGHT",
        "ferry",
        new LotForm.Days("", "2026-09-01", "", ""),
        abv,
        price,
        amount,
        other,
        "key");
  }

  private static Lot lot(LotDetails details, double amount) {
    return Lot.fold(
        List.of(new Entry<>(UUID.randomUUID(), 1, NOW, new LotAdded(details, amount, ""), null)));
  }

  @ParameterizedTest
  @CsvSource({"4.50, 450", "'4,5', 450", "12, 1200", "free, 0", "FREE, 0", "0.005, 1"})
  void aPriceIsKeptInHundredths(String typed, long minor) {
    assertThat(
            form("HERB", "yarrow", typed, "", "", "")
                .details(CATALOGUE, TODAY, Kitchen.METRIC)
                .priceMinor())
        .isEqualTo(minor);
  }

  @ParameterizedTest
  @CsvSource({"dear", "-3", "99999999999", "4.5.0"})
  void aPriceThatIsNoneIsRefused(String typed) {
    assertThatThrownBy(
            () ->
                form("HERB", "yarrow", typed, "", "", "").details(CATALOGUE, TODAY, Kitchen.METRIC))
        .hasMessageContaining("price");
  }

  @Test
  void noPriceIsNotFree() {
    assertThat(
            form("HERB", "yarrow", "", "", "", "")
                .details(CATALOGUE, TODAY, Kitchen.METRIC)
                .priceMinor())
        .isNull();
  }

  @ParameterizedTest
  @CsvSource({
    "HERB, yarrow, '', 180 g, '', 180",
    "HERB, yarrow, '', 1 cup, '', 18.75",
    "CARRIER, olive, '', 500 ml, '', 500",
    "CARRIER, olive, '', 456.5 g, '', 500",
    "CARRIER, olive, '', 456.5 g, 500 ml, 500",
    "SPIRIT, '', 96, 500 ml, '', 500",
    "SPIRIT, '', 96, 80.74 g, '', 100",
    "WAX, beeswax, '', 200 g, '', 200",
    "WAX, beeswax, '', 100 ml, '', 52"
  })
  void everyKindIsCountedInItsUnit(
      String kind, String thing, String abv, String amount, String other, double expected) {
    LotForm form = form(kind, thing, "", abv, amount, other);
    LotDetails details = form.details(CATALOGUE, TODAY, Kitchen.METRIC);

    assertThat(form.amountOf(details, Kitchen.METRIC, CATALOGUE)).isCloseTo(expected, within(0.05));
  }

  @Test
  void whatIsSaidAnewIsWhatWasSaid() {
    LotDetails before =
        new LotDetails(
            Kind.CARRIER,
            "olive",
            "Stone mill",
            new LotDetails.Plant(null, null, null, null),
            Origin.BOUGHT,
            "Norrick",
            new LotDetails.Dates(
                null, TODAY.minusMonths(3), TODAY.minusMonths(1), TODAY.plusMonths(9)),
            null,
            1250L);

    assertThat(LotForm.of(lot(before, 500), CATALOGUE).details(CATALOGUE, TODAY, Kitchen.METRIC))
        .isEqualTo(before);
  }

  /** Bark was once counted among roots: what was entered so is told as what it is. */
  @Test
  void whatWasEnteredAsRootAndIsBarkIsToldAsBark() {
    LotDetails bark =
        new LotDetails(
            Kind.HERB,
            "cinnamon",
            "",
            new LotDetails.Plant(Part.ROOT, Cut.WHOLE, HerbState.DRIED, null),
            Origin.BOUGHT,
            "",
            new LotDetails.Dates(null, TODAY.minusMonths(3), null, null),
            null,
            null);
    assertThat(new LotWords(CATALOGUE, FMT).state(lot(bark, 60))).isEqualTo("dried bark, whole");
    assertThat(LotForm.of(lot(bark, 60), CATALOGUE).plant().part()).isEqualTo("BARK");
  }

  @Test
  void aLotIsNamedByItsHouseholdOrTheCatalogue() {
    LotDetails spirit =
        new LotDetails(
            Kind.SPIRIT,
            "",
            "",
            new LotDetails.Plant(null, null, null, null),
            Origin.BOUGHT,
            "",
            new LotDetails.Dates(null, null, null, null),
            96.0,
            null);
    LotDetails herb =
        new LotDetails(
            Kind.HERB,
            "self-heal",
            "",
            new LotDetails.Plant(Part.LEAF, Cut.CUT, HerbState.DRIED, null),
            Origin.GROWN,
            "walled garden",
            new LotDetails.Dates(LocalDate.of(2026, 6, 24), null, null, null),
            null,
            0L);

    assertThat(WORDS.name(lot(spirit, 480))).isEqualTo("Spirit 96 %");
    assertThat(WORDS.choice(lot(spirit, 480))).isEqualTo("96 %: 480 ml");
    assertThat(WORDS.name(lot(herb, 63))).isEqualTo("Self-heal");
    assertThat(WORDS.state(lot(herb, 63))).isEqualTo("dried leaf, cut");
    assertThat(WORDS.origin(lot(herb, 63))).isEqualTo("picked 24 June, walled garden");
    assertThat(WORDS.choice(lot(herb, 63))).isEqualTo("24 Jun, walled garden: 63 g");
  }

  private static Drying bunch(double... gramsByDay) {
    return Drying.fold(entries(gramsByDay));
  }

  private static List<Entry<DryingEvent>> entries(double... gramsByDay) {
    List<Entry<DryingEvent>> entries = new ArrayList<>();
    Instant begun = NOW.minusSeconds(86_400L * 8);
    entries.add(
        new Entry<>(
            UUID.randomUUID(),
            1,
            begun,
            new DryingBegun(
                "yarrow", Part.FLOWER, Cut.CUT, Way.BUNCH, 200, "", 0.85, Origin.GROWN, ""),
            null));
    for (int i = 0; i < gramsByDay.length; i++) {
      entries.add(
          new Entry<>(
              UUID.randomUUID(),
              i + 2,
              begun.plusSeconds(86_400L * 2 * (i + 1)),
              new LoadWeighed(gramsByDay[i], ""),
              null));
    }
    return entries;
  }

  @Test
  void whatCrumblesIsDryNowWhateverTheScaleExpects() {
    List<Entry<DryingEvent>> entries = entries(140, 100, 75);
    assertThat(DryingDrawing.of(Drying.fold(entries), NOW, FMT).rangeWidth()).isGreaterThan(2);
    entries.add(new Entry<>(UUID.randomUUID(), 5, NOW, new Snapped(Snap.CRUMBLES), null));
    DryingDrawing drawing = DryingDrawing.of(Drying.fold(entries), NOW, FMT);
    assertThat(drawing.rangeX()).isEqualTo(drawing.nowX());
    assertThat(drawing.rangeWidth()).isEqualTo(2);
  }

  @Test
  void theCurveGoesFromFreshAtTheTopTowardsDryAtTheBottom() {
    DryingDrawing drawing = DryingDrawing.of(bunch(140, 100, 75), NOW, FMT);

    assertThat(drawing.fitted()).startsWith("M0 0L");
    assertThat(drawing.goalY()).isBetween(100.0, 110.0);
    assertThat(drawing.rangeX() + drawing.rangeWidth()).isBetween(0.0, 300.0);
    assertThat(drawing.nowX()).isBetween(1.0, 299.0);
    assertThat(drawing.dots().split("M"))
        .hasSize(5); // fresh, three weighings, and before the first
    assertThat(drawing.words())
        .contains("200 g fresh")
        .contains("75 g now")
        .contains("dry at 33 g");
  }

  @Test
  void theCurveNeverClimbs() {
    for (Drying drying : List.of(bunch(), bunch(140), bunch(140, 100, 75, 60))) {
      double before = Double.MAX_VALUE;
      var mass = drying.massByHours();
      for (double hours = 0; hours < 2000; hours += 20) {
        assertThat(mass.applyAsDouble(hours)).isLessThanOrEqualTo(before);
        before = mass.applyAsDouble(hours);
      }
      assertThat(before).isGreaterThanOrEqualTo(drying.dryMatterG());
    }
  }

  @Test
  void aLoadPastItsTimeIsStillDrawnWithinItsFrame() {
    DryingDrawing drawing =
        DryingDrawing.of(bunch(60, 36, 34.5), NOW.plusSeconds(86_400L * 90), FMT);

    assertThat(drawing.nowX()).isLessThanOrEqualTo(300);
    assertThat(drawing.ahead()).doesNotContain("NaN");
  }

  @Test
  void theDrawerSaysWhatIsToBeDone() {
    var load = new LoadRecord(UUID.randomUUID(), bunch(140, 100, 33));

    assertThat(DrawerView.Load.of(load, CATALOGUE, FMT, NOW).lead()).contains("bend a stem");
    var wet = new LoadRecord(UUID.randomUUID(), bunch(140));
    assertThat(DrawerView.Load.of(wet, CATALOGUE, FMT, NOW).lead())
        .startsWith("79 % water, dry in ")
        .endsWith("days");
  }
}
