package velvetcrock.core.materia;

import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import velvetcrock.core.Problem;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;

/**
 * Every thing that can be used, by kind and key: what ships with the application, read once from
 * the files beside this class and checked row by row, and what a household has of its own.
 */
public final class Catalogue {
  private static final double LOOSE_SHARE = 0.75;
  private static final Range LOOSE_SHARE_RANGE = new Range(0.5, 1.0);
  private static final double FRESH_BED_SOFT = 0.25;
  private static final double FRESH_BED_FIRM = 0.45;

  private final Map<String, Herb> herbs;
  private final Map<String, Carrier> carriers;
  private final Map<String, Wax> waxes;
  private final Map<String, Powder> powders;
  private final Map<String, EssentialOil> essentialOils;
  private final Map<String, Jar> jars;
  private final Map<Speed.HerbInOil, Speed> speeds;
  private final Map<Part, Map<Cut, Double>> beds;

  private Catalogue() {
    Problems problems = new Problems();
    herbs =
        CatalogueFile.read(Catalogue.class, "herbs.csv", problems, CatalogueRows::herb, Herb::key);
    carriers =
        CatalogueFile.read(
            Catalogue.class, "carriers.csv", problems, CatalogueRows::carrier, Carrier::key);
    waxes =
        CatalogueFile.read(Catalogue.class, "waxes.csv", problems, CatalogueRows::wax, Wax::key);
    powders =
        CatalogueFile.read(
            Catalogue.class, "powders.csv", problems, CatalogueRows::powder, Powder::key);
    essentialOils =
        CatalogueFile.read(
            Catalogue.class,
            "essential-oils.csv",
            problems,
            CatalogueRows::essentialOil,
            EssentialOil::key);
    jars = CatalogueFile.read(Catalogue.class, "jars.csv", problems, CatalogueRows::jar, Jar::key);
    beds = beds(problems);
    speeds = Map.of();
    if (!problems.none()) {
      throw new IllegalStateException(
          problems.found().stream()
              .map(p -> p.field() + ": " + p.message())
              .collect(Collectors.joining("\n")));
    }
  }

  /**
   * Reads the shipped catalogue.
   *
   * @throws IllegalStateException naming every file and line that cannot be true
   */
  public static Catalogue shipped() {
    return new Catalogue();
  }

  private Catalogue(Catalogue shipped, Additions own) {
    herbs = merged(shipped.herbs, own.herbs(), Herb::key);
    carriers = merged(shipped.carriers, own.carriers(), Carrier::key);
    waxes = merged(shipped.waxes, own.waxes(), Wax::key);
    powders = merged(shipped.powders, own.powders(), Powder::key);
    essentialOils = merged(shipped.essentialOils, own.essentialOils(), EssentialOil::key);
    jars = merged(shipped.jars, own.jars(), Jar::key);
    beds = shipped.beds;
    speeds = shipped.speeds;
  }

  private Catalogue(Catalogue base, Map<Speed.HerbInOil, Speed> speeds) {
    herbs = base.herbs;
    carriers = base.carriers;
    waxes = base.waxes;
    powders = base.powders;
    essentialOils = base.essentialOils;
    jars = base.jars;
    beds = base.beds;
    this.speeds = Map.copyOf(speeds);
  }

  /** This catalogue with what a household's jars taught of how fast herbs give. */
  public Catalogue with(Map<Speed.HerbInOil, Speed> learned) {
    return new Catalogue(this, learned);
  }

  /** How fast a herb in an oil gives here; unknown where too little was learned. */
  public Speed speed(Speed.HerbInOil of) {
    Speed byItsWay = speeds.get(of);
    return byItsWay == null ? speeds.getOrDefault(of.anyWay(), Speed.UNKNOWN) : byItsWay;
  }

  /** All that was learned of how fast herbs give. */
  public Map<Speed.HerbInOil, Speed> speeds() {
    return speeds;
  }

  /** This catalogue with what a household adds or knows better. */
  public Catalogue with(Additions own) {
    return new Catalogue(this, own);
  }

  private static <T> Map<String, T> merged(
      Map<String, T> shipped, List<T> own, Function<T, String> key) {
    Map<String, T> all = new LinkedHashMap<>(shipped);
    own.forEach(thing -> all.put(key.apply(thing), thing));
    return all;
  }

  private static Map<Part, Map<Cut, Double>> beds(Problems problems) {
    Map<Part, Map<Cut, Double>> beds = new EnumMap<>(Part.class);
    CatalogueFile.read(
            Catalogue.class, "beds.csv", problems, CatalogueRows::bed, bed -> bed.part().name())
        .values()
        .forEach(bed -> beds.put(bed.part(), bed.densities()));
    return beds;
  }

  /** All herbs, by name. */
  public Collection<Herb> herbs() {
    return herbs.values();
  }

  /** All carriers, in the order of their file. */
  public Collection<Carrier> carriers() {
    return carriers.values();
  }

  /** All waxes, in the order of their file. */
  public Collection<Wax> waxes() {
    return waxes.values();
  }

  /** All powders, in the order of their file. */
  public Collection<Powder> powders() {
    return powders.values();
  }

  /** All essential oils, in the order of their file. */
  public Collection<EssentialOil> essentialOils() {
    return essentialOils.values();
  }

  /** All jar shapes, in the order of their file. */
  public Collection<Jar> jars() {
    return jars.values();
  }

  /**
   * The herb of a key.
   *
   * @throws Refused at field {@code herb} if there is none
   */
  public Herb herb(String key) {
    return found(herbs, "herb", key);
  }

  /**
   * The carrier of a key.
   *
   * @throws Refused at field {@code carrier} if there is none
   */
  public Carrier carrier(String key) {
    return found(carriers, "carrier", key);
  }

  /**
   * The wax of a key.
   *
   * @throws Refused at field {@code wax} if there is none
   */
  public Wax wax(String key) {
    return found(waxes, "wax", key);
  }

  /**
   * The powder of a key.
   *
   * @throws Refused at field {@code powder} if there is none
   */
  public Powder powder(String key) {
    return found(powders, "powder", key);
  }

  /**
   * The essential oil of a key.
   *
   * @throws Refused at field {@code oil} if there is none
   */
  public EssentialOil essentialOil(String key) {
    return found(essentialOils, "oil", key);
  }

  /**
   * The jar shape of a key.
   *
   * @throws Refused at field {@code jar} if there is none
   */
  public Jar jar(String key) {
    return found(jars, "jar", key);
  }

  /** Density of the settled bed of a dried herb in oil, g per ml of bed (typical). */
  public double bedDensity(Part part, Cut cut) {
    return beds.get(part).get(cut);
  }

  /**
   * Density of the bed of a herb, g per ml of bed. A wilted one lies between dried and fresh in
   * proportion to its water (an estimate).
   *
   * @param waterFraction wet basis; counts for a wilted herb only
   */
  public double bedDensity(Herb herb, Part part, Cut cut, HerbState state, double waterFraction) {
    double dried = bedDensity(part, cut);
    return dried + freshness(herb, state, waterFraction) * (freshBedDensity(part) - dried);
  }

  /** How fresh a herb is: 0 dried, 1 as picked, a wilted one between by its water. */
  public static double freshness(Herb herb, HerbState state, double waterFraction) {
    if (state != HerbState.WILTED) {
      return state == HerbState.DRIED ? 0 : 1;
    }
    double share = (waterFraction - Herb.WATER_DRIED) / (herb.waterFresh() - Herb.WATER_DRIED);
    return Math.max(0, Math.min(1, share));
  }

  /** Usual density of a herb loose in a cup: three quarters of its bed in oil, g/ml. */
  public double looseDensity(Herb herb, Part part, Cut cut, HerbState state) {
    return LOOSE_SHARE * bedDensity(herb, part, cut, state, herb.waterFraction(state));
  }

  /** Density of a herb in a cup from barely poured to pressed, g/ml. */
  public Range looseRange(Herb herb, Part part, Cut cut, HerbState state) {
    return LOOSE_SHARE_RANGE.times(bedDensity(herb, part, cut, state, herb.waterFraction(state)));
  }

  private static double freshBedDensity(Part part) {
    return switch (part) {
      case FLOWER, HEAD, LEAF -> FRESH_BED_SOFT;
      case ROOT, BARK, SEED, FRUIT, RESIN -> FRESH_BED_FIRM;
    };
  }

  private static <T> T found(Map<String, T> map, String field, String key) {
    T thing = map.get(key);
    if (thing == null) {
      throw new Refused(
          List.of(
              new Problem(
                  field, "“" + shortened(key) + "” is no " + field + " of the catalogue.")));
    }
    return thing;
  }

  private static String shortened(String key) {
    return key.length() <= 60 ? key : key.substring(0, 60) + "…";
  }
}
