package velvetcrock.core.charge;

import java.util.List;
import java.util.Optional;
import velvetcrock.core.Reckoning;
import velvetcrock.core.materia.Cut;

/**
 * A charge as reckoned. Bed and void are those after swelling.
 *
 * @param herbMassG herb, g
 * @param oilMl oil, ml
 * @param oilMassG oil at 20 °C, g
 * @param room what herb and oil take up in the jar
 * @param coveringOilPerHerb smallest w/v ratio that fills the gaps and covers, ml per g
 * @param covers whether the oil fills the gaps and covers
 * @param topUpMl oil to be added on days 1–3 as the herb swells, ml
 * @param water the water that the herb brings
 * @param levels where things stand in the jar, if there is one
 * @param waysOut what could be done when it does not cover; empty when it does
 * @param reckoning how it was found
 */
public record Charge(
    double herbMassG,
    double oilMl,
    double oilMassG,
    Room room,
    double coveringOilPerHerb,
    boolean covers,
    double topUpMl,
    Water water,
    Optional<Levels> levels,
    List<WayOut> waysOut,
    Reckoning reckoning) {

  /**
   * What herb and oil take up in the jar.
   *
   * @param bedMl settled bed after swelling, ml
   * @param voidMl oil that fills the gaps in the bed, ml
   * @param coverMl oil that stands above the bed at the depth asked for, ml; 0 without a jar
   */
  public record Room(double bedMl, double voidMl, double coverMl) {}

  /**
   * The water that the herb brings.
   *
   * @param waterMl free water that the herb brings, ml
   * @param waterPercentOfOil that water as a share of the oil's weight, %
   */
  public record Water(double waterMl, double waterPercentOfOil) {}

  /** Share of free water that an oil can hold, % of its weight (typical). */
  public static final double WATER_OIL_CAN_HOLD_PERCENT = 0.1;

  /** Oil to a gram of herb as charged, ml. */
  public double oilPerHerb() {
    return oilMl / herbMassG;
  }

  /** Oil that is missing to fill the gaps and cover, ml; 0 when it covers. */
  public double shortMl() {
    return Math.max(0, room.voidMl() + room.coverMl() - oilMl);
  }

  /** How it goes into its jar. */
  public Fit fit() {
    return new Fit(covers, levels.map(Levels::fits).orElse(false));
  }

  /**
   * Strength against a 1:5 charge of dried herb: the dry matter per oil, a dried herb counted at
   * 0.10 water.
   */
  public double strengthAgainstOneToFive(List<HerbPortion> herbs) {
    double driedG = herbs.stream().mapToDouble(h -> h.dryMatterG() / 0.90).sum();
    return driedG / oilMl * 5;
  }

  /**
   * Levels above the jar's floor, after swelling.
   *
   * @param bedMm top of the herb, mm
   * @param oilMm top of the oil, mm; below the bed's where the oil does not reach
   * @param brimMm the brim, mm
   * @param fits whether both stay under the fill line
   */
  public record Levels(double bedMm, double oilMm, double brimMm, boolean fits) {
    /** Oil standing above the herb, mm; negative where the herb stands out of it. */
    public double coverMm() {
      return oilMm - bedMm;
    }

    /** How high oil can really stand, mm: what is beyond the brim has run over. */
    public double standingOilMm() {
      return Math.min(oilMm, brimMm);
    }

    /** Air above the higher of the two, mm; 0 when it would run over. */
    public double headroomMm() {
      return Math.max(0, brimMm - Math.max(bedMm, oilMm));
    }
  }

  /** A way to have the herb covered after all. */
  public sealed interface WayOut {
    /**
     * Cut it finer, so that the bed sinks.
     *
     * @param oilPerHerb w/v ratio at which that cut is just covered
     * @param coversAsAsked whether the oil asked for is then enough
     */
    record FinerCut(Cut cut, double bedMl, double oilPerHerb, boolean coversAsAsked)
        implements WayOut {}

    /**
     * Pour more oil.
     *
     * @param oilMl oil in all, ml
     * @param oilPerHerb w/v ratio that just covers
     */
    record MoreOil(double oilMl, double oilPerHerb) implements WayOut {}

    /**
     * Take a narrower jar, in which the same oil stands higher above the bed.
     *
     * @param innerDiameterMm widest that still covers, mm
     */
    record NarrowerJar(double innerDiameterMm) implements WayOut {}

    /**
     * Put in less herb for the same oil.
     *
     * @param herbMassG the most that this oil covers, g
     */
    record LessHerb(double herbMassG, double oilPerHerb) implements WayOut {}
  }
}
