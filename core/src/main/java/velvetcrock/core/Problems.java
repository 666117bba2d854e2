package velvetcrock.core;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Collects what is wrong with an input, so that all of it is told at once. */
public final class Problems {
  private final List<Problem> found = new ArrayList<>();

  /** Notes a problem. */
  public void add(String field, String message) {
    found.add(new Problem(field, message));
  }

  /** Notes what was found elsewhere. */
  public void addAll(List<Problem> others) {
    found.addAll(others);
  }

  /** Notes a problem unless the rule holds; answers whether it held. */
  public boolean require(boolean rule, String field, String message) {
    if (!rule) {
      add(field, message);
    }
    return rule;
  }

  /** The same where the message names figures: it is written only where the rule does not hold. */
  public boolean require(boolean rule, String field, Supplier<String> message) {
    return require(rule, field, rule ? "" : message.get());
  }

  /**
   * Runs a step that may be refused and keeps its problems under {@code field} instead of throwing.
   *
   * @return the step's result, or null if it was refused
   */
  public <T> @Nullable T attempt(String field, Supplier<T> step) {
    try {
      return step.get();
    } catch (Refused refused) {
      refused.problems().forEach(p -> add(field, p.message()));
      return null;
    }
  }

  /**
   * Runs a step that may be refused and keeps its problems under their own fields.
   *
   * @return the step's result, or null if it was refused
   */
  public <T> @Nullable T attempt(Supplier<T> step) {
    try {
      return step.get();
    } catch (Refused refused) {
      found.addAll(refused.problems());
      return null;
    }
  }

  /** Whether nothing has been found. */
  public boolean none() {
    return found.isEmpty();
  }

  /** What has been found so far. */
  public List<Problem> found() {
    return List.copyOf(found);
  }

  /**
   * Ends the collecting.
   *
   * @throws Refused with everything found, if anything was
   */
  public void refuseIfAny() {
    if (!found.isEmpty()) {
      throw new Refused(found);
    }
  }
}
