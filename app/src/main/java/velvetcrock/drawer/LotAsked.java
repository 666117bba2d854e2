package velvetcrock.drawer;

import velvetcrock.core.drawer.LotDetails.Kind;

/**
 * How a lot of a kind is asked for.
 *
 * @param amount its amount
 * @param example of an amount
 * @param other the same amount, measured the other way
 * @param from where it is from
 * @param bought its first day in the house
 */
record LotAsked(String amount, String example, String other, String from, String bought) {
  private static final String WEIGHED = "How much, weighed";
  private static final String BY_VOLUME = "The same by volume, to check it";
  private static final String FROM_WHOM = "From whom";
  private static final String BOUGHT = "Bought on";

  static LotAsked of(Kind kind) {
    return switch (kind) {
      case HERB ->
          new LotAsked(WEIGHED, "180 g", BY_VOLUME, "Which bed, which shore, or from whom", BOUGHT);
      case CARRIER -> measured("Bought or pressed on");
      case SPIRIT -> measured(BOUGHT);
      case WAX -> new LotAsked(WEIGHED, "180 g", BY_VOLUME, FROM_WHOM, BOUGHT);
    };
  }

  private static LotAsked measured(String bought) {
    return new LotAsked("How much", "500 ml", "The same by weight, to check it", FROM_WHOM, bought);
  }
}
