package velvetcrock.ledger;

import velvetcrock.web.Conflict;

/** An idempotency key names something else already; nothing was written. */
public class KeyUsed extends Conflict {
  private static final long serialVersionUID = 1L;

  /**
   * Says what the key names.
   *
   * @param key the key
   * @param what what was written under it
   */
  public KeyUsed(String key, String what) {
    super(
        "The key “" + key + "” has been used already, for " + what + ". Send this under another.");
  }
}
