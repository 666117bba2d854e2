package velvetcrock.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Refused;

class VesselSizeTest {
  @ParameterizedTest
  @CsvSource({
    "30 ml, 30",
    "30 ml tin, 30",
    "4 oz, 118.294",
    "4 oz bottles, 118.294",
    "2oz tin, 59.147",
    "½ oz tin, 14.787",
    "4 fl oz, 118.294",
    "8 fluid ounces, 236.588",
    "half-pint jar, 236.588",
    "a pint, 473.176",
    "93 g, 100",
    "1/4 lb, 121.933"
  })
  void aVesselIsReadAsItIsSold(String said, double ml) {
    assertThat(VesselSize.ml(said, Kitchen.US, 0.93)).isCloseTo(ml, within(0.01));
  }

  @Test
  void whatIsNoSizeIsRefused() {
    assertThatThrownBy(() -> VesselSize.ml("big tin", Kitchen.US, 0.93))
        .isInstanceOf(Refused.class);
  }
}
