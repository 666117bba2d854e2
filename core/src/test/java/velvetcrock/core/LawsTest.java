package velvetcrock.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Keeper;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.keeping.KeepingOrder;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Formula;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.EssentialOil;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.moisture.Evaporation;
import velvetcrock.core.moisture.Moisture;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.core.yield.Balance;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Strainer;
import velvetcrock.core.yield.Yield;

/**
 * What holds of every reckoning, whatever goes in: twice of everything is twice of everything, the
 * order in which things are named changes nothing, a time may be cut anywhere, and every figure
 * lies within its ends.
 */
class LawsTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate DAY = LocalDate.of(2026, 6, 1);

  private static Offset<Double> near(double value) {
    return within(1e-9 * Math.max(1, Math.abs(value)));
  }

  private static <T> T pick(Random random, java.util.Collection<T> all) {
    return List.copyOf(all).get(random.nextInt(all.size()));
  }

  private static HerbPortion portion(Random random) {
    Herb herb = pick(random, CATALOGUE.herbs());
    HerbState state = HerbState.values()[random.nextInt(3)];
    Cut cut = Cut.values()[random.nextInt(4)];
    return HerbPortion.usual(herb, herb.bestPart(), cut, state, 5 + random.nextInt(200));
  }

  private static Trace trace(Random random, int points) {
    List<Trace.Point> trace = new ArrayList<>();
    double hours = 0;
    for (int i = 0; i < points; i++) {
      trace.add(new Trace.Point(hours, 5 + 90 * random.nextDouble()));
      hours += 0.05 + 0.44 * random.nextDouble();
    }
    return new Trace(trace);
  }

  /** The same trace with one more point on its line. */
  private static Trace withPoint(Trace trace, Random random) {
    List<Trace.Point> points = new ArrayList<>(trace.points());
    int at = 1 + random.nextInt(points.size() - 1);
    Trace.Point from = points.get(at - 1);
    Trace.Point to = points.get(at);
    double share = 0.1 + 0.8 * random.nextDouble();
    points.add(
        at,
        new Trace.Point(
            from.hours() + share * (to.hours() - from.hours()),
            from.celsius() + share * (to.celsius() - from.celsius())));
    return new Trace(points);
  }

  @ParameterizedTest
  @InstancioSource(samples = 1500)
  void yieldScalesButForTheFilmAndLiesWithinItsEnds(@Given int seed) {
    Random random = new Random(seed);
    HerbPortion herb = portion(random);
    HerbPortion other = portion(random);
    double oilMl = 8 * (herb.massG() + other.massG());
    Expression expression = Expression.values()[random.nextInt(4)];
    Yield once = Strainer.predict(oilMl, List.of(herb, other), expression);
    Yield turned = Strainer.predict(oilMl, List.of(other, herb), expression);
    Yield twice =
        Strainer.predict(
            2 * oilMl,
            List.of(herb.withMassG(2 * herb.massG()), other.withMassG(2 * other.massG())),
            expression);

    assertThat(turned.yieldMl()).isCloseTo(once.yieldMl(), near(once.yieldMl()));
    assertThat(twice.keptByMarcMl())
        .isCloseTo(2 * once.keptByMarcMl(), near(2 * once.keptByMarcMl()));
    assertThat(once.yieldMl()).isBetween(once.rangeMl().low(), once.rangeMl().high());
    Yield finer = Strainer.predict(oilMl, List.of(herb.withCut(Cut.POWDER), other), expression);
    assertThat(finer.yieldMl())
        .isLessThanOrEqualTo(
            Strainer.predict(oilMl, List.of(herb.withCut(Cut.CUT), other), expression).yieldMl()
                + 1e-9);
  }

  @ParameterizedTest
  @InstancioSource(samples = 1500)
  void aBalanceDoesNotCareForTheOrder(@Given int seed) {
    Random random = new Random(seed);
    List<Balance.Weighed> in = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      in.add(new Balance.Weighed("thing " + i, 1 + random.nextInt(500)));
    }
    double inG = in.stream().mapToDouble(Balance.Weighed::massG).sum();
    List<Balance.Weighed> out =
        new ArrayList<>(
            List.of(
                new Balance.Weighed("oil", inG * 0.5 * random.nextDouble()),
                new Balance.Weighed("marc", inG * 0.4 * random.nextDouble())));
    Balance once = Balance.of(in, out, 3);
    Collections.shuffle(in, random);
    Collections.shuffle(out, random);
    Balance turned = Balance.of(in, out, 3);

    assertThat(turned.unaccountedG()).isCloseTo(once.unaccountedG(), near(inG));
    assertThat(turned.closes()).isEqualTo(once.closes());
    assertThat(turned.causes()).isEqualTo(once.causes());
  }

  @ParameterizedTest
  @InstancioSource(samples = 1500)
  void waterScalesAndDryingLosesNothingButWater(@Given int seed) {
    Random random = new Random(seed);
    double mass = 0.1 + 5000 * random.nextDouble();
    double fraction = 0.95 * random.nextDouble();
    double drier = fraction * random.nextDouble();

    assertThat(Moisture.freeWaterG(2 * mass, fraction))
        .isCloseTo(2 * Moisture.freeWaterG(mass, fraction), near(2 * mass));
    double dried = mass * (1 - fraction) / (1 - drier);
    assertThat(Moisture.freeWaterG(dried, drier))
        .isLessThanOrEqualTo(Moisture.freeWaterG(mass, fraction) + 1e-9);
    assertThat(Moisture.freeWaterG(mass, fraction) * Moisture.canBindG(mass, fraction)).isZero();
    assertThat(Moisture.fractionOf(mass * (1 - fraction), mass)).isCloseTo(fraction, near(1));
  }

  @ParameterizedTest
  @InstancioSource(samples = 1500)
  void waterLeavesTheSameHoweverItsTimeIsCut(@Given int seed) {
    Random random = new Random(seed);
    Trace trace = trace(random, 8);
    double mm = 40 + random.nextInt(200);
    Evaporation whole = Evaporation.of(trace, mm, Evaporation.Cover.OPEN);
    Evaporation cut = Evaporation.of(withPoint(trace, random), mm, Evaporation.Cover.OPEN);
    Evaporation wide = Evaporation.of(trace, 2 * mm, Evaporation.Cover.OPEN);
    Evaporation lidded = Evaporation.of(trace, mm, Evaporation.Cover.LIDDED);

    assertThat(cut.usualG()).isCloseTo(whole.usualG(), within(0.001 * whole.usualG() + 1e-6));
    assertThat(wide.usualG()).isCloseTo(4 * whole.usualG(), near(4 * whole.usualG()));
    assertThat(lidded.usualG()).isLessThanOrEqualTo(whole.usualG());
    assertThat(whole.usualG()).isBetween(whole.range().low(), whole.range().high());
  }

  @ParameterizedTest
  @InstancioSource(samples = 1000)
  void spiritScales(@Given int seed) {
    Random random = new Random(seed);
    double herb = 1 + random.nextInt(500);
    double dose = 0.25 + 0.75 * random.nextDouble();
    double abv = 20 + 80 * random.nextDouble();
    SpiritStep once = SpiritStep.of(herb, dose, abv, 6 * herb);
    SpiritStep twice = SpiritStep.of(2 * herb, dose, abv, 12 * herb);

    assertThat(twice.mustLeaveG()).isCloseTo(2 * once.mustLeaveG(), near(2 * once.mustLeaveG()));
    assertThat(twice.waterPercentOfOil()).isCloseTo(once.waterPercentOfOil(), near(100));
    assertThat(once.ethanolMassG() + once.waterMassG())
        .isCloseTo(once.spiritMassG(), near(once.spiritMassG()));
    assertThat(once.mustLeaveG()).isLessThan(once.spiritMassG());
    assertThat(once.loosePercentOfOil(herb)).isLessThanOrEqualTo(once.waterPercentOfOil());
    assertThat(once.loosePercentOfOil(0)).isCloseTo(once.waterPercentOfOil(), near(100));
  }

  @ParameterizedTest
  @InstancioSource(samples = 1000)
  void dropsDoNotCareForTheOrderAndScaleWithTheirVolume(@Given int seed) {
    Random random = new Random(seed);
    List<Drops.Count> drops = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      EssentialOil oil = pick(random, CATALOGUE.essentialOils());
      drops.add(new Drops.Count(oil, 1 + random.nextInt(20)));
    }
    double ml = 10 + random.nextInt(500);
    Drops.Where where = Drops.Where.values()[random.nextInt(Drops.Where.values().length)];
    Drops once = Drops.of(drops, ml, 0.05, where);
    List<Drops.Count> doubled =
        drops.stream().map(d -> new Drops.Count(d.oil(), 2 * d.count())).toList();
    Drops twice = Drops.of(doubled, 2 * ml, 0.05, where);
    Collections.shuffle(drops, random);
    Drops turned = Drops.of(drops, ml, 0.05, where);

    assertThat(turned.percent()).isCloseTo(once.percent(), near(once.percent()));
    assertThat(turned.ok()).isEqualTo(once.ok());
    assertThat(turned.mostDrops()).isEqualTo(once.mostDrops());
    assertThat(twice.percent()).isCloseTo(once.percent(), near(once.percent()));
    assertThat(twice.ok()).isEqualTo(once.ok());
  }

  @ParameterizedTest
  @InstancioSource(samples = 1000)
  void aFormulaScalesAndDoesNotCareForTheOrderOfItsOils(@Given int seed) {
    Random random = new Random(seed);
    List<Carrier> oils = CATALOGUE.carriers().stream().filter(c -> c.hardness() == 0).toList();
    Carrier one = pick(random, oils);
    Carrier other = pick(random, oils);
    double mass = 10 + random.nextInt(400);
    double target = 8 + 30 * random.nextDouble();
    Formula once = formula(one, other, mass, target, 1);
    Formula twice = formula(one, other, mass, target, 2);
    Formula turned = formula(other, one, mass, target, 1);

    assertThat(twice.massG()).isCloseTo(2 * once.massG(), near(2 * once.massG()));
    assertThat(twice.volumeMl()).isCloseTo(2 * once.volumeMl(), near(2 * once.volumeMl()));
    assertThat(turned.massG()).isCloseTo(once.massG(), near(once.massG()));
    assertThat(once.addition().orElseThrow().massG())
        .isCloseTo(2 * mass * target / (100 - target), near(once.massG()));
  }

  private static Formula formula(
      Carrier one, Carrier other, double mass, double target, double times) {
    return Formula.towards(
        List.of(Ingredient.of(one, mass * times, 20), Ingredient.of(other, mass * times, 20)),
        new Formula.Target(target, 20),
        Ingredient.of(CATALOGUE.wax("beeswax"), 1));
  }

  @ParameterizedTest
  @InstancioSource(samples = 700)
  void aPointOnTheLineDrawsNothingMoreAndTheFigureLiesWithinItsEnds(@Given int seed) {
    Random random = new Random(seed);
    HerbPortion herb = portion(random);
    CarrierBlend oil = CarrierBlend.of(CATALOGUE.carrier("olive"));
    Trace trace = trace(random, 10);
    boolean assumed = random.nextBoolean();
    Pull.Herb of = new Pull.Herb(herb.cut(), herb.part(), random.nextBoolean());
    Pull once = Pull.of(List.of(new Pull.Leg(trace, Agitation.DAILY)), oil, of, assumed);
    Pull more =
        Pull.of(List.of(new Pull.Leg(withPoint(trace, random), Agitation.DAILY)), oil, of, assumed);

    assertThat(more.pull()).isCloseTo(once.pull(), within(1e-3));
    assertThat(once.pull()).isBetween(once.range().low(), once.range().high());
    assertThat(once.toldApartFrom(once)).isFalse();
    assertThat(once.theta()).isNotNegative();
  }

  @ParameterizedTest
  @InstancioSource(samples = 700)
  void aLaterDateOfTheOilNeverKeepsLessAndEveryDateLiesWithinItsEnds(@Given int seed) {
    Random random = new Random(seed);
    int days = 1 + random.nextInt(60);
    LocalDate own = DAY.plusDays(random.nextInt(800));
    Store store =
        new Store(
            Store.Place.values()[random.nextInt(Store.Place.values().length)],
            Store.Glass.values()[random.nextInt(2)],
            Store.Fill.values()[random.nextInt(2)],
            Store.Antioxidant.values()[random.nextInt(3)]);
    HerbState state = HerbState.values()[random.nextInt(3)];
    Use use = Use.values()[random.nextInt(2)];
    boolean wet = state != HerbState.DRIED && random.nextBoolean();
    double celsius = 4 + random.nextInt(80);
    double hours = 1 + random.nextInt(24 * days);
    Keeping keeping = keeping(own, days, store, state, wet, use, celsius, hours);
    Keeping later = keeping(own.plusDays(100), days, store, state, wet, use, celsius, hours);
    Keeping wetter = keeping(own, days, store, state, true, use, celsius, hours);

    assertThat(later.bestBefore()).isAfterOrEqualTo(keeping.bestBefore());
    assertThat(wetter.bestBefore()).isBeforeOrEqualTo(keeping.bestBefore());
    assertThat(keeping.bestBefore())
        .isAfterOrEqualTo(keeping.earliest())
        .isBeforeOrEqualTo(keeping.latest());
    assertThat(keeping.bestBefore()).isAfterOrEqualTo(DAY.plusDays(days));
    assertThat(Keeper.bestBefore(order(own, days, store, state, wet, use, celsius, hours)))
        .isEqualTo(keeping.bestBefore());
    Keeping hotter = keeping(own, days, store, state, wet, use, celsius + 8, hours);
    assertThat(hotter.bestBefore()).isBeforeOrEqualTo(keeping.bestBefore());
  }

  private static Keeping keeping(
      LocalDate own,
      int days,
      Store store,
      HerbState state,
      boolean wet,
      Use use,
      double celsius,
      double hours) {
    return Keeper.reckon(order(own, days, store, state, wet, use, celsius, hours));
  }

  private static KeepingOrder order(
      LocalDate own,
      int days,
      Store store,
      HerbState state,
      boolean wet,
      Use use,
      double celsius,
      double hours) {
    return new KeepingOrder(
        DAY,
        DAY.plusDays(days),
        List.of(new CarrierDates(CATALOGUE.carrier("olive"), 1, own, null, null)),
        state,
        wet,
        use,
        List.of(new InfusingLeg("drawing", hours, Trace.steady(celsius, hours), Light.DARK)),
        List.of(),
        store);
  }
}
