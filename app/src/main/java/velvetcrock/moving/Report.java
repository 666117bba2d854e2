package velvetcrock.moving;

import java.util.List;

/**
 * What a box holds, beside what is here already.
 *
 * @param household whose it is
 * @param settings whether the household's name and settings come along
 * @param changed files that are not as they were packed
 * @param problems why none of it can be taken; empty if it can
 */
record Report(
    String household,
    boolean settings,
    List<Line> lines,
    List<String> changed,
    List<String> problems) {

  Report {
    lines = List.copyOf(lines);
    changed = List.copyOf(changed);
    problems = List.copyOf(problems);
  }

  /**
   * Of one table.
   *
   * @param come how many rows come
   * @param here how many are here already, just the same
   * @param clashes by name, rows in whose place another stands here
   * @param clashing how many those are
   */
  record Line(String title, long come, long here, List<String> clashes, long clashing) {
    Line {
      clashes = List.copyOf(clashes);
    }

    /** What clashes, in words; empty if nothing does. */
    public String named() {
      String more =
          clashing > clashes.size() ? " and " + (clashing - clashes.size()) + " more" : "";
      return String.join(", ", clashes) + more;
    }
  }

  /** Whether all of it can be taken. */
  public boolean good() {
    return problems.isEmpty() && lines.stream().allMatch(l -> l.clashing() == 0);
  }

  /** Whether some rows are here already. */
  public boolean known() {
    return lines.stream().anyMatch(l -> l.here() > 0);
  }

  /** Whether others stand in the place of some. */
  public boolean clashing() {
    return lines.stream().anyMatch(l -> l.clashing() > 0);
  }

  /** How many rows come. */
  public long come() {
    return lines.stream().mapToLong(Line::come).sum();
  }
}
