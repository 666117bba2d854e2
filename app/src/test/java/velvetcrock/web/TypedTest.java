package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.materia.Method;

class TypedTest {

  @ParameterizedTest
  @CsvSource({"12, 12", "'12,5', 12.5", "' 7 mm', 7", "85 %, 85", "0.5, 0.5"})
  void numbersAreReadAsPeopleTypeThem(String typed, double value) {
    assertThat(Typed.number(typed, 0, 100, "things")).isEqualTo(value);
  }

  @ParameterizedTest
  @CsvSource({
    "many, is not a number of things",
    "101, Between 0 and 100",
    "-1, Between",
    "NaN, Between"
  })
  void aNumberThatIsNoneOrOutOfBoundsIsSaid(String typed, String said) {
    assertThatThrownBy(() -> Typed.number(typed, 0, 100, "things"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(said);
  }

  @Test
  void aLongSlipIsNotEchoedWhole() {
    assertThatThrownBy(() -> Typed.number("x".repeat(500), 0, 1, "things"))
        .satisfies(e -> assertThat(e.getMessage()).hasSizeLessThan(150).contains("…"));
  }

  @ParameterizedTest
  @CsvSource({"warm, WARM", "TWO_STAGE, TWO_STAGE", "two-stage, TWO_STAGE", "' crock ', CROCK"})
  void oneOfAListIsFoundHoweverItIsWritten(String typed, Method method) {
    assertThat(Typed.named(Method.class, typed, "method")).isEqualTo(method);
  }

  @Test
  void whatIsNotInTheListIsRefusedAtItsField() {
    assertThatThrownBy(() -> Typed.named(OffSmell.class, "roses", "off"))
        .hasMessageContaining("off")
        .hasMessageContaining("Choose one of the list");
    assertThatThrownBy(() -> Typed.named(OffSmell.class, null, "off")).isInstanceOf(Refused.class);
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void whateverIsTypedItIsReadOrRefusedAndNothingElse(String typed) {
    try {
      assertThat(Typed.number(typed, 0, 10, "things")).isBetween(0.0, 10.0);
    } catch (Refused refused) {
      assertThat(refused.problems()).isNotEmpty();
    }
  }

  @Test
  void aStepsProblemsAreKeptAtTheFieldThatAsked() {
    assertThatThrownBy(
            () ->
                Typed.at(
                    "amount",
                    () -> {
                      throw new Refused("somewhere else", "Not so.");
                    }))
        .hasMessageContaining("amount")
        .hasMessageContaining("Not so.");
    assertThat(Typed.at("amount", () -> 3)).isEqualTo(3);
    assertThat(Typed.text(null)).isEmpty();
    assertThat(Typed.blank("  ")).isTrue();
  }
}
