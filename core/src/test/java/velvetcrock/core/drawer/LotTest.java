package velvetcrock.core.drawer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;

class LotTest {
  private static final Cautions CAUTIONS = Cautions.shipped();
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);
  private static final Instant NOW = Instant.parse("2026-11-24T12:00:00Z");

  private final List<Entry<LotEvent>> entries = new ArrayList<>();

  private UUID happens(LotEvent event, UUID replaces) {
    Entry<LotEvent> entry =
        new Entry<>(
            UUID.randomUUID(),
            entries.size() + 1,
            NOW.plusSeconds(entries.size()),
            event,
            replaces);
    entries.add(entry);
    return entry.id();
  }

  private UUID happens(LotEvent event) {
    return happens(event, null);
  }

  private Lot lot() {
    return Lot.fold(entries);
  }

  static LotDetails herb(String key, Part part, HerbState state, LocalDate gathered) {
    return new LotDetails(
        Kind.HERB,
        key,
        "",
        new LotDetails.Plant(part, Cut.CUT, state, null),
        Origin.GROWN,
        "garden",
        new LotDetails.Dates(gathered, null, null, null),
        null,
        0L);
  }

  private static LotDetails oil(
      String key, LocalDate bought, LocalDate opened, LocalDate bestBefore) {
    return new LotDetails(
        Kind.CARRIER,
        key,
        "",
        new LotDetails.Plant(null, null, null, null),
        Origin.BOUGHT,
        "",
        new LotDetails.Dates(null, bought, opened, bestBefore),
        null,
        450L);
  }

  @Test
  void aBedThatIsPickedAgainAndAgainFillsUpAndIsUsed() {
    happens(new LotAdded(herb("self-heal", Part.LEAF, HerbState.DRIED, null), 0, ""));
    happens(new LotPicked(30, "30 g", TODAY.minusMonths(5)));
    happens(new LotPicked(50, "50 g", TODAY.minusMonths(4)));
    happens(new LotTaken(20, "K7M"));

    assertThat(lot().amount()).isEqualTo(60);
    assertThat(lot().most()).isEqualTo(80);
    assertThat(lot().pickings()).hasSize(2);
    assertThat(lot().takings()).singleElement().extracting(Lot.Taking::what).isEqualTo("K7M");
    assertThat(lot().harvestedOn()).hasValue(TODAY.minusMonths(5));
    assertThat(lot().goodUntil(CATALOGUE)).hasValue(TODAY.plusMonths(7));
  }

  @Test
  void aCountIsAnEntryThatSaysSoMuchThereIs() {
    happens(
        new LotAdded(
            herb("yarrow", Part.FLOWER, HerbState.DRIED, TODAY.minusMonths(1)), 100, "100 g"));
    happens(new LotTaken(30, "K7M"));
    UUID counted = happens(new LotCounted(55, "55 g"));
    assertThat(lot().amount()).isEqualTo(55);

    happens(new LotStruck(), counted);
    assertThat(lot().amount()).isEqualTo(70);
    assertThat(entries).hasSize(4);
  }

  @Test
  void moreThanThereIsCannotBeTaken() {
    happens(
        new LotAdded(herb("yarrow", Part.FLOWER, HerbState.DRIED, TODAY.minusMonths(1)), 100, ""));
    happens(new LotTaken(101, "K7M"));

    assertThatThrownBy(this::lot).isInstanceOf(Refused.class).hasMessageContaining("amount");
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void whateverIsTakenAndCountedItNeverHoldsLessThanNothing(double[] amounts) {
    happens(
        new LotAdded(herb("yarrow", Part.FLOWER, HerbState.DRIED, TODAY.minusMonths(1)), 500, ""));
    for (double amount : amounts) {
      double some = 0.001 + Math.abs(amount) % 400;
      happens(some > 200 ? new LotCounted(some, "") : new LotTaken(some, "K7M"));
      try {
        assertThat(lot().amount()).isNotNegative();
      } catch (Refused refused) {
        entries.remove(entries.size() - 1);
      }
    }
    assertThat(lot().amount()).isBetween(0.0, lot().most());
  }

  @Test
  void whatHasEndedHoldsNothing() {
    happens(
        new LotAdded(herb("yarrow", Part.FLOWER, HerbState.DRIED, TODAY.minusMonths(1)), 100, ""));
    happens(new LotEnded(LotEnding.SPOILED));

    assertThat(lot().standing()).isFalse();
    assertThat(lot().amount()).isZero();
  }

  @Test
  void thatItWasPutInStaysInTheLog() {
    UUID first =
        happens(
            new LotAdded(
                herb("yarrow", Part.FLOWER, HerbState.DRIED, TODAY.minusMonths(1)), 100, ""));
    happens(new LotStruck(), first);

    assertThatThrownBy(this::lot).hasMessageContaining("stays in its log");
  }

  @ParameterizedTest
  @CsvSource({
    "yarrow, FLOWER, DRIED, 11, ''",
    "yarrow, FLOWER, DRIED, 13, old-herb",
    "marshmallow-root, ROOT, DRIED, 23, ''",
    "marshmallow-root, ROOT, DRIED, 25, old-herb",
    "yarrow, FLOWER, FRESH, 13, ''"
  })
  void aDriedHerbKeepsByItsPart(
      String key, Part part, HerbState state, int monthsAgo, String worry) {
    happens(new LotAdded(herb(key, part, state, TODAY.minusMonths(monthsAgo)), 10, ""));

    assertThat(codes()).isEqualTo(worry);
  }

  @ParameterizedTest
  @CsvSource({
    "olive, 2, , 14, ''",
    "olive, 2, , 3, carrier-near-date",
    "olive, 2, , -1, old-carrier",
    "olive, 9, 7, 14, carrier-opened-long",
    "olive, 12, 11, 14, 'carrier-near-date,carrier-opened-long'",
    "rosehip, 1, , , carrier-short-lived",
    "rosehip, 5, 4, , 'carrier-near-date,carrier-opened-long,carrier-short-lived'"
  })
  void anOilIsTooOldNearItsDateLongOpenOrShortLived(
      String key,
      int boughtMonthsAgo,
      Integer openedMonthsAgo,
      Integer bestBeforeMonths,
      String worries) {
    LocalDate opened = openedMonthsAgo == null ? null : TODAY.minusMonths(openedMonthsAgo);
    LocalDate until = bestBeforeMonths == null ? null : TODAY.plusMonths(bestBeforeMonths);
    happens(
        new LotAdded(oil(key, TODAY.minusMonths(boughtMonthsAgo), opened, until), 500, "500 ml"));

    assertThat(codes()).isEqualTo(worries);
  }

  @Test
  void openingAnOilBringsItsDateForward() {
    happens(new LotAdded(oil("olive", TODAY.minusMonths(1), null, TODAY.plusMonths(20)), 500, ""));
    assertThat(lot().goodUntil(CATALOGUE)).hasValue(TODAY.plusMonths(20));
    happens(new LotOpened(TODAY));
    assertThat(lot().goodUntil(CATALOGUE)).hasValue(TODAY.plusMonths(12));
  }

  @Test
  void theOneThatIsGoodForLessLongIsUsedFirst() {
    happens(new LotAdded(oil("olive", TODAY, null, TODAY.plusMonths(20)), 500, ""));
    Lot late = lot();
    entries.clear();
    happens(new LotAdded(oil("olive", TODAY, null, TODAY.plusMonths(5)), 500, ""));

    assertThat(Lot.oldestFirst(lot(), late, CATALOGUE)).isNegative();
  }

  @Test
  void itsOwnWaterGoesBeforeTheUsual() {
    happens(
        new LotAdded(
            new LotDetails(
                Kind.HERB,
                "yarrow",
                "",
                new LotDetails.Plant(Part.FLOWER, Cut.CUT, HerbState.DRIED, 0.13),
                Origin.BOUGHT,
                "",
                new LotDetails.Dates(null, null, null, null),
                null,
                null),
            50,
            ""));

    assertThat(lot().waterFraction(CATALOGUE)).isCloseTo(0.13, within(1e-9));
  }

  @Test
  void whatDoesNotBelongTogetherIsRefusedAllAtOnce() {
    assertThatThrownBy(
            () ->
                new LotDetails(
                    Kind.SPIRIT,
                    "",
                    "",
                    new LotDetails.Plant(Part.LEAF, null, null, 2.0),
                    Origin.BOUGHT,
                    "",
                    new LotDetails.Dates(null, null, null, null),
                    null,
                    -1L))
        .hasMessageContaining("part")
        .hasMessageContaining("water")
        .hasMessageContaining("abv")
        .hasMessageContaining("price");
  }

  /** Codes of its cautions in the order of their file, which is by gravity. */
  private String codes() {
    return CAUTIONS.of(LotFacts.of(List.of(lot()), CATALOGUE, TODAY)).stream()
        .map(Caution::code)
        .collect(Collectors.joining(","));
  }
}
