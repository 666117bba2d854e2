package velvetcrock.core.drawer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.care.DryingRound;
import velvetcrock.core.care.Task;
import velvetcrock.core.care.Task.Kind;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.moisture.DryingCurve.Way;

class DryingTest {
  private static final Instant BEGUN = Instant.parse("2026-07-01T10:00:00Z");
  private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");

  private final List<Entry<DryingEvent>> entries = new ArrayList<>();

  private UUID happens(double hours, DryingEvent event, UUID replaces) {
    Entry<DryingEvent> entry =
        new Entry<>(UUID.randomUUID(), entries.size() + 1, at(hours), event, replaces);
    entries.add(entry);
    return entry.id();
  }

  private UUID happens(double hours, DryingEvent event) {
    return happens(hours, event, null);
  }

  private static Instant at(double hours) {
    return BEGUN.plusSeconds(Math.round(hours * 3600));
  }

  private void begun(Way way) {
    happens(
        0,
        new DryingBegun(
            "yarrow", Part.FLOWER, Cut.CUT, way, 200, "200 g", 0.85, Origin.GROWN, "bed"));
  }

  private void weighed(double hours, double grams) {
    happens(hours, new LoadWeighed(grams, grams + " g"));
  }

  private Drying drying() {
    return Drying.fold(entries);
  }

  private List<Kind> round(double hours) {
    return new DryingRound(OSLO, at(hours)).tasks(drying()).stream().map(Task::kind).toList();
  }

  @Test
  void beforeAnyWeighingTheUsualTimeIsExpected() {
    begun(Way.RACK);

    assertThat(drying().curve()).isEmpty();
    assertThat(drying().targetG()).isCloseTo(33.33, within(0.01));
    assertThat(drying().dryAtHours().middle() / 24).isBetween(5.0, 11.0);
    assertThat(drying().massByHours().applyAsDouble(0)).isCloseTo(200, within(1e-9));
    assertThat(drying().waterNow()).isCloseTo(0.85, within(1e-9));
  }

  @Test
  void oneWeighingMakesTheCurveItsOwn() {
    begun(Way.RACK);
    Range usual = drying().dryAtHours();
    weighed(24, 80);

    assertThat(drying().curve()).isPresent();
    assertThat(drying().dryAtHours().middle()).isLessThan(usual.middle());
    assertThat(drying().massByHours().applyAsDouble(24)).isCloseTo(80, within(1e-6));
    assertThat(drying().waterNow()).isCloseTo(1 - 30.0 / 80, within(1e-9));
  }

  @Test
  void aLoadThatHasLostNothingYetIsAcceptedAndNotFitted() {
    begun(Way.BUNCH);
    weighed(1, 200);

    assertThat(drying().curve()).isEmpty();
    assertThat(drying().massG()).isEqualTo(200);
  }

  @ParameterizedTest
  @CsvSource({
    "24, 230, above its fresh weight",
    "24, 25, below its dry matter",
    "48, 150, nothing gains weight"
  })
  void sillyWeighingsAreQuestionedAndNotFitted(double hours, double grams, String said) {
    begun(Way.BUNCH);
    weighed(20, 140);
    weighed(hours, grams);

    assertThatThrownBy(this::drying)
        .isInstanceOf(Refused.class)
        .hasMessageContaining("amount")
        .hasMessageContaining(said);
  }

  @Test
  void aBetterKnowledgeOfItsWaterAnswersTheQuestion() {
    begun(Way.BUNCH);
    weighed(300, 31);
    happens(301, new WaterKnown(0.88));
    weighed(400, 27);

    assertThat(drying().waterFraction()).isEqualTo(0.88);
    assertThat(drying().dryMatterG()).isCloseTo(24, within(1e-9));
  }

  @Test
  void aWeighingTakenBackNoLongerCounts() {
    begun(Way.BUNCH);
    weighed(20, 140);
    UUID slip = happens(44, new LoadWeighed(60, "60 g"));
    happens(45, new DryingStruck(), slip);

    assertThat(drying().weighings()).hasSize(1);
    assertThat(drying().massG()).isEqualTo(140);
  }

  @Test
  void leatheryIsNotDry() {
    begun(Way.BUNCH);
    happens(400, new Snapped(Snap.LEATHERY));
    happens(401, new PutAway(34, 0.1, UUID.randomUUID(), HerbState.DRIED));

    assertThatThrownBy(this::drying).hasMessageContaining("Leathery is not");
  }

  @Test
  void itMayBeTakenWiltedOnTheWay() {
    begun(Way.RACK);
    weighed(10, 120);
    happens(11, new PutAway(120, 0.75, UUID.randomUUID(), HerbState.WILTED));

    assertThat(drying().standing()).isFalse();
    assertThat(drying().waterNow()).isCloseTo(0.75, within(1e-9));
  }

  @Test
  void whatCrumblesIsPutAwayWithItsWater() {
    begun(Way.BUNCH);
    weighed(300, 33.5);
    happens(301, new Snapped(Snap.CRUMBLES));
    assertThat(drying().waterWhenCrisp()).isCloseTo(1 - 30 / 33.5, within(1e-9));
    happens(302, new PutAway(33.5, 0.1, UUID.randomUUID(), HerbState.DRIED));

    assertThat(drying().standing()).isFalse();
  }

  @Test
  void whereScaleAndStemDisagreeTheStemIsBelievedAndTheFreshWaterLearned() {
    begun(Way.BUNCH);
    weighed(300, 44);
    happens(301, new Snapped(Snap.CRUMBLES));

    assertThat(drying().waterNow()).isGreaterThan(0.3);
    assertThat(drying().waterWhenCrisp()).isEqualTo(0.10);
    assertThat(drying().freshWaterIfCrisp()).isCloseTo(1 - 44 * 0.9 / 200, within(1e-9));
  }

  @Test
  void aBunchIsWeighedEveryThirdDayAndBentWhenItMayBeDry() {
    begun(Way.BUNCH);
    assertThat(round(24)).isEmpty();
    assertThat(round(72)).containsExactly(Kind.WEIGH);
    weighed(72, 150);
    assertThat(round(80)).isEmpty();
    double dry = drying().dryAtHours().low();
    assertThat(round(dry + 1)).contains(Kind.SNAP);
    weighed(dry + 2, 40);
    happens(dry + 3, new Snapped(Snap.CRUMBLES));
    assertThat(round(dry + 4)).containsExactly(Kind.PUT_AWAY);
  }

  @Test
  void aDehydratorIsWeighedEveryThreeHours() {
    begun(Way.DEHYDRATOR);

    assertThat(round(2)).isEmpty();
    assertThat(round(3)).containsExactly(Kind.WEIGH);
  }

  @Test
  void whatIsThrownOutAsksForNothing() {
    begun(Way.BUNCH);
    happens(30, new LoadThrownOut());

    assertThat(drying().standing()).isFalse();
    assertThat(round(400)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"0, 0.85, amount", "200, 0.99, water", "200, 0.1, water"})
  void aLoadThatCannotBeIsRefused(double grams, double water, String field) {
    assertThatThrownBy(
            () ->
                new DryingBegun(
                    "yarrow", Part.FLOWER, Cut.CUT, Way.RACK, grams, "", water, Origin.GROWN, ""))
        .hasMessageContaining(field);
  }
}
