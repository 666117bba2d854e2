package velvetcrock.bench;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.Charge.WayOut;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Strainer;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Place;

/** Reads the bench's sentence and asks the core what it comes to. */
@Service
class Planner {
  private final Catalogues catalogues;
  private final Cautions cautions;

  Planner(Catalogues catalogues, Cautions cautions) {
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  /** The things of the household that a sentence can name. */
  record Bench(Kitchen kitchen, List<Jar> jars, List<Place> places) {}

  /** The sentence as read: what was typed, as values. */
  private record Read(
      Herb herb,
      Part part,
      Cut cut,
      Carrier carrier,
      String ratioKind,
      @Nullable Double ratio,
      @Nullable Jar jar,
      double coverMm,
      Place place,
      Use use) {}

  /**
   * Works the sentence out.
   *
   * @param form completed
   * @throws Refused at every field that cannot be read
   */
  Plan plan(BenchForm form, Bench bench) {
    Problems problems = new Problems();
    Read read = read(form, bench, problems);
    problems.refuseIfAny();
    boolean byEye = read.ratioKind().equals("fill") && blank(form.amount());
    Range herbG = byEye ? herbByEye(form, read, bench) : herb(form, read, bench);
    HerbPortion portion =
        keepField(
            "amount",
            () ->
                HerbPortion.usual(
                    read.herb(), read.part(), read.cut(), HerbState.DRIED, herbG.middle()));

    Function<Jar, Function<Double, ChargeOrder>> orders =
        jar -> share -> order(read, portion, jar, share);
    Function<Jar, Function<Double, Charge>> charges =
        jar -> share -> charger().reckon(orders.apply(jar).apply(share));
    JarChoice choice =
        read.jar() != null
            ? new JarChoice(read.jar(), 1)
            : keepField("amount", () -> JarChoice.best(bench.jars(), charges));
    ChargeOrder order =
        keepField("ratio", () -> orders.apply(choice.jar()).apply(1.0 / choice.count()));
    Charge charge = charger().reckon(order);
    boolean ratioChosen = read.ratio() != null || read.ratioKind().equals("fill");
    boolean above = charge.oilPerHerb() > Charger.USUAL_OIL_PER_HERB + 1e-9;
    return new Plan(
        order,
        charge,
        herbG.times(1.0 / choice.count()),
        choice.jar(),
        choice.count(),
        read.jar() != null,
        ratioChosen,
        above ? charger().cutForOneToFive(order) : Optional.empty(),
        narrower(charge, order, bench.jars()),
        read.place(),
        read.use(),
        Strainer.predict(charge.oilMl(), order.herbs(), Expression.SQUEEZE),
        cautions.forCharge(order, charge, read.use(), read.place().light(), Carrier.ROOM_C));
  }

  private ChargeOrder order(Read read, HerbPortion whole, Jar jar, double share) {
    HerbPortion portion = whole.withMassG(whole.massG() * share);
    CarrierBlend carriers = CarrierBlend.of(read.carrier());
    ChargeOrder blank =
        new ChargeOrder(
            List.of(portion),
            carriers,
            new Ratio.WeightToVolume(Charger.USUAL_OIL_PER_HERB),
            Optional.of(jar),
            read.coverMm());
    return blank.withRatio(ratio(read, portion, jar, blank));
  }

  private Ratio ratio(Read read, HerbPortion portion, Jar jar, ChargeOrder blank) {
    if (read.ratioKind().equals("fill")) {
      return new Ratio.Oil(charger().oilToFillMl(List.of(portion), jar));
    }
    Double typed = read.ratio();
    if (typed == null) {
      return new Ratio.WeightToVolume(charger().defaultOilPerHerb(blank));
    }
    if (read.ratioKind().equals("volume")) {
      double herbMl =
          portion.massG()
              / catalogues
                  .current()
                  .looseDensity(read.herb(), read.part(), read.cut(), HerbState.DRIED);
      return new Ratio.Oil(typed * herbMl);
    }
    return new Ratio.WeightToVolume(typed);
  }

  private Optional<Jar> narrower(Charge charge, ChargeOrder order, List<Jar> jars) {
    return charge.waysOut().stream()
        .filter(WayOut.NarrowerJar.class::isInstance)
        .map(WayOut.NarrowerJar.class::cast)
        .findFirst()
        .flatMap(
            way ->
                jars.stream()
                    .filter(jar -> jar.innerDiameterMm() <= way.innerDiameterMm())
                    .filter(
                        jar -> charger().reckon(order.withJar(jar)).levels().orElseThrow().fits())
                    .findFirst());
  }

  private Read read(BenchForm form, Bench bench, Problems problems) {
    Herb herb = problems.attempt("herb", () -> catalogues.current().herb(text(form.herb())));
    Carrier carrier =
        problems.attempt("carrier", () -> catalogues.current().carrier(text(form.carrier())));
    Cut cut = problems.attempt("cut", () -> named(Cut.class, form.cut(), "cut"));
    Use use = problems.attempt("use", () -> named(Use.class, form.use(), "use"));
    Part part = herb == null ? null : problems.attempt("part", () -> part(herb, text(form.part())));
    String kind = text(form.ratioKind());
    problems.require(
        List.of("weight", "volume", "fill").contains(kind),
        "ratioKind",
        "By weight, by volume or by filling a jar.");
    Double ratio = problems.attempt("ratio", () -> ratioNumber(form.ratio()));
    Jar jar = problems.attempt("jar", () -> jar(text(form.jar()), bench.jars()));
    problems.require(!kind.equals("fill") || jar != null, "jar", "Choose the jar to be filled.");
    Double cover =
        problems.attempt("cover", () -> number(text(form.cover()), 0, 200, "mm of cover"));
    Place place = problems.attempt("place", () -> place(text(form.place()), bench.places()));
    problems.require(
        !blank(form.amount()) || kind.equals("fill"),
        "amount",
        "Say how much herb you have, such as 60 g or 2 cups.");
    if (!problems.none()) {
      problems.refuseIfAny();
    }
    return new Read(herb, part, cut, carrier, kind, ratio, jar, cover, place, use);
  }

  private Range herb(BenchForm form, Read read, Bench bench) {
    return keepField(
        "amount",
        () ->
            Amounts.herbMassG(
                new MeasureReader(bench.kitchen()).read(text(form.amount())),
                read.herb(),
                read.part(),
                read.cut(),
                HerbState.DRIED,
                catalogues.current()));
  }

  /** Herb filled by eye: its share of the brim at loose packing. */
  private Range herbByEye(BenchForm form, Read read, Bench bench) {
    double share =
        keepField("herbFill", () -> number(text(form.herbFill()), 0.05, 1, "share of the jar"));
    Jar jar = java.util.Objects.requireNonNull(read.jar());
    return catalogues
        .current()
        .looseRange(read.herb(), read.part(), read.cut(), HerbState.DRIED)
        .times(share * jar.brimMl());
  }

  private static Part part(Herb herb, String typed) {
    return herb.parts().stream()
        .filter(p -> p.name().equalsIgnoreCase(typed))
        .findFirst()
        .orElse(herb.bestPart());
  }

  private static @Nullable Double ratioNumber(@Nullable String typed) {
    String plain = text(typed).replaceFirst("^1\\s*:\\s*", "");
    return plain.isEmpty() ? null : number(plain, 0.01, Ratio.MOST, "parts of oil to one of herb");
  }

  private static @Nullable Jar jar(String key, List<Jar> jars) {
    if (key.isEmpty()) {
      return null;
    }
    return jars.stream()
        .filter(j -> j.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new Refused("jar", "Choose one of the jars."));
  }

  private static Place place(String id, List<Place> places) {
    return places.stream()
        .filter(p -> p.id().toString().equals(id))
        .findFirst()
        .orElseThrow(() -> new Refused("place", "Choose where it is to stand."));
  }

  private static double number(String typed, double low, double high, String what) {
    double value;
    try {
      value = Double.parseDouble(typed.replace(',', '.').replaceFirst("\\s*mm$", ""));
    } catch (NumberFormatException e) {
      String shown = typed.length() > 40 ? typed.substring(0, 40) + "…" : typed;
      throw new Refused("", "“" + shown + "” is not a number of " + what + ".");
    }
    if (!(value >= low && value <= high)) {
      throw new Refused(
          "",
          "Between "
              + bound(low)
              + " and "
              + bound(high)
              + " "
              + what
              + "; "
              + typed
              + " was read.");
    }
    return value;
  }

  private static String bound(double value) {
    return velvetcrock.core.Figures.plain(value);
  }

  static <E extends Enum<E>> E named(Class<E> type, @Nullable String name, String field) {
    try {
      return Enum.valueOf(type, text(name).toUpperCase(Locale.ROOT));
    } catch (IllegalArgumentException e) {
      throw new Refused(field, "Choose one of the list.");
    }
  }

  private static boolean blank(@Nullable String text) {
    return text(text).isEmpty();
  }

  private static String text(@Nullable String text) {
    return text == null ? "" : text.strip();
  }

  /** Runs a step whose problems all belong to one field of the form. */
  private static <T> T keepField(String field, java.util.function.Supplier<T> step) {
    Problems problems = new Problems();
    T result = problems.attempt(field, step);
    problems.refuseIfAny();
    return java.util.Objects.requireNonNull(result);
  }

  private Charger charger() {
    return new Charger(catalogues.current());
  }
}
