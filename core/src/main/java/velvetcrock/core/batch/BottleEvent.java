package velvetcrock.core.batch;

/** What happens to bottles. */
public sealed interface BottleEvent extends BatchEvent
    permits Bottled,
        Capped,
        Drawn,
        GivenBack,
        BottleStood,
        BottleOpened,
        BottleChecked,
        BottleGone {
  /**
   * What is to be said of each kind.
   *
   * @param <R> what it is
   */
  interface Cases<R> {
    /** For Bottled. */
    R bottled(Bottled event);

    /** For Capped. */
    R capped(Capped event);

    /** For Drawn. */
    R drawn(Drawn event);

    /** For GivenBack. */
    R givenBack(GivenBack event);

    /** For BottleStood. */
    R bottleStood(BottleStood event);

    /** For BottleOpened. */
    R bottleOpened(BottleOpened event);

    /** For BottleChecked. */
    R bottleChecked(BottleChecked event);

    /** For BottleGone. */
    R bottleGone(BottleGone event);
  }
}
