package velvetcrock.core.batch;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.log.Checks;

/**
 * What it stands on.
 *
 * @param key the household's key of it; null where it has none
 */
public record Heater(@Nullable String key, String name, Appliance kind) {
  /** Checks what has to be there. */
  public Heater {
    Checks.text("name", name);
    Checks.present("kind", kind);
  }
}
