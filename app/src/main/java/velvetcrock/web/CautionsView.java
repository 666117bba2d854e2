package velvetcrock.web;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import velvetcrock.core.caution.Caution;

/**
 * Cautions as a page of one thing shows them.
 *
 * @param full what is said at full length
 * @param folded what was read before or is for another day, a line each
 */
public record CautionsView(List<Caution> full, List<Caution> folded) {
  /**
   * Sorts them.
   *
   * @param now what can be done at this page
   * @param read codes that somebody has said that they read
   */
  public static CautionsView of(
      List<Caution> cautions, Set<Caution.Stage> now, Collection<String> read) {
    return new CautionsView(
        cautions.stream().filter(c -> !c.folded(now, read)).toList(),
        cautions.stream().filter(c -> c.folded(now, read)).toList());
  }

  /** Whether there is nothing to say. */
  public boolean none() {
    return full.isEmpty() && folded.isEmpty();
  }
}
