package velvetcrock.core.batch;

/** What happens at the straining, and to oil that is in no bottle. */
public sealed interface StrainingEvent extends BatchEvent
    permits Strained, MarcWeighed, Decanted, StoodClear, DrawnUnbottled {
  /**
   * What is to be said of each kind.
   *
   * @param <R> what it is
   */
  interface Cases<R> {
    /** For Strained. */
    R strained(Strained event);

    /** For MarcWeighed. */
    R marcWeighed(MarcWeighed event);

    /** For Decanted. */
    R decanted(Decanted event);

    /** For StoodClear. */
    R stoodClear(StoodClear event);

    /** For DrawnUnbottled. */
    R drawnUnbottled(DrawnUnbottled event);
  }
}
