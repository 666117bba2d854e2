package velvetcrock.core.charge;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Refused;
import velvetcrock.core.Standing;
import velvetcrock.core.charge.Charge.Levels;
import velvetcrock.core.charge.Charge.WayOut;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Jar;

/**
 * Reckons a charge: V_void = m·(1.15/ρ_bed − 1/1.40) for dried herb, V_cover = π/4·D²·d, and what
 * follows from them. More oil never covers less; a finer cut never needs more oil.
 */
public final class Charger {
  /** The ratio below which the default never goes: 1:5 (practice). */
  public static final double USUAL_OIL_PER_HERB = 5;

  private static final double MILLILITRE_TOLERANCE = 1e-6;

  private final Catalogue catalogue;

  /** A charger with the densities of a catalogue. */
  public Charger(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  /**
   * Works a charge out.
   *
   * @return the charge with its levels, ways out and reckoning
   */
  public Charge reckon(ChargeOrder order) {
    Reckoning.Writer lines = Reckoning.writer();
    double density = order.carriers().densityAt(Carrier.ROOM_C);
    double oilMl = oilMl(order, density);
    writeOil(order, density, oilMl, lines);
    double oilMassG =
        lines.line(
            "Oil by weight",
            plain(oilMl) + " ml × " + plain(density) + " g/ml at 20 °C",
            oilMl * density,
            "g",
            Standing.TYPICAL);
    Bed bed = bed(order);
    write(bed, order, lines);
    double herbG = order.herbMassG();
    double needMl = bed.needMl();
    double covering =
        lines.line(
            "Ratio that just covers",
            "("
                + plain(bed.voidMl())
                + " + "
                + plain(bed.coverMl())
                + ") ml ÷ "
                + plain(herbG)
                + " g",
            needMl / herbG,
            "ml/g",
            Standing.ESTIMATE);
    boolean covers = covers(oilMl, bed);
    double waterG = order.herbs().stream().mapToDouble(HerbPortion::freeWaterG).sum();
    double waterPercent =
        lines.line(
            "Free water",
            "what the herb holds above 12 %: " + plain(waterG) + " g, of the oil’s weight",
            100 * waterG / oilMassG,
            "%",
            Standing.TYPICAL);

    return new Charge(
        herbG,
        oilMl,
        oilMassG,
        new Charge.Room(bed.bedMl(), bed.voidMl(), bed.coverMl()),
        covering,
        covers,
        bed.swellingMl(),
        new Charge.Water(waterG, waterPercent),
        order.jar().map(jar -> levels(jar, bed, oilMl)),
        covers ? List.of() : waysOut(order, oilMl, bed),
        lines.done());
  }

  /** How an order goes into its jar, without the lines and the ways out of it. */
  public Fit fit(ChargeOrder order) {
    Bed bed = bed(order);
    double oilMl = oilMl(order, order.carriers().densityAt(Carrier.ROOM_C));
    return new Fit(
        covers(oilMl, bed), order.jar().map(jar -> levels(jar, bed, oilMl).fits()).orElse(false));
  }

  private static boolean covers(double oilMl, Bed bed) {
    return oilMl >= bed.needMl() - MILLILITRE_TOLERANCE;
  }

  /**
   * The smallest w/v ratio that covers this herb in this jar, rounded up to a half, never below
   * 1:5.
   *
   * @return ml of oil per g of herb
   */
  public double defaultOilPerHerb(ChargeOrder order) {
    Bed bed = bed(order);
    double covering = bed.needMl() / order.herbMassG();
    return Math.max(USUAL_OIL_PER_HERB, Math.ceil(covering * 2 - MILLILITRE_TOLERANCE) / 2);
  }

  /**
   * The coarsest cut finer than the order's that lets 1:5 cover.
   *
   * @return empty if 1:5 covers already or no cut lets it
   */
  public Optional<Cut> cutForOneToFive(ChargeOrder order) {
    ChargeOrder oneToFive = order.withRatio(new Ratio.WeightToVolume(USUAL_OIL_PER_HERB));
    if (enough(oneToFive)) {
      return Optional.empty();
    }
    return order.herbs().get(0).cut().finer().stream()
        .filter(cut -> enough(oneToFive.withCut(cut)))
        .findFirst();
  }

  /**
   * The oil that fills a jar to its fill line over the herb: 0.92·brim − m/1.40, ml.
   *
   * @throws Refused at {@code jar} if the herb alone fills it
   */
  public double oilToFillMl(List<HerbPortion> herbs, Jar jar) {
    double solids = herbs.stream().mapToDouble(HerbPortion::solidsMl).sum();
    double oil = Jar.FILL_LINE * jar.brimMl() - solids;
    if (oil <= 0) {
      throw new Refused("jar", "The herb alone fills this jar. Take a larger one or less herb.");
    }
    return oil;
  }

  /** Bed of an order after swelling. */
  private record Bed(
      double bedMl, double swellingMl, double voidMl, double coverMl, double solidsMl) {
    double needMl() {
      return voidMl + coverMl;
    }
  }

  private static double oilMl(ChargeOrder order, double density) {
    if (order.ratio() instanceof Ratio.WeightToVolume wv) {
      return order.herbMassG() * wv.oilPerHerb();
    }
    if (order.ratio() instanceof Ratio.WeightToWeight ww) {
      return order.herbMassG() * ww.oilPerHerb() / density;
    }
    return ((Ratio.Oil) order.ratio()).ml();
  }

  private static void writeOil(
      ChargeOrder order, double density, double oilMl, Reckoning.Writer lines) {
    String grams = plain(order.herbMassG()) + " g";
    if (order.ratio() instanceof Ratio.WeightToVolume wv) {
      String ratio = plain(wv.oilPerHerb());
      String how = "1:" + ratio + " weight to volume: " + grams + " × " + ratio + " ml";
      lines.line("Oil", how, oilMl, "ml", Standing.STANDARD);
    } else if (order.ratio() instanceof Ratio.WeightToWeight ww) {
      String ratio = plain(ww.oilPerHerb());
      String how =
          "1:" + ratio + " by weight: " + grams + " × " + ratio + " ÷ " + plain(density) + " g/ml";
      lines.line("Oil", how, oilMl, "ml", Standing.TYPICAL);
    } else {
      lines.line("Oil", "as given", oilMl, "ml", Standing.MEASURED);
    }
  }

  private Bed bed(ChargeOrder order) {
    double settled = 0;
    double swelling = 0;
    double solids = 0;
    for (HerbPortion herb : order.herbs()) {
      settled += herb.bedMl(catalogue);
      swelling += herb.swellingMl(catalogue);
      solids += herb.solidsMl();
    }
    double bedMl = settled + swelling;
    double coverMl = order.jar().map(jar -> jar.volumeMl(order.coverMm())).orElse(0.0);
    return new Bed(bedMl, swelling, bedMl - solids, coverMl, solids);
  }

  private void write(Bed bed, ChargeOrder order, Reckoning.Writer lines) {
    for (HerbPortion herb : order.herbs()) {
      lines.line(
          "Bed of " + herb.herb().name().toLowerCase(Locale.ROOT),
          plain(herb.massG())
              + " g ÷ "
              + plain(
                  catalogue.bedDensity(
                      herb.herb(), herb.part(), herb.cut(), herb.state(), herb.waterFraction()))
              + " g/ml of settled bed",
          herb.bedMl(catalogue),
          "ml",
          Standing.TYPICAL);
    }
    lines.line(
        "Swollen bed",
        "it swells by " + plain(bed.swellingMl()) + " ml in two days",
        bed.bedMl(),
        "ml",
        Standing.TYPICAL);
    lines.line(
        "Gaps to fill",
        plain(bed.bedMl()) + " ml of bed less " + plain(bed.solidsMl()) + " ml of herb itself",
        bed.voidMl(),
        "ml",
        Standing.ESTIMATE);
    order
        .jar()
        .ifPresent(
            jar ->
                lines.line(
                    "Cover",
                    plain(order.coverMm())
                        + " mm deep, "
                        + plain(jar.innerDiameterMm())
                        + " mm wide: π/4 · D² · d",
                    bed.coverMl(),
                    "ml",
                    Standing.STANDARD));
  }

  private static Levels levels(Jar jar, Bed bed, double oilMl) {
    double bedMm = jar.heightMm(bed.bedMl());
    double oilMm =
        oilMl >= bed.voidMl()
            ? bedMm + jar.heightMm(oilMl - bed.voidMl())
            : bedMm * oilMl / bed.voidMl();
    double fillLineMm = Jar.FILL_LINE * jar.brimMm();
    return new Levels(bedMm, oilMm, jar.brimMm(), Math.max(bedMm, oilMm) <= fillLineMm + 1e-9);
  }

  private List<WayOut> waysOut(ChargeOrder order, double oilMl, Bed bed) {
    double herbG = order.herbMassG();
    List<WayOut> ways = new ArrayList<>();
    finerCut(order, oilMl).ifPresent(ways::add);
    ways.add(new WayOut.MoreOil(bed.needMl(), bed.needMl() / herbG));
    if (oilMl > bed.voidMl() && order.coverMm() > 0) {
      double areaMm2 = (oilMl - bed.voidMl()) * 1000 / order.coverMm();
      ways.add(new WayOut.NarrowerJar(Math.sqrt(4 * areaMm2 / Math.PI)));
    }
    if (oilMl > bed.coverMl()) {
      double coveredG = herbG * (oilMl - bed.coverMl()) / bed.voidMl();
      ways.add(new WayOut.LessHerb(coveredG, oilMl / coveredG));
    }
    return List.copyOf(ways);
  }

  /** The coarsest finer cut that the oil covers, or the finest if none is. */
  private Optional<WayOut> finerCut(ChargeOrder order, double oilMl) {
    WayOut best = null;
    for (Cut cut : order.herbs().get(0).cut().finer()) {
      Bed bed = bed(order.withCut(cut));
      double needMl = bed.needMl();
      best = new WayOut.FinerCut(cut, bed.bedMl(), needMl / order.herbMassG(), needMl <= oilMl);
      if (needMl <= oilMl) {
        break;
      }
    }
    return Optional.ofNullable(best);
  }

  private boolean enough(ChargeOrder order) {
    Bed bed = bed(order);
    double oilMl = oilMl(order, order.carriers().densityAt(Carrier.ROOM_C));
    return oilMl >= bed.voidMl() + bed.coverMl();
  }
}
