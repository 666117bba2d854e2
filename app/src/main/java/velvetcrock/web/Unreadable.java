package velvetcrock.web;

/**
 * Something was sent that no form and no program sends by right: it is refused before it is read.
 */
public class Unreadable extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final String field;

  /**
   * Refuses it.
   *
   * @param field where it was, in the sender’s own words
   */
  public Unreadable(String field, String message) {
    super(message);
    this.field = field;
  }

  /** Where it was. */
  public String field() {
    return field;
  }
}
