package velvetcrock.core.measure;

/** The kitchen measures a household means when it says cup, pint or spoon. */
public enum Kitchen {
  /** US customary cups and spoons. */
  US,
  /** The 250 ml cup, 15 ml and 5 ml spoons; pints and ounces as in the US. */
  METRIC,
  /** Imperial cups, pints and fluid ounces; metric spoons. */
  IMPERIAL
}
