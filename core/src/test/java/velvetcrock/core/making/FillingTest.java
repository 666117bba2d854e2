package velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Refused;
import velvetcrock.core.making.Filling.Vessel;

/** A melt shared out over tins. */
class FillingTest {
  private static final Random RANDOM = new Random(30);

  private static List<Integer> counts(Filling filling) {
    return filling.vessels().stream().map(Vessel::count).toList();
  }

  @Test
  void openOnesTakeWhatTheOthersLeave() {
    Filling filling =
        Filling.of(200, List.of(new Vessel(30, null), new Vessel(15, 4), new Vessel(50, null)));

    assertThat(counts(filling)).containsExactly(1, 4, 2);
    assertThat(filling.restMl()).isCloseTo(10, within(1e-9));
    assertThat(filling.lackingMl()).isZero();
  }

  @Test
  void whatIsMissingIsSaid() {
    Filling filling = Filling.of(100, List.of(new Vessel(30, 4)));

    assertThat(filling.lackingMl()).isCloseTo(20, within(1e-9));
    assertThat(filling.restMl()).isZero();
  }

  @Test
  void mixedSizesAreFilledExactlyWhereTheyCan() {
    Filling filling =
        Filling.exact(115, List.of(new Vessel(30, 10), new Vessel(50, 10), new Vessel(15, 10)));

    assertThat(filling.restMl()).isCloseTo(0, within(1e-9));
    Filling few = Filling.exact(115, List.of(new Vessel(30, 1), new Vessel(50, 1)));
    assertThat(counts(few)).containsExactly(1, 1);
    assertThat(few.restMl()).isCloseTo(35, within(1e-9));
  }

  /** Against every combination there is. */
  @RepeatedTest(25)
  void noCombinationLeavesLess() {
    int volume = 20 + RANDOM.nextInt(180);
    List<Vessel> atHand = new ArrayList<>();
    for (int ml : new int[] {50, 30, 15}) {
      atHand.add(new Vessel(ml, RANDOM.nextInt(4)));
    }
    int least = volume;
    for (int a = 0; a <= atHand.get(0).count(); a++) {
      for (int b = 0; b <= atHand.get(1).count(); b++) {
        for (int c = 0; c <= atHand.get(2).count(); c++) {
          int left = volume - 50 * a - 30 * b - 15 * c;
          least = left >= 0 ? Math.min(least, left) : least;
        }
      }
    }
    Filling filling = Filling.exact(volume, atHand);

    assertThat(filling.restMl()).isCloseTo(least, within(1e-6));
    for (int i = 0; i < 3; i++) {
      assertThat(counts(filling).get(i)).isBetween(0, atHand.get(i).count());
    }
  }

  @Test
  void nonsenseIsRefusedAtItsRow() {
    assertThatThrownBy(() -> Filling.of(100, List.of(new Vessel(0, 1))))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("fill[0].ml");
    assertThatThrownBy(() -> Filling.of(100, List.of(new Vessel(10, 501))))
        .hasMessageContaining("fill[0].count");
    assertThatThrownBy(() -> Filling.exact(100, List.of())).isInstanceOf(Refused.class);
  }
}
