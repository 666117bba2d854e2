package velvetcrock.core.batch;

/** What changes nothing of how things stand: words, and taking back. */
public sealed interface RemarkEvent extends BatchEvent permits Noted, LookedBack, Struck {
  /**
   * What is to be said of each kind.
   *
   * @param <R> what it is
   */
  interface Cases<R> {
    /** For Noted. */
    R noted(Noted event);

    /** For LookedBack. */
    R lookedBack(LookedBack event);

    /** For Struck. */
    R struck(Struck event);
  }
}
