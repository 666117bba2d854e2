package velvetcrock.core.product;

/** What became of a tin. */
public enum TinFate {
  /** Kept for oneself. */
  KEPT,
  /** Given away. */
  GIVEN,
  /** Used up, without trouble. */
  USED_UP,
  /** Spoiled. */
  SPOILED,
  /** Lost or broken. */
  LOST
}
