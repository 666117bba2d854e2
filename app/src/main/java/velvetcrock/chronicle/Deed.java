package velvetcrock.chronicle;

/** A kind of thing that a keeper wants to be able to read about afterwards. */
public enum Deed {
  /** Moved in as the first. */
  MOVED_IN("moved in", false),
  /** Signed in. */
  SIGNED_IN("signed in", false),
  /** A sign-in that failed. */
  SIGN_IN_FAILED("could not sign in", false),
  /** Signed out. */
  SIGNED_OUT("signed out", false),
  /** A device was signed out from another. */
  DEVICE_SIGNED_OUT("signed a device out", false),
  /** An invitation was made. */
  INVITED("invited somebody", true),
  /** An invitation was taken back. */
  INVITATION_WITHDRAWN("took an invitation back", false),
  /** Joined by an invitation. */
  JOINED("joined", true),
  /** Left the household. */
  LEFT("left", true),
  /** Was removed. */
  REMOVED("removed somebody", true),
  /** What somebody may do was changed. */
  ROLE_CHANGED("changed what somebody may do", true),
  /** A name was changed. */
  NAME_CHANGED("changed a name", false),
  /** A name was taken out of the log. */
  NAME_FORGOTTEN("had a name forgotten in the log", true),
  /** A password was changed. */
  PASSWORD_CHANGED("changed the password", false),
  /** New recovery codes were made. */
  CODES_MADE("made new recovery codes", false),
  /** Came in by a recovery code. */
  CODE_USED("came in by a recovery code", true),
  /** A keeper asked to let somebody in again. */
  RECOVERY_ASKED("asked to let somebody in again", true),
  /** That was stopped. */
  RECOVERY_STOPPED("stopped that", true),
  /** Came in again with a keeper’s help. */
  RECOVERED("came in again", true),
  /** A passkey was added. */
  PASSKEY_ADDED("added a passkey", false),
  /** A passkey was removed. */
  PASSKEY_REMOVED("removed a passkey", false),
  /** A token was made. */
  TOKEN_MADE("made a token", true),
  /** A token was revoked. */
  TOKEN_REVOKED("revoked a token", false),
  /** The household’s data was taken out. */
  EXPORTED("took the data out", true),
  /** Data was read in. */
  IMPORTED("read data in", true),
  /** The household is to be erased. */
  ERASURE_ASKED("asked for everything to be erased", true),
  /** That was stopped. */
  ERASURE_STOPPED("kept everything after all", true),
  /** Data was put back from a backup. */
  RESTORED("put the data back", true);

  private final String words;
  private final boolean told;

  Deed(String words, boolean told) {
    this.words = words;
    this.told = told;
  }

  /** What was done, as it follows a name. */
  public String words() {
    return words;
  }

  /** Whether every keeper is told of it on the next page. */
  public boolean told() {
    return told;
  }
}
