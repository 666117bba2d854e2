package velvetcrock.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.care.Round;
import velvetcrock.core.care.Task;
import velvetcrock.core.care.Task.Kind;
import velvetcrock.core.heat.Ageing;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning;
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

class BatchLogTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
  private static final LocalDate DAY0 = LocalDate.of(2026, 10, 1);
  private final List<Entry<BatchEvent>> entries = new ArrayList<>();

  private static Charged charged(Range herbG, Range oilMl, int aboutDays) {
    return new Charged(
        Method.COLD,
        List.of(new HerbIn("yarrow", Part.FLOWER, Cut.CUT, HerbState.DRIED, herbG, 0.10, "30 g")),
        List.of(new OilIn("rapeseed", 1, DAY0.plusMonths(11), null, null)),
        new Charged.Oil(oilMl, ""),
        new JarIn("Jar 500 ml", 530, 80),
        12,
        Use.SKIN,
        new Stand("p1", "Dark cupboard", Light.DARK),
        new Charged.Begun(DAY0, aboutDays, aboutDays > 0),
        true,
        Manner.PLAIN);
  }

  private UUID happens(LocalDate day, int hour, BatchEvent event) {
    return happens(day, hour, event, null);
  }

  private UUID happens(LocalDate day, int hour, BatchEvent event, UUID replaces) {
    Instant at = day.atTime(hour, 0).atZone(OSLO).toInstant();
    Entry<BatchEvent> entry =
        new Entry<BatchEvent>(UUID.randomUUID(), entries.size() + 1, at, event, replaces);
    entries.add(entry);
    return entry.id();
  }

  private BatchState state() {
    return BatchLog.fold(entries);
  }

  private static Instant evening(LocalDate day) {
    return day.atTime(20, 0).atZone(OSLO).toInstant();
  }

  private List<Kind> round(LocalDate today) {
    return new Round(CATALOGUE, OSLO, evening(today))
        .tasks(state()).stream().map(Task::kind).toList();
  }

  private void charge() {
    happens(DAY0, 9, charged(Range.exactly(30), Range.exactly(400), 0));
  }

  @Test
  void inTheFirstWeekItIsShakenDailyAndLookedAtEveryThirdDay() {
    charge();
    assertThat(round(DAY0)).isEmpty();
    assertThat(round(DAY0.plusDays(1))).containsExactly(Kind.TOP_UP, Kind.SHAKE);
    happens(DAY0.plusDays(1), 8, new AllWell());
    assertThat(round(DAY0.plusDays(1))).isEmpty();
    assertThat(round(DAY0.plusDays(4))).containsExactly(Kind.SHAKE, Kind.LOOK);
  }

  @Test
  void afterTheFirstWeekItIsShakenWeekly() {
    charge();
    happens(DAY0.plusDays(9), 8, new AllWell());
    assertThat(round(DAY0.plusDays(11))).isEmpty();
    assertThat(round(DAY0.plusDays(16))).containsExactly(Kind.SHAKE, Kind.LOOK);
  }

  @Test
  void itIsStrainedFromTheEarliestDayAndLateAfterTheLatest() {
    charge();
    happens(DAY0.plusDays(20), 8, new AllWell());
    assertThat(round(DAY0.plusDays(20))).isEmpty();
    assertThat(round(DAY0.plusDays(21))).containsExactly(Kind.STRAIN);
    Task late = new Round(CATALOGUE, OSLO, evening(DAY0.plusDays(60))).tasks(state()).get(0);
    assertThat(late.kind()).isEqualTo(Kind.STRAIN);
    assertThat(late.overdueDays(DAY0.plusDays(60))).isEqualTo(4);
  }

  @Test
  void daysAreCalendarDaysAcrossAClockChangeAndRoundMidnight() {
    charge();
    happens(LocalDate.of(2026, 10, 24), 23, new AllWell());
    LocalDate after = LocalDate.of(2026, 10, 31);
    assertThat(state().day(after)).isEqualTo(30);
    assertThat(round(after)).contains(Kind.SHAKE);
    assertThat(round(after.minusDays(1))).doesNotContain(Kind.SHAKE);
  }

  @Test
  void nobodyIsAskedToMendWhatIsLost() {
    charge();
    happens(DAY0.plusDays(2), 8, new Looked(false, true, null, true, null, null));
    assertThat(state().seen().worries()).containsExactly("mould");
  }

  @Test
  void aWorryingLookBecomesATask() {
    charge();
    happens(DAY0.plusDays(2), 8, new Looked(false, true, null, null, null, null));
    assertThat(round(DAY0.plusDays(2))).startsWith(Kind.COVER, Kind.TURN);
    assertThat(state().seen().worries()).containsExactly("uncovered", "floating");
    happens(DAY0.plusDays(2), 9, new ToppedUp(60, "rapeseed", "60 ml"));
    happens(DAY0.plusDays(2), 9, new Turned());
    assertThat(state().seen().worries()).isEmpty();
    happens(DAY0.plusDays(3), 9, new Smelled(null, OffSmell.MUSTY));
    assertThat(round(DAY0.plusDays(3))).containsExactly(Kind.THROW_OUT);
  }

  @Test
  void takingBackIsAnEntryAndRestoresWhatWasBefore() {
    charge();
    UUID look = happens(DAY0.plusDays(2), 8, new Looked(false, null, null, null, null, null));
    happens(DAY0.plusDays(2), 9, new Struck(), look);

    assertThat(state().seen().covered()).isNull();
    assertThat(state().corrections()).isEqualTo(1);
    assertThat(state().entries()).isEqualTo(3);
  }

  @Test
  void whatWasWrittenLateCountsWhenItHappened() {
    charge();
    happens(DAY0.plusDays(5), 8, new Shaken());
    happens(DAY0.plusDays(3), 8, new Shaken());

    assertThat(state().tended().shakes()).isEqualTo(2);
    assertThat(state().tended().shakenAt())
        .isEqualTo(DAY0.plusDays(5).atTime(8, 0).atZone(OSLO).toInstant());
  }

  private void strainAndBottle() {
    charge();
    happens(
        DAY0.plusDays(35), 8, new Strained(320, "320 ml", Expression.SQUEEZE, new Range(300, 350)));
    happens(DAY0.plusDays(36), 8, new Bottled(List.of(bottle("A", 200), bottle("B", 120))));
  }

  private static BottleIn bottle(String letter, double ml) {
    return new BottleIn(
        letter, ml, ml, Store.Place.COOL, Store.Glass.AMBER, Store.Antioxidant.NONE, false);
  }

  @Test
  void fromJarToEmptyBottle() {
    strainAndBottle();
    assertThat(state().status()).isEqualTo(Status.BOTTLED);
    assertThat(round(DAY0.plusDays(36))).containsExactly(Kind.CAP);
    happens(DAY0.plusDays(37), 8, new Capped());
    happens(DAY0.plusDays(40), 8, new Drawn("A", 110, "110 ml", "balm"));
    BottleState a = state().bottle("A").orElseThrow();
    assertThat(a.leftMl()).isEqualTo(90);
    assertThat(a.store().fill()).isEqualTo(Store.Fill.HALF);
    happens(DAY0.plusDays(41), 8, new Drawn("A", 90, "90 ml", ""));
    happens(DAY0.plusDays(41), 9, new BottleGone("B", Ending.SPILLED));
    assertThat(state().status()).isEqualTo(Status.FINISHED);
  }

  @Test
  void theKeepingOfABottleFollowsItsLegs() {
    strainAndBottle();
    BatchReckoning reckoning = new BatchReckoning(CATALOGUE, state());
    var keeping = reckoning.keeping(state().bottle("A").orElseThrow(), OSLO, Series.none());

    assertThat(keeping.exact()).isTrue();
    assertThat(keeping.early().spentDays()).isEqualTo(35);
    assertThat(keeping.early().bestBefore()).isEqualTo(DAY0.plusMonths(11));
  }

  @Test
  void readingsTakeThePlaceOfTheAssumedRoom() {
    strainAndBottle();
    Series.Builder warm = Series.builder();
    Instant begin = DAY0.plusDays(1).atStartOfDay(OSLO).toInstant();
    for (int i = 0; i <= 48; i++) {
      warm.add(begin.plusSeconds(i * 1800L).toEpochMilli(), 40);
    }

    var keeping =
        new BatchReckoning(CATALOGUE, state())
            .keeping(state().bottle("A").orElseThrow(), OSLO, warm.build());

    assertThat(keeping.early().spentDays()).isCloseTo(34 + Ageing.rate(40), within(1e-9));
  }

  @Test
  void aJarTakenOnIsReckonedAsARange() {
    happens(DAY0, 12, charged(new Range(20, 40), new Range(350, 420), 7));
    BatchReckoning reckoning = new BatchReckoning(CATALOGUE, state());
    var range = reckoning.yield(Expression.SQUEEZE).rangeMl();
    assertThat(range.low()).isLessThan(300);
    assertThat(range.high()).isGreaterThan(370);

    happens(DAY0.plusDays(35), 8, new Strained(320, "320 ml", Expression.SQUEEZE, range));
    happens(DAY0.plusDays(35), 9, new Bottled(List.of(bottle("A", 320))));
    var keeping =
        new BatchReckoning(CATALOGUE, state())
            .keeping(state().bottle("A").orElseThrow(), OSLO, Series.none());
    assertThat(keeping.early().spentDays()).isNotEqualTo(keeping.late().spentDays());
  }

  @Test
  void whatCouldNotHaveHappenedIsRefusedAtItsField() {
    strainAndBottle();
    refused("kind", new Strained(10, "10 ml", Expression.DRIP, new Range(0, 1)));
    refused("at", new Shaken());
    refused("amount", new Drawn("A", 201, "201 ml", ""));
    refused("bottle", new Drawn("Z", 1, "1 ml", ""));
    refused("bottles[0].amount", new Bottled(List.of(bottle("C", 50))));
  }

  private void refused(String field, BatchEvent event) {
    List<Entry<BatchEvent>> with = new ArrayList<>(entries);
    with.add(
        new Entry<BatchEvent>(
            UUID.randomUUID(), 99, DAY0.plusDays(50).atStartOfDay(OSLO).toInstant(), event, null));
    assertThatThrownBy(() -> BatchLog.fold(with)).hasMessageStartingWith(field);
  }

  @Test
  void moreCannotComeOutThanWentIn() {
    charge();
    refused("amount", new Strained(600, "600 ml", Expression.SQUEEZE, new Range(300, 350)));
  }

  @Test
  void strainingIsNotTakenBackUnderItsBottles() {
    strainAndBottle();
    Entry<BatchEvent> straining = entries.get(1);
    happens(DAY0.plusDays(37), 8, new Struck(), straining.id());
    assertThatThrownBy(this::state).hasMessageContaining("Strain it before bottling");
  }

  /** Water may have come with the oil; whoever says so is believed, up to a quarter. */
  @Test
  void moreOutThanWentInIsAskedAbout() {
    charge();
    happens(DAY0.plusDays(30), 9, new Strained(430, "", Expression.SQUEEZE, new Range(300, 360)));

    assertThatThrownBy(this::state)
        .isInstanceOf(Refused.class)
        .hasMessageContaining("more than the 400 ml that went in");
  }

  /** What was seen amiss weeks ago says nothing of a jar that was shaken and turned since. */
  @Test
  void aJarThatWasShakenSinceIsLookedAtAgainAndNotToppedUpBlindly() {
    charge();
    happens(DAY0.plusDays(3), 9, new Looked(false, null, null, null, null, null));
    assertThat(round(DAY0.plusDays(4))).contains(Kind.COVER);

    happens(DAY0.plusDays(5), 9, new Shaken());
    assertThat(round(DAY0.plusDays(5))).doesNotContain(Kind.COVER, Kind.LOOK, Kind.TOP_UP);
    assertThat(round(DAY0.plusDays(6))).doesNotContain(Kind.COVER).contains(Kind.TOP_UP);

    happens(DAY0.plusDays(6), 9, new Looked(true, null, null, null, null, null));
    assertThat(state().seen().lookAgain()).isFalse();
    assertThat(round(DAY0.plusDays(6))).doesNotContain(Kind.COVER);
  }

  /** What was done together is one visit; a jar that stands is not asked for twice on a day. */
  @Test
  void aVisitLogsJustWhatItWas() {
    charge();
    happens(DAY0.plusDays(2), 8, new Visited(Set.of(Visited.Act.LOOKED, Visited.Act.SMELLED)));

    BatchState.Tending tended = state().tended();
    assertThat(tended.lookedAt()).isNotNull().isEqualTo(tended.smelledAt());
    assertThat(tended.shakenAt()).isNull();
    assertThat(tended.levelAt()).isNull();
    assertThat(state().seen()).isEqualTo(Observations.none());
    assertThat(round(DAY0.plusDays(2))).isEmpty();
    assertThat(round(DAY0.plusDays(3))).containsExactly(Kind.TOP_UP, Kind.SHAKE);

    happens(DAY0.plusDays(3), 8, new Visited(Set.of(Visited.Act.LEVEL)));
    assertThat(state().seen().covered()).isTrue();
    assertThat(state().tended().lookedAt()).isBefore(state().tended().levelAt());
    assertThatThrownBy(() -> new Visited(Set.of())).hasMessageContaining("acts");
  }

  @Test
  void aJarLeftLongerIsLookedAtAndStrainedFromThatDay() {
    charge();
    LocalDate day = DAY0.plusDays(40);
    happens(DAY0.plusDays(30), 8, new AllWell());
    assertThat(round(DAY0.plusDays(30))).contains(Kind.STRAIN);
    Instant until = day.atStartOfDay(OSLO).toInstant();
    happens(DAY0.plusDays(30), 9, new LeftLonger(until, "its colour still moves"));

    assertThat(round(DAY0.plusDays(31))).doesNotContain(Kind.STRAIN);
    happens(DAY0.plusDays(39), 8, new AllWell());
    assertThat(round(DAY0.plusDays(39))).doesNotContain(Kind.STRAIN, Kind.LOOK);
    assertThat(round(day)).contains(Kind.STRAIN, Kind.LOOK);
    assertThat(new BatchReckoning(CATALOGUE, state()).window(OSLO).usualOn()).contains(day);
    assertThat(state().left().why()).isEqualTo("its colour still moves");

    happens(DAY0.plusDays(41), 9, new LeftLonger(until, ""));
    assertThatThrownBy(this::state).hasMessageContaining("not ahead");
  }

  /** A day before its window opens opens it no earlier. */
  @Test
  void leavingAYoungJarAFewDaysMakesItReadyNoSooner() {
    charge();
    Instant until = DAY0.plusDays(5).atStartOfDay(OSLO).toInstant();
    happens(DAY0.plusDays(3), 9, new LeftLonger(until, ""));

    assertThat(round(DAY0.plusDays(5))).doesNotContain(Kind.STRAIN).contains(Kind.LOOK);
    assertThat(new BatchReckoning(CATALOGUE, state()).window(OSLO).earliestOn())
        .contains(DAY0.plusDays(21));
  }

  @Test
  void aJarOnItsLidIsNotShakenAndIsTurnedBackOnItsDay() {
    charge();
    happens(DAY0.plusDays(2), 9, new Looked(null, true, null, null, null, null));
    assertThat(round(DAY0.plusDays(3))).contains(Kind.TURN);
    happens(DAY0.plusDays(3), 9, new Turned(7));

    assertThat(round(DAY0.plusDays(5))).doesNotContain(Kind.TURN, Kind.SHAKE, Kind.TURN_BACK);
    assertThat(round(DAY0.plusDays(10))).contains(Kind.TURN_BACK).doesNotContain(Kind.SHAKE);
    happens(DAY0.plusDays(10), 9, new Turned());
    assertThat(round(DAY0.plusDays(11))).doesNotContain(Kind.TURN_BACK, Kind.TURN);
    assertThatThrownBy(() -> new Turned(100)).hasMessageContaining("days");
  }
}
