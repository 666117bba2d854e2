package velvetcrock.core.caution;

import java.util.Collection;
import java.util.List;
import java.util.Set;

/**
 * A caution.
 *
 * @param code lower-case with hyphens
 * @param passing whether one may go on all the same
 * @param stage when something can be done about it
 * @param text what is the matter, short
 * @param turnTo what to do or whom to ask; may be empty
 */
public record Caution(
    String code, Level level, Passing passing, Stage stage, String text, String turnTo) {
  private static final List<String> ASKS = List.of("Ask ", "A doctor ", "Follow ", "Check ");

  /** What to do, which is said first; what is asked of others comes after the why. */
  public String lead() {
    return turnTo.isEmpty() || asks() ? text : turnTo;
  }

  /** What else is to be said: the why, or whom to ask; may be empty. */
  public String after() {
    return turnTo.isEmpty() || asks() ? turnTo : text;
  }

  private boolean asks() {
    return ASKS.stream().anyMatch(turnTo::startsWith);
  }

  /**
   * Whether a line of it is enough: it was read before, or nothing can be done about it now. What
   * says stop is folded only once it was read.
   *
   * @param now the stages at which somebody stands
   * @param read codes that were read
   */
  public boolean folded(Set<Stage> now, Collection<String> read) {
    return read.contains(code)
        || level != Level.STOP && stage != Stage.GENERAL && !now.contains(stage);
  }

  /** How bad it is, worst first. */
  public enum Level {
    /** Do not go on. */
    STOP,
    /** Go on with care. */
    CAREFUL,
    /** Good to know. */
    NOTE
  }

  /** Whether what is planned may go on in spite of a caution. */
  public enum Passing {
    /** It stops nobody. */
    FREELY,
    /** Once somebody has said that they read it. */
    HAVING_READ,
    /** Not at all: what is planned cannot be meant so. */
    NEVER
  }

  /** When something can be done about it: there it is said at full length. */
  public enum Stage {
    /** Herb, oil and method are chosen. */
    CHOOSING,
    /** The jar is charged. */
    CHARGING,
    /** The jar stands or is on the heat. */
    TENDING,
    /** It is strained. */
    STRAINING,
    /** It is bottled. */
    BOTTLING,
    /** Something is made of it. */
    MAKING,
    /** It is used or given away. */
    GIVING,
    /** Of every oil: said once a page, at its foot. */
    GENERAL
  }
}
