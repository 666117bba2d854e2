package velvetcrock.core.materia;

/**
 * Where a figure or a rule comes from.
 *
 * @param key lower-case key with hyphens
 * @param worth what that makes of it
 * @param text the work, or what is meant
 */
public record Reference(String key, Worth worth, String text) {
  /** What a figure from there is worth. */
  public enum Worth {
    /** Arithmetic and units. */
    DEFINITION("by definition"),
    /** A work that can be looked up. */
    REFERENCE("from a work"),
    /** Commonly done and told. */
    PRACTICE("practice"),
    /** Our own estimate. */
    ESTIMATE("our estimate");

    private final String words;

    Worth(String words) {
      this.words = words;
    }

    /** In words. */
    public String words() {
      return words;
    }
  }
}
