package velvetcrock.core.batch;

/**
 * What else was done when it was strained.
 *
 * @param secondPass whether the marc was expressed a second time
 * @param fineFilter whether it went through a fine filter
 * @param settles whether it was set aside to settle overnight before it is poured off
 * @param sure whether more than went in was measured and is meant: water came with the oil
 */
public record Straining(boolean secondPass, boolean fineFilter, boolean settles, boolean sure) {
  /** Nothing. */
  public static final Straining PLAIN = new Straining(false, false, false);

  /** Where no more came out than went in. */
  public Straining(boolean secondPass, boolean fineFilter, boolean settles) {
    this(secondPass, fineFilter, settles, false);
  }
}
