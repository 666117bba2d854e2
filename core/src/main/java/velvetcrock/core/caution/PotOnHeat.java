package velvetcrock.core.caution;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.heat.Appliance;

/**
 * A pot on the heat, as far as cautions go.
 *
 * @param celsius the oil's temperature as far as it is known, °C
 * @param bath whether it stands in a water bath
 * @param bathLow whether that bath wants water
 * @param heater what it stands on; null where nobody said
 * @param spirit whether there may be spirit in it still
 */
public record PotOnHeat(
    double celsius, boolean bath, boolean bathLow, @Nullable Appliance heater, boolean spirit) {}
