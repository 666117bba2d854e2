package velvetcrock.core.stock;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** What an amount of oil is enough for, each thing by itself and not all together. */
public record Enough(Use what, int count) {

  /** Things people make, with the oil that one takes (typical). */
  public enum Use {
    /** A tin of 30 ml of salve at one part of wax to five of oil by weight: 25 ml. */
    TIN_OF_SALVE(25),
    /** A bottle of 50 ml for the hands. */
    HAND_OIL(50),
    /** A roll-on of 10 ml. */
    ROLL_ON(10),
    /** A massage of the whole body: 20 ml. */
    MASSAGE(20),
    /** A gift bottle of 100 ml. */
    GIFT_BOTTLE(100);

    private final double oilMl;

    Use(double oilMl) {
      this.oilMl = oilMl;
    }

    /** Oil that one takes, ml. */
    public double oilMl() {
      return oilMl;
    }
  }

  /**
   * What an amount is enough for.
   *
   * @param oilMl ml, not negative
   * @return only what there is enough of for one at least, the largest thing first
   */
  public static List<Enough> of(double oilMl) {
    List<Enough> enough = new ArrayList<>();
    Arrays.stream(Use.values())
        .sorted((a, b) -> Double.compare(b.oilMl, a.oilMl))
        .forEach(
            what -> {
              int count = (int) Math.floor(oilMl / what.oilMl);
              if (count > 0) {
                enough.add(new Enough(what, count));
              }
            });
    return List.copyOf(enough);
  }
}
