package velvetcrock.core.measure;

/** What a figure with a unit tells. */
public enum Quantity {
  /** In g. */
  WEIGHT,
  /** In ml. */
  VOLUME,
  /** In mm. */
  LENGTH,
  /** In °C. */
  TEMPERATURE,
  /** By how much two temperatures differ, in °C. */
  WARMER
}
