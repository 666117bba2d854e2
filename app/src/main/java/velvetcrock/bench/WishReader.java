package velvetcrock.bench;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import velvetcrock.batch.EarlierOils;
import velvetcrock.bench.BenchForm.HerbRow;
import velvetcrock.bench.BenchForm.OilRow;
import velvetcrock.bench.Wish.InHerb;
import velvetcrock.bench.Wish.InOil;
import velvetcrock.bench.Wish.InSpirit;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.charge.ByEye;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Level;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.measure.CrossCheck;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Lengths;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.RatioText;
import velvetcrock.core.measure.Rows;
import velvetcrock.core.measure.Units;
import velvetcrock.core.moisture.Moisture;
import velvetcrock.core.spirit.SpiritDose;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotRecord;
import velvetcrock.kitchen.Appliances;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.JarAtHand;
import velvetcrock.kitchen.Place;
import velvetcrock.web.Typed;

/** Reads the bench's sentence, with the lots that it means. */
@Service
class WishReader {
  private static final double LEAST_PARTS = 0.001;
  private static final double MOST_PARTS = 100_000;
  private static final double WETTEST_PERCENT = 97;
  private static final double IN_ALL_WITHIN = 1.12;
  private static final double MOST_COVER_MM = 200;

  private static final Measure OPEN = new Measure(Measure.Kind.PARTS, Range.exactly(1), "");

  private final Catalogues catalogues;
  private final Drawer drawer;
  private final EarlierOils earlierOils;
  private final Households households;

  WishReader(Catalogues catalogues, Drawer drawer, EarlierOils earlierOils, Households households) {
    this.catalogues = catalogues;
    this.drawer = drawer;
    this.earlierOils = earlierOils;
    this.households = households;
  }

  /** The things of the household that a sentence can name. */
  record Bench(
      Units units, List<JarAtHand> jars, List<Place> places, List<Appliances.Owned> appliances) {
    Kitchen kitchen() {
      return units.kitchen();
    }
  }

  /** A herb whose amount is still to be found. */
  private record Kindred(Herb herb, Part part, Cut cut, HerbState state, Optional<LotRecord> lot) {}

  /**
   * Reads the sentence.
   *
   * @param form completed
   * @throws Refused at every field that cannot be read
   */
  Wish read(BenchForm form, Bench bench) {
    Problems problems = new Problems();
    List<HerbRow> rows = Objects.requireNonNull(form.herbs());
    List<Kindred> herbs = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      HerbRow row = rows.get(i);
      Kindred herb = problems.attempt("herbs[" + i + "]", () -> kindred(row));
      herbs.add(herb);
    }
    OilsSaid said = oils(Objects.requireNonNull(form.oils()), bench, problems);
    String code = Typed.text(form.from().earlier());
    Optional<EarlierOils.Found> earlier =
        code.isEmpty()
            ? Optional.empty()
            : Optional.ofNullable(
                problems.attempt(
                    "earlier",
                    () -> earlierOils.find(code, households.today(households.current()))));
    Purpose purpose = problems.attempt("use", () -> Typed.named(Purpose.class, form.use(), "use"));
    String kind = Typed.text(form.per().ratioKind());
    problems.require(
        List.of("weight", "mass", "volume", "fill").contains(kind),
        "ratioKind",
        "By weight to volume, by weight, by volume or by filling a jar.");
    Double ratio = problems.attempt("ratio", () -> ratio(form.per().ratio()));
    Jar jar = problems.attempt("jar", () -> jar(Typed.text(form.stand().jar()), bench.jars()));
    problems.require(!kind.equals("fill") || jar != null, "jar", "Choose the jar to be filled.");
    problems.require(
        !said.toAPlace() || jar != null, "jar", "Choose the jar that is to be so full.");
    Double cover =
        problems.attempt("cover", () -> cover(Typed.text(form.stand().cover()), bench.units()));
    Place place =
        problems.attempt("place", () -> place(Typed.text(form.stand().place()), bench.places()));
    boolean byEye = kind.equals("fill") && Typed.blank(form.amount());
    Rows each = rows.size() > 1 && !byEye ? problems.attempt(() -> herbRows(rows, bench)) : null;
    boolean amountEach = each != null && each.amounts();
    problems.require(
        !Typed.blank(form.amount()) || byEye || amountEach,
        "amount",
        "Say how much herb you have, such as 60 g or 2 cups.");
    problems.refuseIfAny();

    Method method =
        Typed.blank(form.method())
            ? place.method()
            : Typed.named(Method.class, form.method(), "method");
    Optional<ByEye> eye =
        byEye ? Optional.of(byEye(form, herbs, Objects.requireNonNull(jar))) : Optional.empty();
    List<Range> masses = eye.map(ByEye::eachG).orElseGet(() -> masses(form, herbs, bench, each));
    if (kind.equals("fill") && eye.isEmpty()) {
      agreesWithJar(form, herbs, masses, Objects.requireNonNull(jar));
    }
    List<InHerb> in = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      in.add(portion(rows.get(i), i, herbs.get(i), masses.get(i), form, bench));
    }
    OilsSaid poured = said.upTo(jar, in);
    return new Wish(
        in,
        earlier.map(this::again).orElse(poured.oils()),
        eye.map(ByEye::oilMl).or(() -> kind.equals("fill") ? Optional.empty() : poured.ml()),
        new Wish.OilPerHerb(kind, ratio),
        jar,
        said.aboveMm().orElse(cover),
        place,
        purpose,
        method,
        !Typed.blank(form.slurry()),
        method == Method.SPIRIT ? Optional.of(spirit(form, in, bench)) : Optional.empty(),
        new Wish.From(
            Typed.text(form.from().again()),
            earlier.map(EarlierOils.Found::earlier),
            earlier.map(EarlierOils.Found::leftMl).orElse(0.0)));
  }

  private Kindred kindred(HerbRow row) {
    Herb herb = catalogue().herb(Typed.text(row.herb()));
    HerbState state = Typed.named(HerbState.class, row.state(), "state");
    Optional<LotRecord> lot = lot(Kind.HERB, herb.key(), state, Typed.text(row.lot()));
    return new Kindred(
        herb,
        lot.map(l -> l.lot().details().plant().part())
            .orElseGet(
                () ->
                    Typed.text(row.partOf()).isEmpty() || herb.key().equals(row.partOf())
                        ? part(herb, Typed.text(row.part()))
                        : herb.bestPart()),
        Typed.named(Cut.class, row.cut(), "cut"),
        state,
        lot);
  }

  private List<InOil> again(EarlierOils.Found found) {
    return found.carriers().stream()
        .map(c -> new InOil(catalogue().carrier(c.carrier()), c.share(), Optional.empty()))
        .toList();
  }

  /**
   * The oils.
   *
   * @param ml how much there is in all, where amounts were said
   * @param level how high the one at {@code levelAt} is to stand, where that was said of one
   */
  private record OilsSaid(
      List<InOil> oils, Optional<Range> ml, Optional<Level> level, int levelAt) {
    static final OilsSaid NONE = new OilsSaid(List.of(), Optional.empty(), Optional.empty(), 0);

    /** Whether the jar decides how much it is. */
    boolean toAPlace() {
      return level.isPresent() && level.get().share().isPresent();
    }

    /** How far above the herb it is to stand, mm, where that was said. */
    Optional<Double> aboveMm() {
      return level.filter(l -> l.aboveMm().isPresent()).map(l -> l.aboveMm().getAsDouble());
    }

    /** The same with what fills the jar so far, once it is known what lies in it. */
    OilsSaid upTo(@Nullable Jar jar, List<InHerb> herbs) {
      if (!toAPlace() || jar == null) {
        return this;
      }
      double full = level.orElseThrow().share().getAsDouble() * jar.brimMl();
      Range solids = Range.exactly(0);
      for (InHerb herb : herbs) {
        solids =
            solids.plus(
                new Range(
                    herb.portion().withMassG(herb.massG().low()).solidsMl(),
                    herb.portion().withMassG(herb.massG().high()).solidsMl()));
      }
      Range all = new Range(full - solids.high(), full - solids.low());
      double rest = all.middle() - ml.map(Range::middle).orElse(0.0);
      if (all.low() <= 0 || rest <= 0) {
        throw new Refused(
            "oils[" + levelAt + "]",
            "The jar is so full without it already. Take a larger jar, or less of the others.");
      }
      List<InOil> filled = new ArrayList<>(oils);
      InOil open = filled.get(levelAt);
      filled.set(levelAt, new InOil(open.carrier(), rest, open.lot()));
      return new OilsSaid(filled, Optional.of(all), level, levelAt);
    }
  }

  private OilsSaid oils(List<OilRow> rows, Bench bench, Problems problems) {
    List<Carrier> carriers = new ArrayList<>();
    List<String> typed = new ArrayList<>();
    List<Integer> rowOf = new ArrayList<>();
    Optional<Level> level = Optional.empty();
    int levelAt = 0;
    for (int i = 0; i < rows.size(); i++) {
      String key = Typed.text(rows.get(i).carrier());
      carriers.add(problems.attempt("oils[" + i + "]", () -> catalogue().carrier(key)));
      String amount = Typed.text(rows.get(i).share());
      Optional<Level> high = Level.of(amount, bench.units().lengths());
      boolean second = high.isPresent() && level.isPresent();
      boolean depthOfSeveral = rows.size() > 1 && high.flatMap(WishReader::depth).isPresent();
      problems.require(
          !second && !depthOfSeveral,
          "oils[" + i + "]",
          "How high it stands can be said of one oil alone. Give each an amount, or parts.");
      if (high.isPresent()) {
        level = high;
        levelAt = i;
      }
      if (high.isEmpty()) {
        typed.add(amount);
        rowOf.add(i);
      }
    }
    if (typed.isEmpty()) {
      typed.add("");
      rowOf.add(levelAt);
    }
    Rows said =
        problems.attempt(
            () -> Rows.read(typed, bench.kitchen(), i -> "oils[" + rowOf.get(i) + "]"));
    if (said == null || carriers.contains(null)) {
      return OilsSaid.NONE;
    }
    return oils(rows, carriers, said, new Open(level, levelAt), bench, problems);
  }

  /** The oil of which it was said how high it stands, if of any. */
  private record Open(Optional<Level> level, int at) {
    boolean is(int row) {
      return level.isPresent() && at == row;
    }
  }

  private static Optional<Double> depth(Level level) {
    return level.aboveMm().isPresent()
        ? Optional.of(level.aboveMm().getAsDouble())
        : Optional.empty();
  }

  private OilsSaid oils(
      List<OilRow> rows,
      List<Carrier> carriers,
      Rows said,
      Open open,
      Bench bench,
      Problems problems) {
    List<InOil> oils = new ArrayList<>();
    Range all = Range.exactly(0);
    Iterator<Measure> measures = said.each().iterator();
    for (int i = 0; i < rows.size(); i++) {
      Carrier carrier = carriers.get(i);
      Measure measure = open.is(i) ? OPEN : measures.next();
      Range ml =
          open.is(i)
              ? Range.exactly(1)
              : said.parts()
                  ? measure.amount()
                  : problems.attempt(
                      "oils[" + i + "]", () -> Amounts.oilMl(measure, bench.kitchen(), carrier));
      if (ml != null) {
        all = open.is(i) ? all : all.plus(ml);
        oils.add(
            new InOil(
                carrier,
                ml.middle(),
                lot(Kind.CARRIER, carrier.key(), null, Typed.text(rows.get(i).lot()))));
      }
    }
    boolean amounts = !said.parts() && all.high() > 0;
    return new OilsSaid(
        oils, amounts ? Optional.of(all) : Optional.empty(), open.level(), open.at());
  }

  private static Rows herbRows(List<HerbRow> rows, Bench bench) {
    return Rows.read(
        rows.stream().map(r -> Typed.text(r.parts())).toList(),
        bench.kitchen(),
        i -> "herbs[" + i + "].parts");
  }

  private Optional<LotRecord> lot(
      Kind kind, String thing, @Nullable HerbState state, String named) {
    return named.equals(BenchForm.NO_LOT)
        ? Optional.empty()
        : drawer.meant(kind, thing, state, named);
  }

  private InSpirit spirit(BenchForm form, List<InHerb> herbs, Bench bench) {
    Optional<LotRecord> lot = lot(Kind.SPIRIT, "", null, Typed.text(form.spirit().spiritLot()));
    double abv =
        lot.map(l -> Objects.requireNonNull(l.lot().details().abvPercent()))
            .orElseGet(
                () -> Typed.at("abv", () -> Typed.number(form.spirit().abv(), 20, 100, "% vol")));
    double herbG = herbs.stream().mapToDouble(h -> h.massG().middle()).sum();
    double dose =
        Typed.at("dose", () -> SpiritDose.read(form.spirit().dose(), bench.kitchen(), abv, herbG));
    return new InSpirit(abv, dose, lot);
  }

  /** What each herb weighs: by its own amount, or its part of them all. */
  private List<Range> masses(
      BenchForm form, List<Kindred> herbs, Bench bench, @Nullable Rows each) {
    if (each == null) {
      Measure alone =
          Typed.at(
              "amount",
              () -> new MeasureReader(bench.kitchen()).readAny(Typed.text(form.amount())));
      return List.of(grams("amount", alone, form, 0, herbs.get(0), bench));
    }
    if (each.amounts()) {
      List<Range> grams = new ArrayList<>();
      for (int i = 0; i < herbs.size(); i++) {
        Measure measure = each.each().get(i);
        grams.add(grams("herbs[" + i + "].parts", measure, form, i, herbs.get(i), bench));
      }
      agreesInAll(form, grams, bench);
      return grams;
    }
    double all = each.each().stream().mapToDouble(m -> m.amount().middle()).sum();
    Measure total =
        Typed.at(
            "amount", () -> new MeasureReader(bench.kitchen()).read(Typed.text(form.amount())));
    List<Range> grams = new ArrayList<>();
    for (int i = 0; i < herbs.size(); i++) {
      double share = each.each().get(i).amount().middle() / all;
      grams.add(grams("amount", total.times(share, total.text()), form, i, herbs.get(i), bench));
    }
    return grams;
  }

  /** What is typed in all is what the herbs add up to, where each has its own amount. */
  private static void agreesInAll(BenchForm form, List<Range> grams, Bench bench) {
    if (Typed.blank(form.amount())) {
      return;
    }
    Range sum = grams.stream().reduce(Range.exactly(0), Range::plus);
    Typed.at(
        "amount",
        () -> {
          Measure total = new MeasureReader(bench.kitchen()).read(Typed.text(form.amount()));
          boolean apart =
              total.isWeight()
                  && (total.amount().low() > sum.high() * IN_ALL_WITHIN
                      || total.amount().high() * IN_ALL_WITHIN < sum.low());
          if (apart) {
            throw new Refused(
                "",
                "The herbs add up to about "
                    + Math.round(sum.middle())
                    + " g, and “"
                    + total.text()
                    + "” stands there in all. Leave that empty, or change one of them.");
          }
          return total;
        });
  }

  private Range grams(
      String field, Measure measure, BenchForm form, int index, Kindred herb, Bench bench) {
    HerbRow row = Objects.requireNonNull(form.herbs()).get(index);
    Cut measured =
        Typed.blank(row.measuredAs())
            ? herb.cut()
            : Typed.named(Cut.class, row.measuredAs(), "herbs[" + index + "].measuredAs");
    return Typed.at(
        field,
        () ->
            Amounts.herbMassG(
                measure,
                bench.kitchen(),
                new Amounts.Lying(herb.herb(), herb.part(), measured, herb.state()),
                catalogue()));
  }

  private CrossCheck.Substance substance(Kindred herb) {
    return Amounts.loose(herb.herb(), herb.part(), herb.cut(), herb.state(), catalogue());
  }

  private ByEye byEye(BenchForm form, List<Kindred> herbs, Jar jar) {
    List<HerbRow> rows = Objects.requireNonNull(form.herbs());
    double herbShare = share("herbFill", form.fill().herbFill());
    double fillShare = share("oilFill", form.fill().oilFill());
    ByEye.Packing packing =
        Typed.at(
            "packing", () -> Typed.named(ByEye.Packing.class, form.fill().packing(), "packing"));
    List<ByEye.Filling> fillings = new ArrayList<>();
    for (int i = 0; i < herbs.size(); i++) {
      Kindred h = herbs.get(i);
      String typed = rows.get(i).parts();
      double parts =
          Typed.at(
              "herbs[" + i + "].parts",
              () -> Typed.number(typed, LEAST_PARTS, MOST_PARTS, "parts"));
      fillings.add(new ByEye.Filling(h.herb(), h.part(), h.cut(), h.state(), parts));
    }
    return Typed.at(
        "oilFill", () -> ByEye.ofShares(jar, fillings, packing, herbShare, fillShare, catalogue()));
  }

  private static double share(String field, @Nullable String typed) {
    return Typed.at(field, () -> Typed.number(typed, 0.05, 1, "share of the jar"));
  }

  /** Where the herb is weighed and the jar is said to be so full, the two have to agree. */
  private void agreesWithJar(BenchForm form, List<Kindred> herbs, List<Range> masses, Jar jar) {
    if (herbs.size() > 1) {
      return;
    }
    double ml = share("herbFill", form.fill().herbFill()) * jar.brimMl();
    Typed.at(
        "amount",
        () -> {
          CrossCheck check =
              CrossCheck.of(
                  masses.get(0).middle() + " g",
                  ml + " ml",
                  Kitchen.METRIC,
                  substance(herbs.get(0)));
          check.refuseIfApart();
          return check;
        });
  }

  private InHerb portion(
      HerbRow row, int index, Kindred herb, Range massG, BenchForm form, Bench bench) {
    String at = "herbs[" + index + "].";
    double water = water(row, at, herb, massG.middle(), bench);
    HerbPortion portion =
        Typed.at(
            "amount",
            () ->
                new HerbPortion(
                    herb.herb(), herb.part(), herb.cut(), herb.state(), massG.middle(), water));
    boolean alone = Objects.requireNonNull(form.herbs()).size() == 1;
    return new InHerb(portion, massG, Typed.text(alone ? form.amount() : row.parts()), herb.lot());
  }

  /**
   * The water that goes in with a herb: as typed, from its weight when fresh, its lot's own, or
   * what is usual; and what clings to it from rinsing.
   */
  private double water(HerbRow row, String at, Kindred herb, double massG, Bench bench) {
    MeasureReader reader = new MeasureReader(bench.kitchen());
    double water =
        herb.lot()
            .map(l -> l.lot().waterFraction(catalogue()))
            .orElse(herb.herb().waterFraction(herb.state()));
    double unrinsedG =
        Typed.blank(row.unrinsed())
            ? massG
            : Typed.at(at + "unrinsed", () -> weighed(reader, Typed.text(row.unrinsed())));
    if (!Typed.blank(row.water())) {
      water =
          Typed.at(at + "water", () -> Typed.number(row.water(), 0, WETTEST_PERCENT, "% of water"))
              / 100;
    } else if (!Typed.blank(row.fresh()) && herb.state() == HerbState.WILTED) {
      double dryMatter =
          Typed.at(at + "fresh", () -> weighed(reader, Typed.text(row.fresh())))
              * (1 - herb.herb().waterFresh());
      water = Typed.at(at + "fresh", () -> Moisture.fractionOf(dryMatter, unrinsedG));
    }
    if (unrinsedG == massG) {
      return water;
    }
    double before = water;
    return Typed.at(at + "unrinsed", () -> Moisture.rinsed(unrinsedG, before, massG));
  }

  private static double weighed(MeasureReader reader, String text) {
    Measure measure = reader.read(text);
    if (!measure.isWeight()) {
      throw new Refused("", "“" + text + "” is no weight: weigh it.");
    }
    return measure.amount().middle();
  }

  private static Part part(Herb herb, String typed) {
    return herb.parts().stream()
        .filter(p -> p.name().equalsIgnoreCase(typed))
        .findFirst()
        .orElse(herb.bestPart());
  }

  private static @Nullable Double ratio(@Nullable String typed) {
    return Typed.blank(typed) ? null : RatioText.read(Typed.text(typed), Ratio.MOST);
  }

  /** Oil above the herb, mm: what is usual where nothing is said. */
  private static double cover(String typed, Units units) {
    if (typed.isEmpty()) {
      return ChargeOrder.USUAL_COVER_MM;
    }
    if (typed.equals("0")) {
      return 0;
    }
    double mm = Lengths.mm(typed, units.lengths().small());
    if (mm > MOST_COVER_MM) {
      throw new Refused("", "Between 0 and 200 mm of cover; “" + typed + "” was read.");
    }
    return mm;
  }

  private static @Nullable Jar jar(String key, List<JarAtHand> jars) {
    if (key.isEmpty()) {
      return null;
    }
    return jars.stream()
        .map(JarAtHand::jar)
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

  private Catalogue catalogue() {
    return catalogues.current();
  }
}
