package velvetcrock.core.batch;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.log.Checks;

/**
 * Where a jar stands.
 *
 * @param place the place's key in the household
 * @param celsius how warm it is there, °C; null where that is not known
 */
public record Stand(String place, String name, Light light, @Nullable Double celsius) {
  /** A place whose warmth is not known. */
  public Stand(String place, String name, Light light) {
    this(place, name, light, null);
  }

  /** Checks what has to be there. */
  public Stand {
    Checks.text("place", place);
    Checks.text("name", name);
    Checks.present("light", light);
  }
}
