package velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.Refused;
import velvetcrock.core.making.Whipping.Look;
import velvetcrock.core.making.Whipping.Stage;

/** A whipped butter goes as it looks. */
class WhippingTest {
  @Test
  void itGoesThroughItsStagesWhereEverythingLooksRight() {
    Whipping run = Whipping.begun();
    assertThat(run.stage()).isEqualTo(Stage.CHILL);
    run = run.after(Look.EDGE_SET);
    assertThat(run.stage()).isEqualTo(Stage.WHIP);
    run = run.after(Look.PALE);
    assertThat(run.stage()).isEqualTo(Stage.CHILL_AGAIN);
    run = run.after(Look.EDGE_SET);
    assertThat(run.stage()).isEqualTo(Stage.WHIP_AGAIN);
    run = run.after(Look.STANDS);
    assertThat(run.stage()).isEqualTo(Stage.STANDS);
    assertThat(run.minutes()).isNull();
  }

  @Test
  void whatDoesNotLookRightIsMended() {
    Whipping still = Whipping.begun().after(Look.LIQUID);
    assertThat(still.stage()).isEqualTo(Stage.CHILL);
    assertThat(still.again()).isTrue();
    assertThat(still.minutes().high()).isLessThan(Whipping.begun().minutes().low());
    Whipping hard = Whipping.begun().after(Look.SET_THROUGH);
    assertThat(hard.stage()).isEqualTo(Stage.SOFTEN);
    assertThat(hard.after(Look.SET_THROUGH).again()).isTrue();
    assertThat(hard.after(Look.EDGE_SET).stage()).isEqualTo(Stage.WHIP);
    Whipping warm = Whipping.begun().after(Look.EDGE_SET).after(Look.MELTING);
    assertThat(warm.stage()).isEqualTo(Stage.CHILL_AGAIN);
    assertThat(warm.after(Look.EDGE_SET).after(Look.PALE).stage()).isEqualTo(Stage.WHIP_AGAIN);
  }

  @ParameterizedTest
  @EnumSource(Look.class)
  void onceItStandsThereIsNothingMoreToLookFor(Look look) {
    Whipping stands = Whipping.begun().after(Look.STANDS);

    assertThatThrownBy(() -> stands.after(look)).isInstanceOf(Refused.class);
  }

  @ParameterizedTest
  @EnumSource(Look.class)
  void everyLookLeadsSomewhere(Look look) {
    Whipping run = Whipping.begun().after(look);
    if (run.stage() != Stage.STANDS) {
      assertThat(run.minutes()).isNotNull();
      assertThat(run.after(Look.EDGE_SET)).isNotNull();
    }
  }

  @Test
  void theOverrunIsLearned() {
    assertThat(Whipping.overrun().mean()).isEqualTo(0.5);
    assertThat(Whipping.overrun(0.8, 0.8, 0.8).mean()).isCloseTo(0.65, within(1e-9));
  }

  /** However it looks on the way, it can be brought to stand from wherever it is. */
  @RepeatedTest(30)
  void itIsNeverLost() {
    Random random = new Random();
    Whipping run = Whipping.begun();
    for (int i = 0; i < 25 && run.stage() != Stage.STANDS; i++) {
      run = run.after(Look.values()[random.nextInt(Look.values().length)]);
    }
    for (int i = 0; i < 4 && run.stage() != Stage.STANDS; i++) {
      boolean whipped = run.stage() == Stage.WHIP || run.stage() == Stage.WHIP_AGAIN;
      run = run.after(whipped ? Look.STANDS : Look.EDGE_SET);
    }

    assertThat(run.stage()).isEqualTo(Stage.STANDS);
  }
}
