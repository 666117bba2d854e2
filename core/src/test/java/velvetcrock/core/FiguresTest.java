package velvetcrock.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FiguresTest {
  @ParameterizedTest
  @CsvSource({
    "0, 0",
    "300, 300",
    "273.9, 274",
    "11.79, 11.8",
    "1.005, 1.01",
    "1.05, 1.05",
    "9.999, 10",
    "99.96, 100",
    "0.913, 0.913",
    "0.00123, 0.00123",
    "-2.5, -2.5",
    "-11.04, -11",
    "5e20," + " 500000000000000000000",
    "1e-9, 0.000000001"
  })
  void threeFiguresAreEnough(double value, String words) {
    assertThat(Figures.plain(value)).isEqualTo(words);
  }

  @ParameterizedTest
  @InstancioSource(samples = 300)
  void theQuickWayWritesWhatTheExactOneWould(@Given int seed) {
    double value = (1000 + Math.floorMod(seed, 1_000_000)) / 1000.0;
    BigDecimal exact =
        value >= 100
            ? BigDecimal.valueOf(value).setScale(0, RoundingMode.HALF_UP)
            : BigDecimal.valueOf(value).round(new MathContext(3, RoundingMode.HALF_UP));

    assertThat(new BigDecimal(Figures.plain(value))).isEqualByComparingTo(exact);
  }
}
