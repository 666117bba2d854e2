package velvetcrock.core.outlook;

import java.util.List;
import velvetcrock.core.Refused;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;
import velvetcrock.core.yield.Strainer;

/**
 * Works back from the oil that is to come out of the cloth to what is charged. What marc and film
 * keep grows in proportion to the charge, but for the film's first millilitres: two charges show
 * the line, and the wanted one lies on it.
 *
 * @param herb what is charged, in any amount
 * @param experience what the household's own strainings taught
 */
record OilToCharge(HerbPortion herb, List<Retention.Own> experience) {
  private static final double SMALL_ML = 1000;
  private static final double LARGE_ML = 2000;
  private static final double LEAST_SHARE = 0.002;

  /** How it is expressed: dried herb is squeezed, fresh drips. */
  Expression expression() {
    return herb.state() == HerbState.DRIED ? Expression.SQUEEZE : Expression.DRIP;
  }

  /**
   * Oil to charge.
   *
   * @param needMl what is to come out, ml
   * @param oilPerHerb w/v ratio, ml/g
   * @return ml
   * @throws Refused at {@code oilPerHerb} where the herb would drink it all
   */
  double ml(double needMl, double oilPerHerb) {
    double small = yieldMl(SMALL_ML, oilPerHerb);
    double large = yieldMl(LARGE_ML, oilPerHerb);
    double share = (large - small) / (LARGE_ML - SMALL_ML);
    if (share < LEAST_SHARE || small <= 0) {
      throw new Refused(
          "oilPerHerb", "At this ratio the herb keeps nearly all the oil. Take more oil.");
    }
    return LARGE_ML + (needMl - large) / share;
  }

  /** What comes out of so much oil, ml. */
  double yieldMl(double oilMl, double oilPerHerb) {
    return Strainer.predict(
            oilMl, List.of(herb.withMassG(oilMl / oilPerHerb)), expression(), experience)
        .yieldMl();
  }
}
