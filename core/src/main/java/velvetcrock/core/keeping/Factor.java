package velvetcrock.core.keeping;

/** By how many times something changes the pace of ageing, with the ends of what is likely. */
record Factor(double usual, double low, double high) {
  /** Not at all. */
  static final Factor ONE = new Factor(1, 1, 1);
}
