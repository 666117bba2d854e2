package velvetcrock.core.keeping;

/** What water something made of oil has in it. */
public enum Wetness {
  /** None. */
  DRY,
  /** A little honey, stirred in while it thickened: hardly any. */
  LITTLE_HONEY,
  /** Water without a preservative. */
  WET
}
