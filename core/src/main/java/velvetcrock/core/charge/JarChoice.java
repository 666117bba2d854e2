package velvetcrock.core.charge;

import java.util.Collection;
import java.util.Comparator;
import java.util.function.Function;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Jar;

/**
 * Which jar a charge belongs in.
 *
 * @param jar the smallest in which it is covered and fits, or the largest there is
 * @param count how many of them, each with an equal part of the charge; 1 unless none holds it all
 */
public record JarChoice(Jar jar, int count) {
  private static final int MOST_JARS = 99;

  /**
   * Chooses among jars.
   *
   * @param jars at least one
   * @param inJar the charge as it would be in a given jar with the given share of the herb in it
   * @throws Refused at {@code jar} if even 99 of the largest would not hold it
   */
  public static JarChoice best(
      Collection<Jar> jars, Function<Jar, Function<Double, Charge>> inJar) {
    Comparator<Jar> bySize = Comparator.comparingDouble(Jar::brimMl);
    return jars.stream()
        .sorted(bySize)
        .filter(jar -> holds(inJar.apply(jar).apply(1.0)))
        .findFirst()
        .map(jar -> new JarChoice(jar, 1))
        .orElseGet(() -> split(jars.stream().max(bySize).orElseThrow(), inJar));
  }

  private static JarChoice split(Jar largest, Function<Jar, Function<Double, Charge>> inJar) {
    for (int count = 2; count <= MOST_JARS; count++) {
      if (fits(inJar.apply(largest).apply(1.0 / count))) {
        return new JarChoice(largest, count);
      }
    }
    throw new Refused("jar", "No jar holds this, nor would 99 of the largest. Check the amount.");
  }

  private static boolean holds(Charge charge) {
    return charge.covers() && fits(charge);
  }

  private static boolean fits(Charge charge) {
    return charge.levels().map(Charge.Levels::fits).orElse(false);
  }
}
