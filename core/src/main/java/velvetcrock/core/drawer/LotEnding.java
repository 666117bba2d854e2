package velvetcrock.core.drawer;

/** Why a lot came to its end. */
public enum LotEnding {
  /** Used up. */
  USED_UP,
  /** Given away. */
  GIVEN_AWAY,
  /** Stale, rancid or spoiled. */
  SPOILED,
  /** Spilled or lost. */
  LOST
}
