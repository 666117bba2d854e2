package velvetcrock.core.charge;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.function.BiFunction;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Jar;

/**
 * Which jars a charge belongs in: the smallest free one in which it is covered and fits, or where
 * its oil covers it in none the smallest in which it fits; where none holds it all, as few of one
 * kind as do; where there are not enough of one kind, the largest free ones, each with its share.
 *
 * @param fills the jars with the share of the charge that goes into each; shares add up to 1
 */
public record JarChoice(List<Fill> fills) {
  private static final int MOST_JARS = 99;
  private static final double FULL = 0.999;
  private static final int SHARE_STEPS = 40;
  private static final double STEP_DOWN = 0.97;

  /**
   * A kind of jar at hand.
   *
   * @param count how many of it are free
   */
  public record Free(Jar jar, int count) {
    /** A jar of which there are as many as anybody could want. */
    public static Free enough(Jar jar) {
      return new Free(jar, MOST_JARS);
    }
  }

  /** A jar with its share of the charge. */
  public record Fill(Jar jar, double share) {}

  /** One jar for all of it. */
  public static JarChoice one(Jar jar) {
    return new JarChoice(List.of(new Fill(jar, 1)));
  }

  /** How many jars it takes. */
  public int count() {
    return fills.size();
  }

  /** The jar of the largest share. */
  public Jar jar() {
    return fills.get(0).jar();
  }

  /** Whether every jar is alike and gets the same. */
  public boolean even() {
    return fills.stream().allMatch(fills.get(0)::equals);
  }

  /**
   * Chooses among jars.
   *
   * @param free what stands empty
   * @param inJar how a given share of the charge goes into a given jar
   * @throws Refused at {@code jar} if all of them together would not hold it
   */
  public static JarChoice best(Collection<Free> free, BiFunction<Jar, Double, Fit> inJar) {
    List<Free> bySize =
        free.stream()
            .filter(f -> f.count() > 0)
            .sorted(Comparator.comparingDouble(f -> f.jar().brimMl()))
            .toList();
    Jar uncovered = null;
    for (Free kind : bySize) {
      Fit whole = inJar.apply(kind.jar(), 1.0);
      if (whole.holds()) {
        return one(kind.jar());
      }
      uncovered = uncovered == null && whole.fits() ? kind.jar() : uncovered;
    }
    return uncovered == null ? several(bySize, inJar) : one(uncovered);
  }

  /** As few as possible of one kind, the larger kinds first. */
  private static JarChoice several(List<Free> bySize, BiFunction<Jar, Double, Fit> inJar) {
    JarChoice fewest = null;
    for (int i = bySize.size() - 1; i >= 0; i--) {
      Free kind = bySize.get(i);
      int most = Math.min(kind.count(), fewest == null ? MOST_JARS : fewest.count() - 1);
      for (int count = 2; count <= most; count++) {
        if (inJar.apply(kind.jar(), 1.0 / count).fits()) {
          Fill fill = new Fill(kind.jar(), 1.0 / count);
          fewest = new JarChoice(Collections.nCopies(count, fill));
          break;
        }
      }
    }
    return fewest != null ? fewest : mixed(bySize, inJar);
  }

  /** The largest jars filled one after the other, the last with what is left. */
  private static JarChoice mixed(List<Free> bySize, BiFunction<Jar, Double, Fit> inJar) {
    List<Fill> fills = new ArrayList<>();
    double left = 1;
    for (int i = bySize.size() - 1; i >= 0; i--) {
      Free kind = bySize.get(i);
      for (int n = 0; n < kind.count() && left > 1 - FULL && fills.size() < MOST_JARS; n++) {
        double share = fitting(kind.jar(), Math.min(left, most(kind.jar(), inJar)), inJar);
        if (share > 0) {
          fills.add(new Fill(kind.jar(), share));
          left -= share;
        }
      }
    }
    if (left > 1 - FULL) {
      throw new Refused(
          "jar",
          bySize.isEmpty()
              ? "No jar stands empty. Say in the kitchen which jars you have, or choose one."
              : "The jars that stand empty do not hold this together. Choose a jar, or check the amount.");
    }
    return new JarChoice(List.copyOf(fills));
  }

  /**
   * A share of about this size that fits: a little less of a herb may be given a wider ratio, which
   * is rounded, and so stand higher.
   */
  private static double fitting(Jar jar, double share, BiFunction<Jar, Double, Fit> inJar) {
    double fitting = share;
    for (int step = 0; step < SHARE_STEPS && fitting > 0; step++) {
      if (inJar.apply(jar, fitting).fits()) {
        return fitting;
      }
      fitting *= STEP_DOWN;
    }
    return 0;
  }

  /** The largest share that fits a jar, found by halving; more of it rarely stands lower. */
  private static double most(Jar jar, BiFunction<Jar, Double, Fit> inJar) {
    double low = 0;
    double high = 1;
    for (int step = 0; step < SHARE_STEPS; step++) {
      double middle = (low + high) / 2;
      if (inJar.apply(jar, middle).fits()) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low < 1e-4 ? 0 : low;
  }
}
