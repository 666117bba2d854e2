package velvetcrock.core.materia;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
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

  private final ByKey<Herb> herbs;
  private final ByKey<Carrier> carriers;
  private final ByKey<Wax> waxes;
  private final ByKey<Powder> powders;
  private final ByKey<EssentialOil> essentialOils;
  private final ByKey<Jar> jars;
  private final Map<Speed.HerbInOil, Speed> speeds;
  private final Map<Part, Map<Cut, Double>> beds;

  /**
   * Things of a kind.
   *
   * @param all in their order; equal to another's where each thing is
   */
  private record ByKey<T>(Map<String, T> byKey, List<T> all) {
    static <T> ByKey<T> of(Map<String, T> byKey) {
      return new ByKey<>(byKey, List.copyOf(byKey.values()));
    }

    static <T> ByKey<T> read(
        String file, Problems problems, Function<CSVRecord, T> row, Function<T, String> key) {
      return of(CatalogueFile.read(Catalogue.class, file, problems, row, key));
    }

    /** The same with things that are added, or known better. */
    ByKey<T> with(List<T> own, Function<T, String> key) {
      Map<String, T> merged = new LinkedHashMap<>(byKey);
      own.forEach(thing -> merged.put(key.apply(thing), thing));
      return own.isEmpty() ? this : of(merged);
    }

    T thing(String field, String key) {
      T thing = byKey.get(key);
      if (thing == null) {
        throw new Refused(
            List.of(
                new Problem(
                    field, "“" + shortened(key) + "” is no " + field + " of the catalogue.")));
      }
      return thing;
    }
  }

  private Catalogue() {
    Problems problems = new Problems();
    herbs = ByKey.read("herbs.csv", problems, CatalogueRows::herb, Herb::key);
    carriers = ByKey.read("carriers.csv", problems, CatalogueRows::carrier, Carrier::key);
    waxes = ByKey.read("waxes.csv", problems, CatalogueRows::wax, Wax::key);
    powders = ByKey.read("powders.csv", problems, CatalogueRows::powder, Powder::key);
    essentialOils =
        ByKey.read("essential-oils.csv", problems, CatalogueRows::essentialOil, EssentialOil::key);
    jars = ByKey.read("jars.csv", problems, CatalogueRows::jar, Jar::key);
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
    herbs = shipped.herbs.with(own.herbs(), Herb::key);
    carriers = shipped.carriers.with(own.carriers(), Carrier::key);
    waxes = shipped.waxes.with(own.waxes(), Wax::key);
    powders = shipped.powders.with(own.powders(), Powder::key);
    essentialOils = shipped.essentialOils.with(own.essentialOils(), EssentialOil::key);
    jars = shipped.jars.with(own.jars(), Jar::key);
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

  private static Map<Part, Map<Cut, Double>> beds(Problems problems) {
    Map<Part, Map<Cut, Double>> beds = new EnumMap<>(Part.class);
    CatalogueFile.read(
            Catalogue.class, "beds.csv", problems, CatalogueRows::bed, bed -> bed.part().name())
        .values()
        .forEach(bed -> beds.put(bed.part(), bed.densities()));
    return beds;
  }

  /** All herbs, by name. */
  public List<Herb> herbs() {
    return herbs.all();
  }

  /** All carriers, in the order of their file. */
  public List<Carrier> carriers() {
    return carriers.all();
  }

  /** All waxes, in the order of their file. */
  public List<Wax> waxes() {
    return waxes.all();
  }

  /** All powders, in the order of their file. */
  public List<Powder> powders() {
    return powders.all();
  }

  /** All essential oils, in the order of their file. */
  public List<EssentialOil> essentialOils() {
    return essentialOils.all();
  }

  /** All jar shapes, in the order of their file. */
  public List<Jar> jars() {
    return jars.all();
  }

  /**
   * The herb of a key.
   *
   * @throws Refused at field {@code herb} if there is none
   */
  public Herb herb(String key) {
    return herbs.thing("herb", key);
  }

  /**
   * The carrier of a key.
   *
   * @throws Refused at field {@code carrier} if there is none
   */
  public Carrier carrier(String key) {
    return carriers.thing("carrier", key);
  }

  /**
   * The wax of a key.
   *
   * @throws Refused at field {@code wax} if there is none
   */
  public Wax wax(String key) {
    return waxes.thing("wax", key);
  }

  /**
   * The powder of a key.
   *
   * @throws Refused at field {@code powder} if there is none
   */
  public Powder powder(String key) {
    return powders.thing("powder", key);
  }

  /**
   * The essential oil of a key.
   *
   * @throws Refused at field {@code oil} if there is none
   */
  public EssentialOil essentialOil(String key) {
    return essentialOils.thing("oil", key);
  }

  /**
   * The jar shape of a key.
   *
   * @throws Refused at field {@code jar} if there is none
   */
  public Jar jar(String key) {
    return jars.thing("jar", key);
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

  private static String shortened(String key) {
    return key.length() <= 60 ? key : key.substring(0, 60) + "…";
  }
}
