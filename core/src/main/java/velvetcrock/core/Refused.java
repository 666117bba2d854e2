package velvetcrock.core;

import java.util.List;
import java.util.stream.Collectors;

/** An input that cannot be reckoned with; carries every problem found in it, not the first only. */
public final class Refused extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<Problem> problems;

  /**
   * Refuses for the given reasons.
   *
   * @param problems at least one
   */
  public Refused(List<Problem> problems) {
    super(
        problems.stream()
            .map(p -> p.field() + ": " + p.message())
            .collect(Collectors.joining("; ")));
    this.problems = List.copyOf(problems);
  }

  /** Refuses for one reason at one field. */
  public Refused(String field, String message) {
    this(List.of(new Problem(field, message)));
  }

  /** The reasons, in the order in which they were found. */
  public List<Problem> problems() {
    return problems;
  }

  /** Whether one of the reasons is at a field. */
  public boolean names(String field) {
    return problems.stream().anyMatch(problem -> problem.field().equals(field));
  }
}
