package velvetcrock.core.batch;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;
import velvetcrock.core.materia.Jar;

/**
 * The vessel by its inside.
 *
 * @param key the household's key of it; null where it has none
 * @param shape what kind of vessel it is
 */
public record JarIn(
    String name, double brimMl, double innerDiameterMm, @Nullable String key, Jar.Shape shape) {
  /** A jar that the household does not know. */
  public JarIn(String name, double brimMl, double innerDiameterMm) {
    this(name, brimMl, innerDiameterMm, null, Jar.Shape.JAR);
  }

  /** A vessel of the household. */
  public static JarIn of(Jar jar) {
    return new JarIn(jar.name(), jar.brimMl(), jar.innerDiameterMm(), jar.key(), jar.shape());
  }

  /** It, as the catalogue knows vessels. */
  public Jar jar() {
    return new Jar(key == null ? name : key, name, brimMl, innerDiameterMm, shape);
  }

  /** Checks what has to be there. */
  public JarIn {
    shape = shape == null ? Jar.Shape.JAR : shape;
    Checks.text("name", name);
    Checks.within("brimMl", brimMl, 10, 50_000);
    Checks.within("innerDiameterMm", innerDiameterMm, 15, 600);
  }
}
