package velvetcrock.ledger;

/**
 * An entry in words.
 *
 * @param title what happened, in a few words
 * @param detail the particulars; may be empty
 */
public record Told(String title, String detail) {
  /** Without particulars. */
  public Told(String title) {
    this(title, "");
  }
}
