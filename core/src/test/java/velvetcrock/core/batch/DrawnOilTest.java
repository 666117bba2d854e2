package velvetcrock.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.log.Entry;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.yield.Expression;

/** Oil that is used straight from the cloth, and oil that comes back. */
class DrawnOilTest {
  private static final LocalDate CHARGED = LocalDate.of(2026, 9, 1);

  private final List<Entry<BatchEvent>> log = new ArrayList<>();

  @BeforeEach
  void strain() {
    log.clear();
    say(0, YarrowLog.charged(CHARGED, 30, CHARGED.plusMonths(11)));
    say(35, new Strained(300, "300 ml", Expression.SQUEEZE, new Range(290, 330)));
  }

  private void say(int day, BatchEvent event) {
    Instant at = CHARGED.plusDays(day).atTime(12, 0).toInstant(ZoneOffset.UTC);
    log.add(new Entry<BatchEvent>(UUID.randomUUID(), log.size() + 1, at, event, null));
  }

  private BatchState state() {
    return BatchLog.fold(log);
  }

  private void bottle(double ml) {
    say(
        36,
        new Bottled(
            List.of(
                new BottleIn(
                    "A",
                    ml,
                    ml,
                    Store.Place.COOL,
                    Store.Glass.AMBER,
                    Store.Antioxidant.NONE,
                    true))));
  }

  @Test
  void oilStraightFromTheClothIsNotBottledAgain() {
    say(36, new DrawnUnbottled(120, "120 ml", "pot"));
    assertThat(state().unbottledMl(0.915)).isCloseTo(180, within(1e-9));
    bottle(200);

    assertThatThrownBy(this::state).isInstanceOf(Refused.class).hasMessageContaining("strained");
  }

  @Test
  void noMoreIsUsedThanIsInNoBottle() {
    bottle(250);
    say(37, new DrawnUnbottled(60, "60 ml", "pot"));

    assertThatThrownBy(this::state)
        .isInstanceOf(Refused.class)
        .hasMessageContaining("50 ml of it are in no bottle");
  }

  @Test
  void aBatchWhoseOilIsAllUsedIsFinished() {
    say(36, new DrawnUnbottled(298, "all", "pot"));

    assertThat(state().status()).isEqualTo(BatchState.Status.FINISHED);
  }

  @Test
  void whatComesBackIsThereAgain() {
    bottle(250);
    say(37, new Drawn("A", 250, "all", "pot"));
    assertThat(state().bottle("A").orElseThrow().goneAt()).isNotNull();
    say(38, new GivenBack("A", 240, "pot"));

    BottleState bottle = state().bottle("A").orElseThrow();
    assertThat(bottle.leftMl()).isCloseTo(240, within(1e-9));
    assertThat(bottle.goneAt()).isNull();
    assertThat(bottle.openedAt()).isNotNull();
  }

  @Test
  void whatWasUsedFromTheClothComesBackToo() {
    say(36, new DrawnUnbottled(120, "120 ml", "pot"));
    say(37, new GivenBack(null, 120, "pot"));
    assertThat(state().unbottledMl(0.915)).isCloseTo(300, within(1e-9));
    say(38, new GivenBack(null, 5, "pot"));

    assertThatThrownBy(this::state).isInstanceOf(Refused.class);
  }

  @Test
  void moreThanABottleHoldsDoesNotComeBack() {
    bottle(250);
    say(37, new GivenBack("A", 20, "pot"));
    assertThatThrownBy(this::state).isInstanceOf(Refused.class).hasMessageContaining("hold");
    log.remove(log.size() - 1);
    say(37, new BottleGone("A", Ending.SPILLED));
    say(38, new GivenBack("A", 20, "pot"));
    assertThatThrownBy(this::state).isInstanceOf(Refused.class).hasMessageContaining("gone");
    log.remove(log.size() - 1);
    say(38, new GivenBack("Z", 20, "pot"));
    assertThatThrownBy(this::state).isInstanceOf(Refused.class).hasMessageContaining("no bottle Z");
  }

  @Test
  void unbottledOilIsGoodAsInAFullDarkBottle() {
    BatchState unbottled = state();
    bottle(250);
    BatchReckoning reckoning = new BatchReckoning(Catalogue.shipped(), unbottled);

    assertThat(reckoning.keepingUnbottled(ZoneOffset.UTC, Series.none()).early().bestBefore())
        .isAfter(CHARGED.plusMonths(6))
        .isBefore(CHARGED.plusMonths(12));
  }
}
