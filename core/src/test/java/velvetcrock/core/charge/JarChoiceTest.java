package velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.JarChoice.Fill;
import velvetcrock.core.charge.JarChoice.Free;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Part;

class JarChoiceTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private final Charger charger = new Charger(CATALOGUE);

  private Fit leaf(double grams, Jar jar) {
    HerbPortion herb =
        HerbPortion.usual(CATALOGUE.herb("plantain"), Part.LEAF, Cut.CUT, HerbState.DRIED, grams);
    ChargeOrder order =
        new ChargeOrder(
            List.of(herb),
            CarrierBlend.of(CATALOGUE.carrier("olive")),
            new Ratio.WeightToVolume(5),
            Optional.of(jar),
            12);
    return charger.fit(order.withRatio(new Ratio.WeightToVolume(charger.defaultOilPerHerb(order))));
  }

  private static Free free(String jar, int count) {
    return new Free(CATALOGUE.jar(jar), count);
  }

  @Test
  void theSmallestFreeJarThatHoldsItIsTaken() {
    List<Free> free = List.of(free("jar-1000", 2), free("jar-500", 1), free("jar-250", 3));

    JarChoice choice = JarChoice.best(free, (jar, share) -> leaf(30 * share, jar));

    assertThat(choice.count()).isEqualTo(1);
    assertThat(choice.jar().key()).isEqualTo("jar-500");
    assertThat(choice.even()).isTrue();
  }

  @Test
  void whatItsOilCoversNowhereStandsInTheSmallestJarThatItFits() {
    HerbPortion herb =
        HerbPortion.usual(CATALOGUE.herb("yarrow"), Part.FLOWER, Cut.CUT, HerbState.DRIED, 60);
    List<Free> free = List.of(free("jar-1000", 2), free("jar-720", 2), free("jar-500", 2));

    JarChoice choice =
        JarChoice.best(
            free,
            (jar, share) ->
                charger.fit(
                    new ChargeOrder(
                        List.of(herb.withMassG(60 * share)),
                        CarrierBlend.of(CATALOGUE.carrier("olive")),
                        new Ratio.WeightToVolume(5),
                        Optional.of(jar),
                        12)));

    assertThat(choice.count()).isEqualTo(1);
    assertThat(choice.jar().key()).isEqualTo("jar-720");
  }

  @Test
  void aJarThatIsInUseIsPassedOver() {
    List<Free> free = List.of(free("jar-1000", 2), free("jar-500", 0));

    assertThat(JarChoice.best(free, (jar, share) -> leaf(30 * share, jar)).jar().key())
        .isEqualTo("jar-1000");
  }

  @Test
  void asFewOfOneKindAsDoAreTakenBeforeAnythingIsMixed() {
    List<Free> free = List.of(free("jar-1000", 2), free("jar-500", 6));

    JarChoice choice = JarChoice.best(free, (jar, share) -> leaf(140 * share, jar));

    assertThat(choice.even()).isTrue();
    assertThat(choice.count()).isEqualTo(2);
    assertThat(choice.jar().key()).isEqualTo("jar-1000");
  }

  /** A little less of a herb may be given a wider ratio, and then stands higher. */
  @Test
  void aSmallRestThatWouldRunOverIsDividedOnceMore() {
    allOfItFitsOrItIsRefused(121, 4, 1, 0);
  }

  /** Whatever there is: everything goes in, nothing runs over, and no jar is taken twice. */
  @ParameterizedTest
  @InstancioSource(samples = 100)
  void allOfItFitsOrItIsRefused(int grams, int small, int middle, int large) {
    double massG = 5 + Math.abs(grams % 900);
    List<Free> free =
        List.of(
            free("jar-250", Math.abs(small % 6)),
            free("jar-500", Math.abs(middle % 6)),
            free("jar-1000", Math.abs(large % 4)));
    JarChoice choice;
    try {
      choice = JarChoice.best(free, (jar, share) -> leaf(massG * share, jar));
    } catch (Refused refused) {
      assertThat(refused.problems().get(0).field()).isEqualTo("jar");
      return;
    }

    assertThat(choice.fills().stream().mapToDouble(Fill::share).sum()).isCloseTo(1, within(2e-3));
    for (Fill fill : choice.fills()) {
      assertThat(leaf(massG * fill.share(), fill.jar()).fits()).isTrue();
    }
    Map<String, Long> taken =
        new ArrayList<>(choice.fills())
            .stream().collect(Collectors.groupingBy(f -> f.jar().key(), Collectors.counting()));
    free.forEach(
        f -> assertThat(taken.getOrDefault(f.jar().key(), 0L)).isLessThanOrEqualTo(f.count()));
  }

  @Test
  void aDishIsReckonedByTheRoundOneThatHoldsAsMuch() {
    Jar dish = Jar.measured("dish", "Oven dish", 1800, 55, Jar.Shape.DISH);

    assertThat(dish.brimMm()).isCloseTo(55, within(1e-9));
    assertThat(dish.volumeMl(55)).isCloseTo(1800, within(1e-6));
    assertThat(dish.shape()).isEqualTo(Jar.Shape.DISH);
  }
}
