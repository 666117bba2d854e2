package velvetcrock.core.jar;

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
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleChecked;
import velvetcrock.core.batch.BottleGone;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.BottleOpened;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.BottleStood;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.Leaving;
import velvetcrock.core.batch.LookedBack;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.StoodClear;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.Straining;
import velvetcrock.core.batch.YarrowLog;
import velvetcrock.core.care.Round;
import velvetcrock.core.care.Task;
import velvetcrock.core.care.Task.Kind;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.heat.Series;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Store.Antioxidant;
import velvetcrock.core.keeping.Store.Fill;
import velvetcrock.core.keeping.Store.Glass;
import velvetcrock.core.keeping.Store.Place;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.yield.Expression;

/** A bottle's legs: moved, opened, half used, smelled at. */
class BottleKeepingTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final LocalDate CHARGED = LocalDate.of(2026, 3, 2);
  private static final LocalDate STRAINED = CHARGED.plusDays(35);

  private final List<Entry<BatchEvent>> entries = new ArrayList<>();

  @BeforeEach
  void strainedAndBottled() {
    happens(CHARGED, YarrowLog.charged(CHARGED, 40, CHARGED.plusMonths(7)));
    happens(STRAINED, strained(false));
  }

  private static Strained strained(boolean settles) {
    return new Strained(
        320, "320 ml", Expression.SQUEEZE, new Range(300, 340), new Straining(true, true, settles));
  }

  private void bottled(Place place, Glass glass) {
    happens(
        STRAINED,
        new Bottled(List.of(new BottleIn("A", 200, 200, place, glass, Antioxidant.NONE, true))));
  }

  private void happens(LocalDate day, BatchEvent event) {
    Instant at = day.atTime(9, entries.size()).atZone(OSLO).toInstant();
    entries.add(new Entry<BatchEvent>(UUID.randomUUID(), entries.size() + 1, at, event, null));
  }

  private BottleState bottle() {
    return BatchLog.fold(entries).bottle("A").orElseThrow();
  }

  private Keeping keeping() {
    BatchState state = BatchLog.fold(entries);
    return new BatchReckoning(CATALOGUE, state).keeping(bottle(), OSLO, Series.none()).early();
  }

  private static BottleStood stood(Place place, Glass glass, double sizeMl, Antioxidant with) {
    return new BottleStood("A", place, glass, sizeMl, with);
  }

  @Test
  void everyMoveBeginsALegAndTheSumDecides() {
    bottled(Place.WARM, Glass.CLEAR);
    LocalDate before = keeping().bestBefore();
    happens(STRAINED.plusDays(20), stood(Place.FRIDGE, Glass.AMBER, 200, Antioxidant.NONE));
    happens(STRAINED.plusDays(50), stood(Place.COOL, Glass.AMBER, 200, Antioxidant.NONE));

    Keeping keeping = keeping();
    assertThat(keeping.bestBefore()).isAfter(before);
    assertThat(keeping.legs()).extracting(Keeping.Leg::name).hasSize(4);
    assertThat(keeping.legs().get(1).name()).isEqualTo("on a warm shelf, in clear glass");
    assertThat(keeping.legs().get(1).days()).isEqualTo(20);
    assertThat(keeping.legs().get(2).days()).isEqualTo(30);
    double spent = keeping.legs().stream().limit(3).mapToDouble(Keeping.Leg::spentDays).sum();
    assertThat(spent)
        .isCloseTo(keeping.spentDays() + legs(keeping, 1) + legs(keeping, 2), within(1e-9));
  }

  private static double legs(Keeping keeping, int index) {
    Keeping.Leg leg = keeping.legs().get(index);
    return leg.days() * leg.rate();
  }

  @Test
  void openingNamesALegAndHalfEmptyCostsKeeping() {
    bottled(Place.ROOM, Glass.AMBER);
    LocalDate shut = keeping().bestBefore();
    happens(STRAINED.plusDays(10), new BottleOpened("A"));
    assertThat(bottle().openedAt()).isNotNull();
    assertThat(keeping().bestBefore()).isEqualTo(shut);
    assertThat(keeping().legs()).hasSize(3);

    happens(STRAINED.plusDays(12), new Drawn("A", 120, "120 ml", "balm"));
    assertThat(bottle().store().fill()).isEqualTo(Fill.HALF);
    assertThat(keeping().bestBefore()).isBefore(shut);
    assertThat(keeping().legs().get(2).name()).isEqualTo("in the room, opened");
  }

  @Test
  void aSmallerBottleIsFullAgain() {
    bottled(Place.ROOM, Glass.AMBER);
    happens(STRAINED.plusDays(10), new Drawn("A", 120, "120 ml", ""));
    LocalDate half = keeping().bestBefore();
    happens(STRAINED.plusDays(11), stood(Place.ROOM, Glass.AMBER, 100, Antioxidant.VITAMIN_E));
    assertThat(bottle().store())
        .isEqualTo(new Store(Place.ROOM, Glass.AMBER, Fill.FULL, Antioxidant.VITAMIN_E));
    assertThat(bottle().sizeMl()).isEqualTo(100);
    assertThat(keeping().bestBefore()).isAfter(half);
    assertThatThrownBy(
            () -> {
              happens(STRAINED.plusDays(12), stood(Place.ROOM, Glass.AMBER, 50, Antioxidant.NONE));
              bottle();
            })
        .isInstanceOf(Refused.class)
        .hasMessageContaining("80 ml");
  }

  @Test
  void aFirstDrawOpensItAndStandingAsBeforeIsNoNewLeg() {
    bottled(Place.COOL, Glass.AMBER);
    happens(STRAINED.plusDays(3), stood(Place.COOL, Glass.AMBER, 200, Antioxidant.NONE));
    assertThat(bottle().stays()).hasSize(1);
    happens(STRAINED.plusDays(4), new Drawn("A", 10, "10 ml", ""));
    happens(STRAINED.plusDays(5), new BottleOpened("A"));
    assertThat(bottle().stays()).hasSize(2);
  }

  @Test
  void statesWrittenBeforeThereWereStaysTellTheSameLegs() {
    BottleIn in = new BottleIn("A", 200, 200, Place.COOL, Glass.AMBER, Antioxidant.NONE, true);
    Instant filled = STRAINED.atStartOfDay(OSLO).toInstant();
    Instant half = STRAINED.plusDays(9).atStartOfDay(OSLO).toInstant();
    BottleState old =
        new BottleState(in, 80, true, filled, half, null, null, null, nothing(), null);
    assertThat(old.stays()).hasSize(2);
    assertThat(old.store().fill()).isEqualTo(Fill.HALF);
    assertThat(old.sizeMl()).isEqualTo(200);
  }

  @SuppressWarnings("NullAway")
  private static <T> T nothing() {
    return null;
  }

  @Test
  void aBottleIsSmelledAtNearItsDateAndEveryFortnightThen() {
    bottled(Place.COOL, Glass.AMBER);
    LocalDate date = keeping().bestBefore();
    assertThat(task(date.minusDays(40), null)).isNull();
    assertThat(task(date.minusDays(28), null)).isEqualTo(Kind.SMELL);
    assertThat(task(date.minusDays(40), date.minusDays(60))).isEqualTo(Kind.SMELL);
    happens(date.minusDays(28), new BottleChecked("A", OffSmell.NONE, false, false));
    assertThat(task(date.minusDays(20), null)).isNull();
    assertThat(task(date.minusDays(14), null)).isEqualTo(Kind.SMELL);
    assertThat(task(date.plusDays(1), null)).isEqualTo(Kind.PAST_DATE);
    happens(date.minusDays(13), new BottleChecked("A", OffSmell.RANCID, false, false));
    assertThat(bottle().spoiled()).isTrue();
    assertThat(task(date.minusDays(13), null)).isEqualTo(Kind.THROW_OUT);
    happens(date.minusDays(13), new BottleGone("A", Ending.RANCID));
    assertThat(task(date.plusDays(1), null)).isNull();
  }

  private @Nullable Kind task(LocalDate today, @Nullable LocalDate smellFrom) {
    Instant noon = today.atTime(12, 0).atZone(OSLO).toInstant();
    return new Round(CATALOGUE, OSLO, noon)
        .bottle(bottle(), keeping().bestBefore(), smellFrom)
        .map(Task::kind)
        .orElse(null);
  }

  @Test
  void whatWasSetAsideToSettleIsPouredOffTheDayAfterAndBottledThen() {
    entries.remove(1);
    happens(STRAINED, strained(true));
    assertThat(round(STRAINED)).isEmpty();
    assertThat(round(STRAINED.plusDays(1))).containsExactly(Kind.DECANT);
    happens(STRAINED.plusDays(1), new Decanted(Leaving.SEDIMENT, 4, "4 g"));
    assertThat(round(STRAINED.plusDays(1))).containsExactly(Kind.BOTTLE);
  }

  @Test
  void orItStoodClearAndIsBottledAtOnce() {
    entries.remove(1);
    happens(STRAINED, strained(true));
    happens(STRAINED.plusDays(1), new StoodClear());
    assertThat(round(STRAINED.plusDays(1))).containsExactly(Kind.BOTTLE);
    assertThat(BatchLog.fold(entries).remains().sedimentG()).isZero();
  }

  private List<Kind> round(LocalDate today) {
    Instant noon = today.atTime(12, 0).atZone(OSLO).toInstant();
    return new Round(CATALOGUE, OSLO, noon)
        .tasks(BatchLog.fold(entries)).stream().map(Task::kind).toList();
  }

  @Test
  void coloursAreKeptInOrderAndThePlainCarrierApart() {
    happens(CHARGED.plusDays(1), new Coloured(Rgb.of("#e0c14a"), true, null));
    happens(CHARGED.plusDays(9), new Coloured(Rgb.of("#b8860b"), false, null));
    happens(CHARGED.plusDays(4), new Coloured(Rgb.of("#c9a227"), false, null));
    BatchState.Colours colours = BatchLog.fold(entries).colours();
    assertThat(colours.plain()).isEqualTo(Rgb.of("#e0c14a"));
    assertThat(colours.seen())
        .extracting(s -> s.colour().hex())
        .containsExactly("#c9a227", "#b8860b");
  }

  @Test
  void lookingBackSaysSomething() {
    assertThatThrownBy(() -> new LookedBack(" ", "")).hasMessageContaining("well");
    happens(STRAINED, new LookedBack("", "cut it finer"));
    assertThat(BatchLog.fold(entries).entries()).isEqualTo(3);
  }

  @ParameterizedTest
  @CsvSource({
    "NONE, false, false, good",
    "RANCID, false, false, rancid",
    "NONE, true, false, cloudy",
    "MUSTY, true, true, 'musty, cloudy, fizzing'"
  })
  void whatWasSmelledAndSeenIsSaidInWords(
      OffSmell off, boolean cloudy, boolean fizzing, String words) {
    BottleChecked checked = new BottleChecked("A", off, cloudy, fizzing);

    assertThat(checked.words()).isEqualTo(words);
    assertThat(checked.good()).isEqualTo(words.equals("good"));
  }
}
