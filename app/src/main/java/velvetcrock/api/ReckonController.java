package velvetcrock.api;

import static velvetcrock.core.Figures.plain;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import velvetcrock.api.Answers.CautionOut;
import velvetcrock.api.Answers.Line;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.Keeper;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.KeepingOrder;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Strainer;
import velvetcrock.core.yield.Yield;

/** The reckonings: computed, answered, not stored. */
@RestController
@RequestMapping("/api/v1/reckon")
@Tag(name = "reckon", description = "Computes and stores nothing; open to all.")
class ReckonController {
  private final Catalogue catalogue;
  private final Charger charger;
  private final Cautions cautions;

  ReckonController(Catalogue catalogue, Cautions cautions) {
    this.catalogue = catalogue;
    this.charger = new Charger(catalogue);
    this.cautions = cautions;
  }

  @PostMapping("/measure")
  @Operation(summary = "Reads an amount as cooks write it, in g and ml.")
  Answers.Measure measure(@RequestBody Requests.Measure request) {
    Reader reader = new Reader(catalogue);
    Kitchen kitchen = reader.choice("kitchen", Kitchen.class, request.kitchen(), Kitchen.US);
    String text = reader.need("text", request.text());
    Measure measure =
        text == null || kitchen == null
            ? null
            : reader.problems().attempt("text", () -> new MeasureReader(kitchen).read(text));
    Density density = density(request, reader);
    reader.problems().refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    Measure read = Objects.requireNonNull(measure);
    lines.line(
        "As read",
        "“" + read.text() + "”",
        read.amount(),
        read.isWeight() ? "g" : "ml",
        Standing.MEASURED);
    return read.isWeight() ? ofWeight(read, density, lines) : ofVolume(read, density, lines);
  }

  /** g per ml, usual and as a range. */
  private record Density(double usual, Range range) {}

  private static Answers.Measure ofWeight(
      Measure read, @Nullable Density density, Reckoning.Writer lines) {
    Range mass = read.amount();
    if (density == null) {
      return answer(mass.middle(), mass, null, null, lines);
    }
    Range volume =
        new Range(mass.low() / density.range().high(), mass.high() / density.range().low());
    lines.line("Volume", "÷ " + plain(density.usual()) + " g/ml", volume, "ml", Standing.TYPICAL);
    return answer(mass.middle(), mass, mass.middle() / density.usual(), volume, lines);
  }

  private static Answers.Measure ofVolume(
      Measure read, @Nullable Density density, Reckoning.Writer lines) {
    Range volume = read.amount();
    if (density == null) {
      return answer(null, null, volume.middle(), volume, lines);
    }
    Range mass =
        new Range(volume.low() * density.range().low(), volume.high() * density.range().high());
    lines.line("Weight", "× " + plain(density.usual()) + " g/ml", mass, "g", Standing.TYPICAL);
    return answer(volume.middle() * density.usual(), mass, volume.middle(), volume, lines);
  }

  private static Answers.Measure answer(
      @Nullable Double massG,
      @Nullable Range mass,
      @Nullable Double volumeMl,
      @Nullable Range volume,
      Reckoning.Writer lines) {
    return new Answers.Measure(
        massG,
        mass == null ? null : mass.low(),
        mass == null ? null : mass.high(),
        volumeMl,
        volume == null ? null : volume.low(),
        volume == null ? null : volume.high(),
        Line.of(lines.done()),
        List.of());
  }

  private @Nullable Density density(Requests.Measure request, Reader reader) {
    Requests.Of of = request.of();
    if (of == null) {
      return null;
    }
    double celsius = request.temperatureC() == null ? Carrier.ROOM_C : request.temperatureC();
    reader
        .problems()
        .require(celsius >= -20 && celsius <= 200, "temperatureC", "Between −20 and 200 °C.");
    if (of.carrier() != null) {
      Carrier carrier =
          reader.problems().attempt("of.carrier", () -> catalogue.carrier(of.carrier()));
      return carrier == null ? null : exactly(carrier.densityAt(celsius));
    }
    if (of.wax() != null) {
      Wax wax = reader.problems().attempt("of.wax", () -> catalogue.wax(of.wax()));
      boolean pellets = "pellets".equals(of.form());
      reader
          .problems()
          .require(
              pellets || of.form() == null || of.form().equals("solid"),
              "of.form",
              "pellets or solid.");
      return wax == null
          ? null
          : pellets
              ? new Density(wax.pelletDensity(), wax.pelletRange())
              : exactly(wax.densitySolid());
    }
    if (of.herb() == null) {
      reader.problems().add("of", "Name a carrier, a herb or a wax.");
      return null;
    }
    Herb herb = reader.problems().attempt("of.herb", () -> catalogue.herb(of.herb()));
    Cut cut = reader.choice("of.cut", Cut.class, of.cut(), Cut.CUT);
    HerbState state = reader.choice("of.state", HerbState.class, of.state(), HerbState.DRIED);
    Part part =
        reader.choice("of.part", Part.class, of.part(), herb == null ? Part.LEAF : herb.bestPart());
    return herb == null || cut == null || state == null || part == null
        ? null
        : new Density(
            catalogue.looseDensity(herb, part, cut, state),
            catalogue.looseRange(herb, part, cut, state));
  }

  private static Density exactly(double density) {
    return new Density(density, Range.exactly(density));
  }

  @PostMapping("/charge")
  @Operation(summary = "Oil for the herb, whether it covers, levels in the jar and the ways out.")
  Answers.Charge charge(@RequestBody Requests.Charge request) {
    Reader reader = new Reader(catalogue);
    List<HerbPortion> herbs = reader.herbs(request.herbs());
    CarrierBlend blend = reader.blend(request.carriers());
    Ratio ratio = ratio(request.ratio(), reader);
    Optional<Jar> jar = jar(request.jar(), reader);
    double cover = request.coverMm() == null ? ChargeOrder.USUAL_COVER_MM : request.coverMm();
    reader
        .problems()
        .require(
            cover >= 0 && cover <= 200,
            "coverMm",
            "Cover is between 0 and 200 mm; " + cover + " mm was read.");
    reader.problems().refuseIfAny();

    ChargeOrder order =
        new ChargeOrder(
            herbs, Objects.requireNonNull(blend), Objects.requireNonNull(ratio), jar, cover);
    Charge charge = charger.reckon(order);
    boolean warm = request.method() != null && !List.of("cold", "solar").contains(request.method());
    double infusesAtC = warm ? 45 : Carrier.ROOM_C;
    Light light = "solar".equals(request.method()) ? Light.WINDOW : Light.DARK;
    return new Answers.Charge(
        charge.oilMl(),
        charge.oilMassG(),
        charge.bedMl(),
        charge.voidMl(),
        charge.coverMl(),
        charge.coveringOilPerHerb(),
        charge.covers(),
        charge.topUpMl(),
        charge.waterMl(),
        charge.waterPercentOfOil(),
        charge.levels().map(l -> new Answers.Levels(l.bedMm(), l.oilMm(), l.brimMm())).orElse(null),
        charge.levels().map(Charge.Levels::fits).orElse(null),
        charge.waysOut().stream().map(ReckonController::way).toList(),
        Line.of(charge.reckoning()),
        CautionOut.of(cautions.forCharge(order, charge, Use.SKIN, light, infusesAtC)));
  }

  private static Answers.WayOut way(Charge.WayOut way) {
    if (way instanceof Charge.WayOut.FinerCut w) {
      String text =
          "Cut finer (" + Reader.word(w.cut()) + "): covers at 1:" + plain(w.oilPerHerb());
      return new Answers.WayOut(
          "finer-cut", text, w.oilPerHerb(), Reader.word(w.cut()), null, null);
    } else if (way instanceof Charge.WayOut.MoreOil w) {
      String text = "More oil: " + plain(w.oilMl()) + " ml, 1:" + plain(w.oilPerHerb());
      return new Answers.WayOut("more-oil", text, w.oilPerHerb(), null, null, null);
    } else if (way instanceof Charge.WayOut.NarrowerJar w) {
      String text = "A jar at most " + plain(w.innerDiameterMm()) + " mm wide inside";
      return new Answers.WayOut("narrower-jar", text, null, null, w.innerDiameterMm(), null);
    }
    Charge.WayOut.LessHerb w = (Charge.WayOut.LessHerb) way;
    String text = "Less herb: " + plain(w.herbMassG()) + " g for the same oil";
    return new Answers.WayOut("less-herb", text, w.oilPerHerb(), null, null, w.herbMassG());
  }

  private static @Nullable Ratio ratio(Requests.@Nullable RatioIn in, Reader reader) {
    if (in == null) {
      return reader.need("ratio", null);
    }
    if (in.oilMl() != null) {
      return reader.problems().attempt("ratio.oilMl", () -> new Ratio.Oil(in.oilMl()));
    }
    Double oilPerHerb = reader.need("ratio.oilPerHerb", in.oilPerHerb());
    String kind = in.kind() == null ? "w/v" : in.kind();
    if (!reader
            .problems()
            .require(
                kind.equals("w/v") || kind.equals("w/w"),
                "ratio.kind",
                "w/v or w/w; “" + kind + "” was read.")
        || oilPerHerb == null) {
      return null;
    }
    return reader
        .problems()
        .attempt(
            "ratio.oilPerHerb",
            () ->
                kind.equals("w/v")
                    ? new Ratio.WeightToVolume(oilPerHerb)
                    : new Ratio.WeightToWeight(oilPerHerb));
  }

  private static Optional<Jar> jar(Requests.@Nullable JarIn in, Reader reader) {
    if (in == null) {
      return Optional.empty();
    }
    Double brim = reader.need("jar.brimMl", in.brimMl());
    Double diameter = reader.need("jar.innerDiameterMm", in.innerDiameterMm());
    if (brim == null || diameter == null) {
      return Optional.empty();
    }
    return Optional.ofNullable(
        reader.problems().attempt("jar", () -> new Jar("jar", "Jar", brim, diameter)));
  }

  @PostMapping("/yield")
  @Operation(summary = "What should come out of the cloth.")
  Answers.Yield yield(@RequestBody Requests.Yield request) {
    Reader reader = new Reader(catalogue);
    List<HerbPortion> herbs = reader.herbs(request.herbs());
    Expression expression =
        reader.choice("expression", Expression.class, request.expression(), Expression.SQUEEZE);
    Double oilMl = reader.need("oilMl", request.oilMl());
    reader.problems().refuseIfAny();

    Yield yield =
        Strainer.predict(Objects.requireNonNull(oilMl), herbs, Objects.requireNonNull(expression));
    return new Answers.Yield(
        yield.yieldMl(),
        yield.rangeMl().low(),
        yield.rangeMl().high(),
        yield.keptByMarcMl(),
        yield.filmMl(),
        Line.of(yield.reckoning()),
        CautionOut.of(cautions.of(List.of("oily-cloth"))));
  }

  @PostMapping("/keeping")
  @Operation(
      summary = "Until when the oil is good, the rule that decided, and what would lengthen it.")
  Answers.Keeping keeping(@RequestBody Requests.Keeping request) {
    Reader reader = new Reader(catalogue);
    var chargedOn = reader.need("chargedOn", request.chargedOn());
    var strainedOn = reader.need("strainedOn", request.strainedOn());
    List<CarrierDates> carriers = reader.dated(request.carriers());
    HerbState state =
        reader.choice("herbState", HerbState.class, request.herbState(), HerbState.DRIED);
    Use use = reader.choice("use", Use.class, request.use(), Use.SKIN);
    Light light = reader.choice("light", Light.class, request.light(), Light.DARK);
    Trace trace = reader.trace(request.trace());
    Store store = store(request.store(), reader);
    reader.problems().refuseIfAny();

    Keeping keeping =
        Keeper.reckon(
            new KeepingOrder(
                chargedOn,
                strainedOn,
                carriers,
                state,
                Boolean.TRUE.equals(request.freeWater()),
                use,
                KeepingOrder.oneLeg(chargedOn, strainedOn, trace, light),
                List.of(),
                store));
    return new Answers.Keeping(
        keeping.bestBefore(),
        keeping.daysFromStraining(),
        Reader.word(keeping.decidedBy()),
        keeping.startDays(),
        keeping.spentDays(),
        keeping.legs().stream()
            .map(l -> new Answers.Leg(l.name(), l.days(), l.rate(), l.spentDays()))
            .toList(),
        keeping.lengthen().stream()
            .map(g -> new Answers.Gain(Reader.word(g.change()), g.days()))
            .toList(),
        Line.of(keeping.reckoning()),
        CautionOut.of(cautions.forKeeping(keeping, use)));
  }

  private static @Nullable Store store(Requests.@Nullable StoreIn in, Reader reader) {
    Requests.StoreIn sent = in == null ? new Requests.StoreIn(null, null, null, null) : in;
    Store.Place place =
        reader.choice("store.place", Store.Place.class, sent.place(), Store.Place.COOL);
    Store.Glass glass =
        reader.choice("store.glass", Store.Glass.class, sent.glass(), Store.Glass.AMBER);
    Store.Fill fill = reader.choice("store.fill", Store.Fill.class, sent.fill(), Store.Fill.FULL);
    Store.Antioxidant antioxidant =
        reader.choice(
            "store.antioxidant",
            Store.Antioxidant.class,
            sent.antioxidant(),
            Store.Antioxidant.NONE);
    return place == null || glass == null || fill == null || antioxidant == null
        ? null
        : new Store(place, glass, fill, antioxidant);
  }
}
