package velvetcrock.core.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalInt;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.keeping.OwnShelfLife.Ended;
import velvetcrock.core.keeping.Store.Antioxidant;

/** What bottles that came to their end teach, and what is stirred in so that they last. */
class OwnShelfLifeTest {
  @Test
  void bottlesThatTurnedSayWhenToBeginSmelling() {
    OwnShelfLife life =
        OwnShelfLife.of(
            List.of(
                new Ended(210, true),
                new Ended(150, true),
                new Ended(190, true),
                new Ended(120, false),
                new Ended(230, false)));
    assertThat(life).isEqualTo(new OwnShelfLife(3, 150, 190, 2, 230));
    assertThat(life.smellFromDays()).hasValue(120);
  }

  @Test
  void bottlesThatWereUsedUpSetNoAlarm() {
    OwnShelfLife life = OwnShelfLife.of(List.of(new Ended(120, false)));
    assertThat(life.smellFromDays()).isEqualTo(OptionalInt.empty());
    assertThat(life.longestGoodDays()).isEqualTo(120);
    assertThat(OwnShelfLife.of(List.of())).isEqualTo(new OwnShelfLife(0, 0, 0, 0, 0));
  }

  @Test
  void anEvenNumberHasTheMeanOfTheMiddleTwo() {
    assertThat(OwnShelfLife.of(List.of(new Ended(100, true), new Ended(201, true))).medianDays())
        .isEqualTo(151);
  }

  @Test
  void vitaminEIsDosedByWeight() {
    AntioxidantDose dose = AntioxidantDose.of(Antioxidant.VITAMIN_E, 200).orElseThrow();
    assertThat(dose.massG().low()).isCloseTo(0.2, within(1e-9));
    assertThat(dose.massG().high()).isCloseTo(1, within(1e-9));
    assertThat(dose.middleG()).isCloseTo(0.6, within(1e-9));
    assertThat(dose.drops()).isEqualTo(13);
    assertThat(dose.reckoning().lines()).hasSize(2);
  }

  @ParameterizedTest
  @InstancioSource(samples = 30)
  void twiceTheOilTakesTwiceTheDose(@Given int seed) {
    double oilG = 1 + Math.floorMod(seed, 5000);
    AntioxidantDose once = AntioxidantDose.of(Antioxidant.ROSEMARY, oilG).orElseThrow();
    AntioxidantDose twice = AntioxidantDose.of(Antioxidant.ROSEMARY, 2 * oilG).orElseThrow();
    assertThat(twice.middleG()).isCloseTo(2 * once.middleG(), within(1e-9));
    assertThat(once.massG().high() / oilG).isCloseTo(0.002, within(1e-9));
  }

  @Test
  void noneIsNoneAndNoOilIsNoDose() {
    assertThat(AntioxidantDose.of(Antioxidant.NONE, 100)).isEmpty();
    assertThatThrownBy(() -> AntioxidantDose.of(Antioxidant.VITAMIN_E, 0))
        .hasMessageContaining("oilMassG");
  }
}
