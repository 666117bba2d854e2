package velvetcrock.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import velvetcrock.core.drawer.Entry;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.melt.PartIn;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.core.melt.PotLog;
import velvetcrock.core.melt.PotState;
import velvetcrock.core.pot.Drops.Where;
import velvetcrock.core.pot.Making;
import velvetcrock.core.pot.Working;

/** What a pot wants in the round. */
class PotRoundTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
  private static final PotRound ROUND = new PotRound(ZoneOffset.UTC, TODAY);

  private static PotState pot(PotEvent... more) {
    PotEvent.Plan plan =
        new PotEvent.Plan(
            Making.SALVE, "", Where.BODY, 20, 16, Working.In.BATH, false, Store.Place.COOL, "", "");
    List<PotEvent> events = new ArrayList<>();
    events.add(
        new PotEvent.Begun(
            plan,
            List.of(new PartIn(PartIn.Kind.CARRIER, "olive", null, null, 60, "", null)),
            List.of(),
            ""));
    events.addAll(List.of(more));
    List<Entry<PotEvent>> log = new ArrayList<>();
    for (PotEvent event : events) {
      Instant at = TODAY.minusDays(2).atTime(9, log.size()).toInstant(ZoneOffset.UTC);
      log.add(new Entry<>(UUID.randomUUID(), log.size() + 1, at, event, null));
    }
    return PotLog.fold(log);
  }

  private static PotEvent poured() {
    return new PotEvent.Poured(
        List.of(new PotEvent.Group("A", "tins", 30, 2, Where.BODY, List.of(), "")), false, null);
  }

  @Test
  void inThePanItWantsToBeFinished() {
    Task task = ROUND.task(pot(), TODAY.plusMonths(6)).orElseThrow();

    assertThat(task.kind()).isEqualTo(Task.Kind.FINISH_POT);
    assertThat(task.overdueDays(TODAY)).isEqualTo(2);
  }

  @Test
  void pouredItWantsNothingUntilItsDateIsNear() {
    PotState pot = pot(poured());

    assertThat(ROUND.task(pot, TODAY.plusMonths(6))).isEmpty();
    assertThat(ROUND.task(pot, TODAY.plusDays(3))).map(Task::kind).contains(Task.Kind.SMELL);
    assertThat(ROUND.task(pot, TODAY.minusDays(1))).map(Task::kind).contains(Task.Kind.PAST_DATE);
  }

  @Test
  void whatIsGoneOrGivenUpWantsNothing() {
    PotState gone =
        pot(
            poured(),
            new PotEvent.Went("A1", PotEvent.Fate.USED_UP, "", ""),
            new PotEvent.Went("A2", PotEvent.Fate.LOST, "", ""));

    assertThat(ROUND.task(gone, TODAY.minusDays(9))).isEmpty();
    assertThat(ROUND.task(pot(new PotEvent.Abandoned(true, "")), TODAY.minusDays(9))).isEmpty();
  }
}
