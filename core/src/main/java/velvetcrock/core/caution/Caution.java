package velvetcrock.core.caution;

/**
 * A caution.
 *
 * @param code lower-case with hyphens
 * @param text what is the matter, short
 * @param turnTo what to do or whom to ask; may be empty
 */
public record Caution(String code, Level level, String text, String turnTo) {

  /** How bad it is, worst first. */
  public enum Level {
    /** Do not go on. */
    STOP,
    /** Go on with care. */
    CAREFUL,
    /** Good to know. */
    NOTE
  }
}
