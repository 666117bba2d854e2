package velvetcrock.kitchen;

import java.util.UUID;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Method;

/**
 * A plank on which jars stand.
 *
 * @param light the light there
 * @param celsius how warm it is there, °C
 * @param position its place in the walk round the kitchen, from 0
 */
public record Place(UUID id, String name, Light light, double celsius, int position) {
  /** The way of infusing that a jar standing here follows. */
  public Method method() {
    return light == Light.WINDOW ? Method.SOLAR : Method.COLD;
  }

  /** It, as the log names it. */
  public Stand stand() {
    return new Stand(id.toString(), name, light, celsius);
  }
}
