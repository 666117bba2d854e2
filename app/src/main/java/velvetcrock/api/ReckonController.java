package velvetcrock.api;

import static velvetcrock.core.Figures.plain;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import velvetcrock.api.Answers.CautionOut;
import velvetcrock.api.Answers.Line;
import velvetcrock.core.batch.Observations;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.caution.Situation;
import velvetcrock.core.caution.Situation.Addition;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.jar.JarFacts;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.Keeper;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.KeepingOrder;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.yield.Balance;
import velvetcrock.core.yield.Balance.Weighed;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Strainer;
import velvetcrock.core.yield.Yield;
import velvetcrock.kitchen.Catalogues;

/** A jar and its oil: charge, yield, balance, keeping. Computed, answered, not stored. */
@RestController
@RequestMapping("/api/v1/reckon")
@Tag(name = "reckon", description = "Computes and stores nothing; open to all.")
class ReckonController {
  private final Catalogues catalogues;
  private final Cautions cautions;

  ReckonController(Catalogues catalogues, Cautions cautions) {
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  @PostMapping("/charge")
  @Operation(summary = "Oil for the herb, whether it covers, levels in the jar and the ways out.")
  Answers.Charge charge(@RequestBody Requests.Charge request) {
    Reader reader = new Reader(catalogues.current());
    List<HerbPortion> herbs = reader.herbs(request.herbs());
    CarrierBlend blend = reader.blend(request.carriers());
    Ratio ratio =
        request.ratio() == null && Reader.byAmount(request.carriers())
            ? reader.oil(request.carriers())
            : ratio(request.ratio(), reader);
    Optional<Jar> jar = jar(request.jar(), reader);
    Method method = reader.method("method", request.method(), Method.COLD);
    Purpose purpose = reader.choice("use", Purpose.class, request.use(), Purpose.SKIN);
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
    Charge charge = new Charger(catalogues.current()).reckon(order);
    Light light = method == Method.SOLAR ? Light.WINDOW : Light.DARK;
    Set<Addition> additions =
        method == Method.SPIRIT ? Set.of(Addition.SPIRIT) : Set.<Addition>of();
    Situation situation =
        new Situation(
            order,
            charge,
            Objects.requireNonNull(purpose),
            light,
            Objects.requireNonNull(method).celsius(),
            additions);
    return new Answers.Charge(
        new Answers.Charge.PouredOil(charge.oilMl(), charge.oilMassG(), charge.oilPerHerb()),
        new Answers.Charge.Room(
            charge.room().bedMl(),
            charge.room().voidMl(),
            charge.room().coverMl(),
            Reader.boxed(order.carriers().setsNearC())),
        charge.coveringOilPerHerb(),
        charge.covers(),
        charge.topUpMl(),
        new Answers.Charge.Water(charge.water().waterMl(), charge.water().waterPercentOfOil()),
        charge.levels().map(l -> new Answers.Levels(l.bedMm(), l.oilMm(), l.brimMm())).orElse(null),
        charge.levels().map(Charge.Levels::fits).orElse(null),
        charge.waysOut().stream().map(ReckonController::way).toList(),
        Line.of(charge.reckoning()),
        CautionOut.of(cautions.forPlan(situation)));
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
    Reader reader = new Reader(catalogues.current());
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
        CautionOut.of(cautions.of(JarFacts.strained(Observations.none()))));
  }

  @PostMapping("/balance")
  @Operation(summary = "Where every gram went, and likely causes of a gap.")
  Answers.Balance balance(@RequestBody Requests.Balance request) {
    Reader reader = new Reader(catalogues.current());
    List<Weighed> in = reader.weighed("in", request.in());
    List<Weighed> out = reader.weighed("out", request.out());
    reader.problems().refuseIfAny();

    double drivenOffG = request.drivenOffG() == null ? 0 : request.drivenOffG();
    Balance balance = Balance.of(in, out, drivenOffG);
    return new Answers.Balance(
        balance.inG(),
        balance.outG(),
        balance.unaccountedG(),
        balance.closes(),
        balance.causes(),
        Line.of(balance.reckoning()),
        List.of());
  }

  @PostMapping("/keeping")
  @Operation(
      summary = "Until when the oil is good, the rule that decided, and what would lengthen it.")
  Answers.Keeping keeping(@RequestBody Requests.Keeping request) {
    Reader reader = new Reader(catalogues.current());
    var chargedOn = reader.need("chargedOn", reader.date("chargedOn", request.chargedOn()));
    var strainedOn = reader.need("strainedOn", reader.date("strainedOn", request.strainedOn()));
    List<CarrierDates> carriers = reader.dated(request.carriers(), chargedOn);
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
                request.freeWater() == null ? state != HerbState.DRIED : request.freeWater(),
                use,
                KeepingOrder.oneLeg(chargedOn, strainedOn, trace, light),
                List.of(),
                store));
    return new Answers.Keeping(
        keeping.bestBefore(),
        new Answers.Span(keeping.earliest(), keeping.latest()),
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
