package velvetcrock.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.Refused;

class TapTest {
  @ParameterizedTest
  @CsvSource({"0, 0", "12, 3456", "9999, 1"})
  void aTapReadsBackAsItself(int x, int y) {
    Tap tap = new Tap(x, y);

    assertThat(Tap.of(tap.toString())).contains(tap);
  }

  @Test
  void nothingIsNoTap() {
    assertThat(Tap.of(null)).isEmpty();
    assertThat(Tap.of(" ")).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"1", "1,", "1;2", "-1,2", "1,2,3", "12345,1", "1.5,2", "a,b"})
  void anythingElseIsRefused(String typed) {
    assertThatThrownBy(() -> Tap.of(typed))
        .isInstanceOfSatisfying(
            Refused.class,
            refused -> assertThat(refused.problems().get(0).field()).isEqualTo("tap"));
  }
}
