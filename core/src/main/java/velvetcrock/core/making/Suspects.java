package velvetcrock.core.making;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.hipparchus.distribution.discrete.HypergeometricDistribution;

/**
 * What skins that reacted have in common: everything that was in all of the tins that troubled, the
 * least often in those that did not.
 *
 * @param shared what all the reports share, the most telling first
 * @param reports how many tins troubled
 * @param fine how many are known to have troubled nobody
 */
public record Suspects(List<Suspect> shared, int reports, int fine) {

  /** From this many chances in hundred on, a coincidence is as good an explanation. */
  private static final double LIKELY = 0.05;

  private static final double PERHAPS = 0.20;

  /** How sure it is. */
  public enum Sureness {
    /** Hardly by chance. */
    LIKELY,
    /** Chance is not ruled out. */
    PERHAPS,
    /** It cannot be told yet. */
    OPEN
  }

  /**
   * Something that all the reports share.
   *
   * @param inFine in how many trouble-free tins it was too
   * @param byChance how probable it is that tins drawn at random would share it as often: Fisher's
   *     exact test, one-sided, P(X ≥ reports) of the hypergeometric distribution
   */
  public record Suspect(String thing, int inFine, double byChance) {
    /** How sure it is; never more than perhaps where it did no harm elsewhere. */
    public Sureness sureness() {
      if (byChance < LIKELY && inFine == 0) {
        return Sureness.LIKELY;
      }
      return byChance < PERHAPS ? Sureness.PERHAPS : Sureness.OPEN;
    }
  }

  /**
   * Compares.
   *
   * @param reports what was in each tin that troubled
   * @param fine what was in each tin that did not
   */
  public static Suspects of(List<Set<String>> reports, List<Set<String>> fine) {
    if (reports.isEmpty()) {
      return new Suspects(List.of(), 0, fine.size());
    }
    Set<String> shared = new TreeSet<>(reports.get(0));
    reports.forEach(shared::retainAll);
    List<Suspect> suspects =
        shared.stream()
            .map(thing -> suspect(thing, reports.size(), fine))
            .sorted(Comparator.comparingDouble(Suspect::byChance).thenComparing(Suspect::thing))
            .toList();
    return new Suspects(suspects, reports.size(), fine.size());
  }

  private static Suspect suspect(String thing, int reports, List<Set<String>> fine) {
    int inFine = (int) fine.stream().filter(tin -> tin.contains(thing)).count();
    HypergeometricDistribution drawn =
        new HypergeometricDistribution(reports + fine.size(), reports + inFine, reports);
    return new Suspect(thing, inFine, Math.min(1, drawn.upperCumulativeProbability(reports)));
  }

  /** Those that no trouble-free tin had. */
  public List<Suspect> onlyInReports() {
    return shared.stream().filter(s -> s.inFine() == 0).toList();
  }
}
