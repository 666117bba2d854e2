package velvetcrock.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import velvetcrock.core.materia.Catalogue;

/** How much a result moves with a figure: never to one side only, and never not at all. */
class SensitivityTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 2);

  static Stream<List<Sensitivity>> all() {
    return Stream.of(
            CATALOGUE.herbs().stream().map(h -> Sensitivity.of(h, CATALOGUE)),
            CATALOGUE.carriers().stream().map(c -> Sensitivity.of(c, TODAY)),
            CATALOGUE.waxes().stream().map(Sensitivity::of),
            CATALOGUE.powders().stream().map(Sensitivity::of))
        .flatMap(s -> s);
  }

  @ParameterizedTest
  @MethodSource("all")
  void theResultLiesWithinWhatItMayBeAndMoves(List<Sensitivity> figures) {
    assertThat(figures)
        .isNotEmpty()
        .allSatisfy(
            s -> {
              assertThat(s.value()).isBetween(s.may().low(), s.may().high());
              assertThat(s.at()).isBetween(s.moves().low(), s.moves().high());
              if (s.effect() != Sensitivity.Effect.DAYS_IT_KEEPS) {
                assertThat(s.moves().high()).isGreaterThan(s.moves().low());
              }
            });
  }

  @Test
  void oliveIsAsOnPaper() {
    List<Sensitivity> olive = Sensitivity.of(CATALOGUE.carrier("olive"), TODAY);

    assertThat(olive.get(0).at()).isCloseTo(91.3, within(0.01));
    assertThat(olive.get(0).moves().low()).isCloseTo(90.8, within(0.01));
    assertThat(olive.get(1).at()).isCloseTo(0.78, within(0.01));
    assertThat(olive.get(1).moves().high() - olive.get(1).moves().low()).isBetween(0.03, 0.15);
    assertThat(olive.get(2).at()).isBetween(300.0, 366.0);
  }

  @Test
  void beeswaxForASalveIsAsOnPaper() {
    Sensitivity beeswax = Sensitivity.of(CATALOGUE.wax("beeswax")).get(0);

    assertThat(beeswax.at()).isCloseTo(100 * 16 / 84.0, within(1e-9));
    assertThat(beeswax.moves().high()).isCloseTo(100 * 16 / 74.0, within(1e-9));
  }
}
