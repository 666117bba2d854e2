package velvetcrock.core.charge;

import velvetcrock.core.Refused;

/** How much oil is wanted for the herb. */
public sealed interface Ratio {
  /** Most oil per herb that is still a ratio and not a slip. */
  double MOST = 1000;

  /** Least amount that is still one, ml or ml per g. */
  double LEAST = 0.001;

  /**
   * Weight to volume, 1:n: so many ml of oil to a gram of herb.
   *
   * @param oilPerHerb ml per g, above 0 and at most 1000
   */
  record WeightToVolume(double oilPerHerb) implements Ratio {
    /** Checks the ratio. */
    public WeightToVolume {
      check(oilPerHerb);
    }
  }

  /**
   * Weight to weight, 1:n: so many grams of oil to a gram of herb.
   *
   * @param oilPerHerb g per g, above 0 and at most 1000
   */
  record WeightToWeight(double oilPerHerb) implements Ratio {
    /** Checks the ratio. */
    public WeightToWeight {
      check(oilPerHerb);
    }
  }

  /**
   * A stated amount of oil.
   *
   * @param ml oil, ml, above 0 and at most 100 000
   */
  record Oil(double ml) implements Ratio {
    /** Checks the amount. */
    public Oil {
      if (!(ml >= LEAST && ml <= 100_000)) {
        throw new Refused("oilMl", "The oil is above 0 and at most 100 l; " + ml + " ml was read.");
      }
    }
  }

  private static void check(double oilPerHerb) {
    if (!(oilPerHerb >= LEAST && oilPerHerb <= MOST)) {
      throw new Refused(
          "oilPerHerb", "Oil per herb is above 0 and at most 1000; " + oilPerHerb + " was read.");
    }
  }
}
