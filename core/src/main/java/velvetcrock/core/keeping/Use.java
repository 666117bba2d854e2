package velvetcrock.core.keeping;

/** What an oil is for, as far as keeping goes. */
public enum Use {
  /** On the skin or hair. */
  SKIN,
  /** For eating. */
  KITCHEN
}
