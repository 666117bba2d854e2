package velvetcrock.bench;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import velvetcrock.batch.Experience;
import velvetcrock.bench.WishReader.Bench;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Situation;
import velvetcrock.core.caution.Situation.Addition;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.Charge.WayOut;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.Fit;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotFacts;
import velvetcrock.core.jar.JarFacts;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Comparison;
import velvetcrock.core.outlook.PlanOrder;
import velvetcrock.core.outlook.Want;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;
import velvetcrock.core.yield.Strainer;
import velvetcrock.core.yield.Yield;
import velvetcrock.drawer.LotRecord;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.JarAtHand;
import velvetcrock.web.Typed;

/** Asks the core what the bench's sentence comes to. */
@Service
class Planner {
  /** The ways by heat, the gentlest first. */
  private static final List<Method> HEATS =
      List.of(Method.TWO_STAGE, Method.WARM, Method.CROCK, Method.SIMMER, Method.OVEN);

  /** Long enough for any way of drawing, so that comparing them is not about a day. */
  private static final int AMPLE_DAYS = 120;

  private final Catalogues catalogues;
  private final Cautions cautions;
  private final WishReader reader;
  private final Experience experience;

  Planner(Catalogues catalogues, Cautions cautions, WishReader reader, Experience experience) {
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.reader = reader;
    this.experience = experience;
  }

  /**
   * Works the sentence out.
   *
   * @param form completed
   * @param today the day it is in the household
   * @throws Refused at every field that cannot be read
   */
  Reckoned plan(BenchForm form, Bench bench, LocalDate today) {
    return plan(form, bench, today, 1);
  }

  /** The same for a share of herb and oil. */
  Reckoned plan(BenchForm form, Bench bench, LocalDate today, double share) {
    return plan(reader.read(form, bench).share(share), bench, today);
  }

  private Reckoned plan(Wish wish, Bench bench, LocalDate today) {
    Jar chosen = wish.jar();
    JarChoice choice =
        chosen != null
            ? JarChoice.one(chosen)
            : Typed.at(
                "amount",
                () ->
                    JarChoice.best(
                        bench.jars().stream()
                            .filter(JarAtHand::choosable)
                            .map(JarAtHand::free)
                            .toList(),
                        (jar, share) -> withSpirit(stands(order(wish, jar, share), wish), wish)));
    Jar jar = choice.jar();
    double share = choice.fills().get(0).share();
    ChargeOrder asked = Typed.at("ratio", () -> order(wish, jar, share));
    ChargeOrder order = stands(asked, wish);
    Charge charge = reckon(order);
    boolean ratioChosen =
        wish.oilPerHerb().ratio() != null
            || wish.oilMl().isPresent()
            || wish.oilPerHerb().ratioKind().equals("fill");
    boolean above = charge.oilPerHerb() > Charger.USUAL_OIL_PER_HERB + 1e-9;
    Expression expression = Strainer.usually(order.herbs());
    List<Retention.Own> own = experience.own();
    Yield yield = Strainer.predict(charge.oilMl(), order.herbs(), expression, own);
    Optional<SpiritStep> spirit = spirit(wish, order, charge);
    return new Reckoned(
        wish,
        choice,
        filled(wish, choice),
        order,
        charge,
        new Reckoned.Chosen(chosen != null, ratioChosen),
        above && !wish.blended() ? charger().cutForOneToFive(order) : Optional.empty(),
        narrower(charge, order, bench.jars()),
        new Reckoned.Expected(yield, learnedFrom(order, expression, own)),
        spirit,
        new Reckoned.Beside(
            spirit.isPresent()
                ? compared(wish, yield, charge, List.of(Method.COLD, Method.SPIRIT), today)
                : Optional.empty(),
            onTheHeat(wish.method())
                ? compared(wish, yield, charge, HEATS, today)
                : Optional.empty()),
        cautions(wish, order, charge, spirit, today));
  }

  /** From how many of the household's own batches the yield was learned. */
  private static int learnedFrom(
      ChargeOrder order, Expression expression, List<Retention.Own> own) {
    return order.herbs().stream()
        .mapToInt(h -> Retention.of(h.part(), expression, own).batches())
        .max()
        .orElse(0);
  }

  /** What is measured out for a vessel with its share of the herb. */
  private ChargeOrder order(Wish wish, Jar jar, double share) {
    List<HerbPortion> portions =
        wish.portions().stream().map(h -> h.withMassG(h.massG() * share)).toList();
    ChargeOrder blank =
        new ChargeOrder(
            portions,
            wish.blend(),
            new Ratio.WeightToVolume(Charger.USUAL_OIL_PER_HERB),
            Optional.of(jar),
            wish.coverMm());
    return blank.withRatio(ratio(wish, portions, jar, share, blank));
  }

  private ChargeOrder stands(ChargeOrder measured, Wish wish) {
    return wish.blended() ? measured.blended() : measured;
  }

  private Ratio ratio(
      Wish wish, List<HerbPortion> portions, Jar jar, double share, ChargeOrder blank) {
    if (wish.oilMl().isPresent()) {
      return new Ratio.Oil(wish.oilMl().get().middle() * share);
    }
    if (wish.oilPerHerb().ratioKind().equals("fill")) {
      return new Ratio.Oil(charger().oilToFillMl(portions, jar));
    }
    Double typed = wish.oilPerHerb().ratio();
    if (typed == null) {
      return new Ratio.WeightToVolume(charger().defaultOilPerHerb(stands(blank, wish)));
    }
    if (wish.oilPerHerb().ratioKind().equals("volume")) {
      double herbMl =
          portions.stream()
              .mapToDouble(
                  h -> h.massG() / catalogue().looseDensity(h.herb(), h.part(), h.cut(), h.state()))
              .sum();
      return new Ratio.Oil(typed * herbMl);
    }
    return wish.oilPerHerb().ratioKind().equals("mass")
        ? new Ratio.WeightToWeight(typed)
        : new Ratio.WeightToVolume(typed);
  }

  private List<Reckoned.Filled> filled(Wish wish, JarChoice choice) {
    Map<JarChoice.Fill, Range> once = new HashMap<>();
    return choice.fills().stream()
        .map(
            f ->
                new Reckoned.Filled(
                    f.jar(), f.share(), once.computeIfAbsent(f, fill -> poured(wish, fill))))
        .toList();
  }

  private Range poured(Wish wish, JarChoice.Fill fill) {
    return wish.oilMl()
        .map(ml -> ml.times(fill.share()))
        .orElseGet(() -> Range.exactly(reckon(order(wish, fill.jar(), fill.share())).oilMl()));
  }

  private Optional<Jar> narrower(Charge charge, ChargeOrder order, List<JarAtHand> jars) {
    return charge.waysOut().stream()
        .filter(WayOut.NarrowerJar.class::isInstance)
        .map(WayOut.NarrowerJar.class::cast)
        .findFirst()
        .flatMap(
            way ->
                jars.stream()
                    .filter(JarAtHand::choosable)
                    .filter(at -> at.free().count() > 0)
                    .map(JarAtHand::jar)
                    .filter(jar -> jar.innerDiameterMm() <= way.innerDiameterMm())
                    .filter(jar -> charger().fit(order.withJar(jar)).fits())
                    .findFirst());
  }

  /**
   * What a vessel has to hold at its fullest: oil, and the spirit that is in the herb before it.
   */
  private Fit withSpirit(ChargeOrder order, Wish wish) {
    if (wish.spirit().isEmpty()) {
      return charger().fit(order);
    }
    Charge charge = reckon(order);
    return spirit(wish, order, charge)
        .map(step -> order.withRatio(new Ratio.Oil(charge.oilMl() + step.spiritMl())))
        .map(charger()::fit)
        .orElseThrow();
  }

  private static Optional<SpiritStep> spirit(Wish wish, ChargeOrder order, Charge charge) {
    return wish.spirit()
        .map(
            s ->
                Typed.at(
                    "dose",
                    () ->
                        SpiritStep.of(
                            order.herbMassG(), s.dose(), s.abvPercent(), charge.oilMassG())));
  }

  /** The first herb without spirit in the dark, and with it. */
  private static boolean onTheHeat(Method method) {
    return method.heated() || method == Method.TWO_STAGE;
  }

  private Optional<Comparison> compared(
      Wish wish, Yield yield, Charge charge, List<Method> methods, LocalDate today) {
    HerbPortion herb = wish.portions().get(0);
    List<CarrierDates> carriers =
        wish.oils().stream()
            .map(
                o ->
                    o.lot()
                        .map(l -> l.lot().dates(catalogue(), o.share()))
                        .orElseGet(
                            () -> new CarrierDates(o.carrier(), o.share(), null, null, null)))
            .toList();
    try {
      return Optional.of(
          Comparison.of(
              new PlanOrder(
                  new Want.Oil(Math.max(1, yield.yieldMl())),
                  today.plusDays(AMPLE_DAYS),
                  herb.herb(),
                  herb.part(),
                  herb.state(),
                  herb.cut(),
                  carriers,
                  methods,
                  OptionalDouble.of(charge.oilPerHerb()),
                  wish.purpose(),
                  today),
              catalogue(),
              cautions,
              experience.own()));
    } catch (Refused refused) {
      return Optional.empty(); // what is refused there is said by the cautions here
    }
  }

  private List<Caution> cautions(
      Wish wish, ChargeOrder order, Charge charge, Optional<SpiritStep> spirit, LocalDate today) {
    Set<Addition> additions = EnumSet.noneOf(Addition.class);
    if (wish.blended()) {
      additions.add(Addition.BLENDING);
    }
    spirit.ifPresent(
        step -> {
          boolean weak = wish.spirit().orElseThrow().abvPercent() < SpiritStep.WEAK_ABV;
          additions.add(weak ? Addition.WEAK_SPIRIT : Addition.SPIRIT);
          if (step.waterPercentOfOil() > Charge.WATER_OIL_CAN_HOLD_PERCENT) {
            additions.add(Addition.SPIRIT_WATER);
          }
        });
    List<Caution> due =
        cautions.forPlan(
            new Situation(
                order, charge, wish.purpose(), wish.place().light(), wish.drawsAtC(), additions));
    List<Caution> all =
        cautions.together(due, cautions.of(LotFacts.of(lots(wish).toList(), catalogue(), today)));
    return wish.earlier()
        .map(
            earlier ->
                cautions.together(
                    all, cautions.of(JarFacts.again(earlier, catalogue(), wish.purpose()))))
        .orElse(all);
  }

  private static Stream<Lot> lots(Wish wish) {
    return Stream.concat(
            wish.herbs().stream().flatMap(h -> h.lot().stream()),
            wish.oils().stream().flatMap(o -> o.lot().stream()))
        .map(LotRecord::lot);
  }

  private Charge reckon(ChargeOrder order) {
    return charger().reckon(order);
  }

  private Charger charger() {
    return new Charger(catalogue());
  }

  private Catalogue catalogue() {
    return catalogues.current();
  }
}
