package velvetcrock.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.bench.SplitForm.Variant;
import velvetcrock.core.Refused;

/** How a charge is split, from what is typed. */
class SplitFormTest {
  private static SplitForm of(String differs, String... typed) {
    List<String> list = new ArrayList<>(Arrays.asList(typed));
    return new SplitForm(differs, list, list, list, list, null);
  }

  @Test
  void weeksAreDaysToAimAtAndChangeNothingElse() {
    assertThat(of("WEEKS", "1", "", "6", "").variants())
        .containsExactly(new Variant("1 week", "", 7), new Variant("6 weeks", "", 42));
  }

  @Test
  void aCutAHeatOrADoseIsAChangeToTheSentence() {
    assertThat(of("CUT", "WHOLE", "POWDER").variants())
        .containsExactly(
            new Variant("whole", "cut=WHOLE", null), new Variant("powder", "cut=POWDER", null));
    assertThat(of("HEAT", "COOL", "CROCK").variants())
        .containsExactly(
            new Variant("As cool as it stands", "method=", null),
            new Variant("Slow cooker", "method=CROCK", null));
    assertThat(of("SPIRIT", "0", "0.5", "1").variants())
        .extracting(Variant::changes)
        .containsExactly("method=", "method=SPIRIT;dose=0.5", "method=SPIRIT;dose=1");
  }

  @ParameterizedTest
  @CsvSource({
    "CUT, CUT, ''",
    "CUT, CUT, CUT",
    "CUT, CUT, MINCED",
    "WEEKS, 2, 0",
    "WEEKS, 2, 27",
    "WEEKS, 2, two",
    "HEAT, COOL, BOIL",
    "SPIRIT, 0, 2.5",
    "SPIRIT, 0, -1",
    "TASTE, 1, 2"
  })
  void tooFewAlikeOrImpossibleJarsAreRefusedAtTheSplit(String differs, String a, String b) {
    assertThatThrownBy(() -> of(differs, a, b).variants())
        .isInstanceOfSatisfying(
            Refused.class,
            refused -> assertThat(refused.problems().get(0).field()).isEqualTo("differs"));
  }

  @Test
  void fiveJarsAreTooMany() {
    assertThatThrownBy(() -> of("WEEKS", "1", "2", "3", "4", "5").variants())
        .isInstanceOf(Refused.class)
        .hasMessageContaining("2 to 4 jars");
  }

  @Test
  void whatWasTypedIsShownAgain() {
    SplitForm form = of("WEEKS", "2", null, "x");

    assertThat(form.typed(form.weeks(), 0)).isEqualTo("2");
    assertThat(form.typed(form.weeks(), 1)).isEmpty();
    assertThat(form.typed(form.weeks(), 2)).isEqualTo("x");
    assertThat(form.typed(form.weeks(), 3)).isEmpty();
    assertThat(SplitForm.empty().typed(null, 0)).isEmpty();
  }
}
