package velvetcrock.batch;

/** Who knows which codes wait for a batch that is still to be charged. */
public interface PromisedCodes {
  /** Whether a code waits for a batch. */
  boolean promised(String code);
}
