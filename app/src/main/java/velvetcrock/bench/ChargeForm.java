package velvetcrock.bench;

import org.jspecify.annotations.Nullable;

/**
 * What is asked once when a jar is charged, as typed.
 *
 * @param clean set when jar and herb were said to be clean and bone-dry
 * @param key names this charging, so that a second tap makes no second batch
 */
record ChargeForm(
    @Nullable String chargedOn,
    @Nullable String bestBefore,
    @Nullable String openedOn,
    @Nullable String clean,
    @Nullable String key) {}
