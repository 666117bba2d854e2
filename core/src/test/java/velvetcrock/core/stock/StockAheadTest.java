package velvetcrock.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.Month;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotAdded;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.drawer.LotTaken;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Season;
import velvetcrock.core.stock.StockAhead.Doing;

/** What runs out or goes over, and what to do about it by when. */
class StockAheadTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

  private static LotDetails details(LotDetails.Kind kind, String thing, int monthsOld) {
    boolean herb = kind == LotDetails.Kind.HERB;
    LocalDate then = TODAY.minusMonths(monthsOld);
    return new LotDetails(
        kind,
        thing,
        "",
        new LotDetails.Plant(
            herb ? Part.FLOWER : null, herb ? Cut.CUT : null, herb ? HerbState.DRIED : null, null),
        LotDetails.Origin.BOUGHT,
        "",
        new LotDetails.Dates(herb ? then : null, herb ? null : then, null, null),
        null,
        null);
  }

  /** A lot of so much, of which so much was taken each month since. */
  private static Lot lot(LotDetails details, int monthsOld, double amount, double monthly) {
    List<Entry<LotEvent>> log = new ArrayList<>();
    log.add(entry(1, monthsOld, new LotAdded(details, amount, "")));
    for (int m = 1; m <= monthsOld && monthly > 0; m++) {
      log.add(entry(m + 1, monthsOld - m, new LotTaken(monthly, "K7M")));
    }
    return Lot.fold(log);
  }

  private static Entry<LotEvent> entry(int number, int monthsAgo, LotEvent event) {
    Instant at = TODAY.minusMonths(monthsAgo).atTime(9, 0).toInstant(ZoneOffset.UTC);
    return new Entry<>(UUID.randomUUID(), number, at, event, null);
  }

  private static StockAhead yarrow(int monthsOld, double amount, double monthly, double promised) {
    return herb(
        Season.shipped().get("yarrow"),
        promised,
        lot(details(LotDetails.Kind.HERB, "yarrow", monthsOld), monthsOld, amount, monthly));
  }

  private static StockAhead herb(@Nullable Season season, double promised, Lot... lots) {
    return ahead(List.of(lots), promised, season);
  }

  private static StockAhead ahead(List<Lot> lots, double promised, @Nullable Season season) {
    List<LocalDate> known = lots.stream().flatMap(lot -> lot.since().stream()).toList();
    LocalDate since =
        StockAhead.Thing.since(
            known.stream().min(Comparator.naturalOrder()).orElse(null),
            known.size() < lots.size(),
            TODAY);
    return StockAhead.of(
        StockAhead.Thing.of(lots, since, promised, season, CATALOGUE, ZoneOffset.UTC), TODAY);
  }

  private static StockAhead.Todo todo(StockAhead ahead, Doing doing) {
    return ahead.todo().stream().filter(t -> t.doing() == doing).findFirst().orElseThrow();
  }

  @Test
  void whatIsUsedSteadilyRunsOutWhenItsHabitSays() {
    StockAhead ahead = yarrow(6, 180, 20, 0);

    assertThat(ahead.amount()).isEqualTo(60);
    assertThat(ahead.perMonth()).isCloseTo(20, within(0.3));
    assertThat(ahead.runsOut()).isBetween(TODAY.plusDays(85), TODAY.plusDays(96));
    assertThat(ahead.goesOver()).isZero();
  }

  @Test
  void plansTakeTheirPartFirst() {
    assertThat(yarrow(6, 180, 20, 40).runsOut()).isBefore(yarrow(6, 180, 20, 0).runsOut());
    assertThat(yarrow(6, 180, 20, 40).lacking())
        .isCloseTo(yarrow(6, 180, 20, 0).lacking() + 40, within(1e-6));
  }

  @Test
  void whatNobodyUsesGoesOver() {
    StockAhead ahead = yarrow(6, 180, 0, 0);

    assertThat(ahead.runsOut()).isNull();
    assertThat(ahead.goesOver()).isEqualTo(180);
    assertThat(ahead.goesOverOn()).isEqualTo(TODAY.plusMonths(6));
    assertThat(todo(ahead, Doing.USE).by()).isEqualTo(TODAY.plusMonths(6));
  }

  @Test
  void ofTwoLotsTheOneThatSpoilsFirstIsUsedFirst() {
    Lot old = lot(details(LotDetails.Kind.HERB, "yarrow", 10), 10, 300, 20);
    Lot young = lot(details(LotDetails.Kind.HERB, "yarrow", 2), 2, 100, 0);
    StockAhead ahead = herb(null, 0, young, old);

    assertThat(ahead.goesOverOn()).isEqualTo(TODAY.plusMonths(2));
    assertThat(ahead.goesOver()).isCloseTo(100 - 40, within(3.0));
    assertThat(ahead.runsOut()).isNotNull().isBefore(TODAY.plusMonths(8));
  }

  @Test
  void aHerbOfTheGardenIsSownGatheredAndDriedAndBoughtUntilThen() {
    StockAhead ahead = yarrow(6, 180, 20, 0);

    assertThat(todo(ahead, Doing.SOW).from()).isEqualTo(LocalDate.of(2027, 4, 1));
    StockAhead.Todo gather = todo(ahead, Doing.GATHER);
    assertThat(gather.from()).isEqualTo(LocalDate.of(2027, 6, 1));
    assertThat(gather.by()).isEqualTo(LocalDate.of(2027, 8, 31));
    double dried = todo(ahead, Doing.DRY).amount();
    assertThat(gather.amount()).isCloseTo(dried * 0.90 / (1 - 0.82), within(1e-6));
    StockAhead.Todo buy = todo(ahead, Doing.BUY);
    assertThat(buy.by()).isEqualTo(ahead.runsOut().minusDays(7));
    assertThat(buy.amount() + dried).isCloseTo(ahead.lacking(), within(1e-6));
  }

  /** A lot that runs out sooner or later before the harvest, by how much there was of it. */
  @ParameterizedTest
  @ValueSource(ints = {160, 180, 200, 220, 230, 240, 245, 250, 255, 260, 270})
  void aGapOfAFewDaysBeforeTheHarvestIsNoReasonToBuy(int amount) {
    StockAhead ahead = yarrow(6, amount, 20, 0);
    LocalDate dry = LocalDate.of(2027, 6, 1).plusDays(28);
    double gapG =
        Math.max(0, ChronoUnit.DAYS.between(ahead.runsOut(), dry)) * ahead.perMonth() / 30.44;

    double bought =
        ahead.todo().stream()
            .filter(t -> t.doing() == Doing.BUY)
            .mapToDouble(StockAhead.Todo::amount)
            .sum();

    assertThat(bought).isCloseTo(gapG > ahead.perMonth() / 2 ? gapG : 0, within(1e-6));
    assertThat(todo(ahead, Doing.DRY).amount()).isCloseTo(ahead.lacking() - gapG, within(1e-6));
  }

  @Test
  void oilIsBoughtBeforeItRunsOutAndNoMoreThanIsUsedWhileItIsGood() {
    LotDetails oil = details(LotDetails.Kind.CARRIER, "hemp", 4);
    StockAhead ahead = ahead(List.of(lot(oil, 4, 500, 100)), 0, null);

    StockAhead.Todo buy = todo(ahead, Doing.BUY);
    assertThat(buy.amount()).isCloseTo(ahead.perMonth() * 6, within(1e-6));
    assertThat(buy.amount()).isLessThan(ahead.lacking());
  }

  @Test
  void anInfusedOilIsChargedSoEarlyThatAColdJarIsReadyWhenTheLastIsUsed() {
    List<StockAhead.Used> used =
        List.of(
            new StockAhead.Used(TODAY.minusMonths(1), 50),
            new StockAhead.Used(TODAY.minusMonths(5), 70),
            new StockAhead.Used(TODAY.minusMonths(14), 999));
    StockAhead ahead =
        StockAhead.of(
            new StockAhead.Thing(
                List.of(
                    new StockAhead.Held(30, TODAY.plusMonths(1)),
                    new StockAhead.Held(40, TODAY.plusMonths(8))),
                used,
                TODAY.minusMonths(24),
                0,
                new StockAhead.Infused()),
            TODAY);

    assertThat(ahead.perMonth()).isCloseTo(10, within(0.1));
    assertThat(ahead.goesOver()).isCloseTo(20, within(0.5));
    assertThat(ahead.goesOverOn()).isEqualTo(TODAY.plusMonths(1));
    assertThat(ahead.runsOut()).isBetween(TODAY.plusMonths(4), TODAY.plusMonths(5).plusDays(5));
    assertThat(todo(ahead, Doing.CHARGE).by()).isEqualTo(ahead.runsOut().minusDays(35));
    assertThat(ahead.quiet()).isFalse();
  }

  @Test
  void seasonsAreThoseOfHerbsThatThereAre() {
    assertThat(Season.shipped().keySet())
        .allSatisfy(key -> assertThat(CATALOGUE.herb(key).key()).isEqualTo(key));
    Season.Months overTheTurn = new Season.Months(Month.NOVEMBER, Month.FEBRUARY);
    assertThat(overTheTurn.next(LocalDate.of(2027, 1, 5)).first())
        .isEqualTo(LocalDate.of(2026, 11, 1));
    assertThat(overTheTurn.next(LocalDate.of(2027, 3, 1)).last())
        .isEqualTo(LocalDate.of(2028, 2, 29));
  }
}
