package velvetcrock.web;

import java.util.UUID;

/**
 * What a household is called where whoever keeps the house reads: in log files, and beside its
 * counts. It tells nothing, and is the same on every instance.
 */
public final class Pseudonym {
  private static final int LETTERS = 10;

  private Pseudonym() {}

  /** Of a household; its id, of which it is a digest, is as good as a secret. */
  public static String of(UUID household) {
    return Secrets.hash("household " + household).substring(0, LETTERS);
  }
}
