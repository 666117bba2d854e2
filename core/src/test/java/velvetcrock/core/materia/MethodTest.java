package velvetcrock.core.materia;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class MethodTest {
  @ParameterizedTest
  @EnumSource(Method.class)
  void everyWindowRunsFromEarliestOverUsualToLatest(Method method) {
    assertThat(method.earliestHours()).isPositive().isLessThanOrEqualTo(method.usualHours());
    assertThat(method.earliestDays()).isLessThanOrEqualTo(method.usualDays());
    assertThat(method.usualDays()).isLessThanOrEqualTo(method.latestDays());
    assertThat(method.celsius()).isBetween(15.0, 135.0);
  }

  @ParameterizedTest
  @CsvSource({
    "COLD, 21, 35, 56, false",
    "SOLAR, 7, 21, 28, false",
    "TWO_STAGE, 10, 21, 42, false",
    "SPIRIT, 5, 8, 14, false",
    "WARM, 1, 1, 1, true",
    "CROCK, 1, 1, 3, true",
    "SIMMER, 1, 1, 1, true"
  })
  void theWindowsAreThoseOfPractice(
      Method method, int earliest, int usual, int latest, boolean heated) {
    assertThat(method.earliestDays()).isEqualTo(earliest);
    assertThat(method.usualDays()).isEqualTo(usual);
    assertThat(method.latestDays()).isEqualTo(latest);
    assertThat(method.heated()).isEqualTo(heated);
  }
}
