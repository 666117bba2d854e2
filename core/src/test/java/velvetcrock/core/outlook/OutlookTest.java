package velvetcrock.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.Formula;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;
import velvetcrock.core.yield.Strainer;

class OutlookTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Cautions CAUTIONS = Cautions.shipped();
  private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 2, 9, 0);
  private static final List<JarChoice.Free> JARS =
      List.of(
          new JarChoice.Free(new Jar("half", "Half litre", 520, 80), 4),
          new JarChoice.Free(new Jar("litre", "Litre", 1040, 95), 4));

  /** What is asked, with what a test changes about it. */
  private record Asked(
      Want want,
      int days,
      String herb,
      String carrier,
      Set<SafeFor> safeFor,
      Supply supply,
      Hours hours) {
    static Asked of(Want want, int days) {
      return new Asked(want, days, "yarrow", "olive", Set.of(), Supply.anything(JARS), Hours.USUAL);
    }

    Asked from(Supply other) {
      return new Asked(want, days, herb, carrier, safeFor, other, hours);
    }

    Asked in(String otherHerb, String otherCarrier) {
      return new Asked(want, days, otherHerb, otherCarrier, safeFor, supply, hours);
    }

    Asked safe(SafeFor... whom) {
      return new Asked(want, days, herb, carrier, Set.of(whom), supply, hours);
    }

    Asked at(Hours other) {
      return new Asked(want, days, herb, carrier, safeFor, supply, other);
    }

    Outlook look(List<Retention.Own> experience) {
      return Outlook.of(
          new WantOrder(
              want,
              NOW.toLocalDate().plusDays(days),
              CATALOGUE.herb(herb),
              CATALOGUE.herb(herb).bestPart(),
              Cut.CUT,
              List.of(new CarrierDates(CATALOGUE.carrier(carrier), 1, null, null, null)),
              safeFor,
              supply,
              hours,
              OptionalDouble.empty(),
              NOW),
          CATALOGUE,
          CAUTIONS,
          experience);
    }

    Outlook look() {
      return look(List.of());
    }
  }

  private static Supply supply(UnaryOperator<Double> herbG, Set<Appliance> appliances) {
    return new Supply(
        false,
        List.of(
            new Supply.Stock("yarrow", HerbState.DRIED, herbG.apply(0.0), OptionalDouble.of(12))),
        List.of(new Supply.Stock("olive", null, 5000, OptionalDouble.of(2))),
        List.of(),
        96,
        JARS,
        appliances);
  }

  private static Route route(Outlook outlook, Method method) {
    return outlook
        .route(method, method == Method.SPIRIT ? School.FINE : School.COVERING)
        .orElseThrow();
  }

  @ParameterizedTest
  @InstancioSource(samples = 60)
  void chargingWhatAPlanSaysByTheBookYieldsWhatWasWanted(@Given int seed, @Given int days) {
    double wanted = 20 + Math.floorMod(seed, 1800);
    Outlook outlook = Asked.of(new Want.Oil(wanted), 2 + Math.floorMod(days, 100)).look();

    assertThat(outlook.routes()).isNotEmpty();
    for (Route route : outlook.routes()) {
      HerbPortion herb =
          HerbPortion.usual(
              CATALOGUE.herb("yarrow"),
              CATALOGUE.herb("yarrow").bestPart(),
              route.herb().cut(),
              route.herb().state(),
              route.amounts().herbMassG());
      Expression by =
          route.herb().state() == HerbState.DRIED ? Expression.SQUEEZE : Expression.DRIP;
      assertThat(Strainer.predict(route.amounts().oilMl(), List.of(herb), by).yieldMl())
          .as("%s, %s", route.method(), route.school())
          .isCloseTo(wanted, within(0.01));
      route.jars().ifPresent(jars -> covers(route, herb, jars));
      if (route.fits()) {
        inTime(route, NOW.toLocalDate().plusDays(2 + Math.floorMod(days, 100)));
      }
    }
  }

  /** A charge that is not by eye is covered in the vessel that was found for it, and fits it. */
  private static void covers(Route route, HerbPortion herb, JarChoice jars) {
    JarChoice.Fill fill = jars.fills().get(0);
    Charge charge =
        new Charger(CATALOGUE)
            .reckon(
                new ChargeOrder(
                    List.of(herb.withMassG(herb.massG() * fill.share())),
                    CarrierBlend.of(CATALOGUE.carrier("olive")),
                    new Ratio.Oil(route.amounts().oilMl() * fill.share()),
                    Optional.of(fill.jar()),
                    ChargeOrder.USUAL_COVER_MM));
    assertThat(charge.levels().orElseThrow().fits()).isTrue();
  }

  private static void inTime(Route route, LocalDate by) {
    Timetable timetable = route.times().timetable().orElseThrow();
    assertThat(timetable.begins()).isAfterOrEqualTo(NOW);
    assertThat(timetable.ready().toLocalDate()).isBeforeOrEqualTo(by);
    assertThat(route.times().hours())
        .isBetween(route.method().earliestHours(), route.method().usualHours());
    assertThat(timetable.steps())
        .allSatisfy(
            step -> assertThat(Hours.USUAL.next(step.at(), step.minutes())).contains(step.at()));
  }

  @Test
  void aDozenTinsComeOutADozenTins() {
    Want.Tins tins = new Want.Tins(12, 30, Firmness.SALVE);
    Outlook outlook = Asked.of(tins, 60).look();
    double oilG = outlook.needOilMl() * CATALOGUE.carrier("olive").densityAt(20);
    Formula salve =
        Formula.towards(
            List.of(Ingredient.of(CATALOGUE.carrier("olive"), oilG, 20)),
            Formula.Target.of(Firmness.SALVE, 20),
            Ingredient.of(CATALOGUE.wax("beeswax"), 1));

    assertThat(salve.volumeMl() * (1 - Formula.POUR_LOSS) / 30).isCloseTo(12, within(0.05));
  }

  @Test
  void severalThingsFromOneOilAddUp() {
    Outlook both =
        Asked.of(
                new Want.Several(
                    List.of(new Want.Bottles(3, 100), new Want.Bars(6, 40), new Want.Weight(50))),
                60)
            .look();

    double bars = 6 * 40 / 0.97 / 3 / CATALOGUE.carrier("olive").densityAt(20);
    double weighed = 50 / CATALOGUE.carrier("olive").densityAt(20);
    assertThat(both.needOilMl()).isCloseTo(300 + bars + weighed, within(0.01));
    assertThat(both.reckoning().lines()).extracting("name").contains("Oil for all of it");
  }

  @Test
  void padsTakeTwiceTheirClothInOil() {
    Outlook pads = Asked.of(new Want.Pads(10, 100, 100, 40, 4), 30).in("yarrow", "coconut").look();

    assertThat(pads.needOilMl()).isCloseTo(10 * 2 * 0.01 * 40 * 4, within(1e-6));
    assertThat(route(pads, Method.COLD).obstacle(Obstacle.Kind.SOLID)).isPresent();
    assertThat(route(pads, Method.WARM).fits()).isTrue();
  }

  @Test
  void aWayHotterThanTheHerbBearsIsRuledOutAndSaysHowMuchItBears() {
    Outlook delicate = Asked.of(new Want.Oil(200), 40).in("chamomile", "olive").look();

    assertThat(route(delicate, Method.SIMMER).obstacle(Obstacle.Kind.TOO_HOT).orElseThrow())
        .extracting(Obstacle::amount)
        .isEqualTo(60.0);
    assertThat(route(delicate, Method.WARM).obstacle(Obstacle.Kind.TOO_HOT)).isEmpty();
    assertThat(route(Asked.of(new Want.Oil(200), 40).look(), Method.SIMMER).fits()).isTrue();
  }

  @Test
  void aWayThatMissesTheDaySaysByHowMuchAndWhenItWouldBeInTime() {
    Outlook outlook = Asked.of(new Want.Oil(200), 10).look();
    Obstacle late = route(outlook, Method.COLD).obstacle(Obstacle.Kind.LATE).orElseThrow();

    assertThat(late.on()).isEqualTo(NOW.toLocalDate().plusDays(10 + (long) late.amount()));
    assertThat(Asked.of(new Want.Oil(200), 10 + (int) late.amount()).look())
        .extracting(o -> route(o, Method.COLD).fits())
        .isEqualTo(true);
    assertThat(Asked.of(new Want.Oil(200), 10 + (int) late.amount() - 1).look())
        .extracting(o -> route(o, Method.COLD).fits())
        .isEqualTo(false);
  }

  @Test
  void whatWasWantedYesterdayNamesTheSoonest() {
    Outlook yesterday = Asked.of(new Want.Oil(200), -1).look();

    assertThat(yesterday.possible()).isFalse();
    Route soonest = yesterday.soonest().orElseThrow();
    assertThat(soonest.method()).isIn(Method.SIMMER, Method.OVEN, Method.WARM);
    assertThat(soonest.times().timetable().orElseThrow().ready().toLocalDate())
        .isEqualTo(NOW.toLocalDate().plusDays(1));
  }

  @Test
  void moreThanTheJarsHoldSaysWhatTheyDoHold() {
    Route cold = route(Asked.of(new Want.Oil(15_000), 90).look(), Method.COLD);
    double possible = cold.obstacle(Obstacle.Kind.NO_JAR).orElseThrow().amount();

    assertThat(possible).isBetween(2000.0, 6000.0);
    assertThat(route(Asked.of(new Want.Oil(possible * 0.8), 90).look(), Method.COLD).fits())
        .isTrue();
  }

  @Test
  void theDrawerAloneMayNotReach() {
    Outlook outlook = Asked.of(new Want.Oil(400), 60).from(supply(g -> 20.0, Set.of())).look();
    Route cold = route(outlook, Method.COLD);

    assertThat(cold.obstacle(Obstacle.Kind.LACKS_HERB).orElseThrow().amount())
        .isCloseTo(cold.amounts().herbMassG() - 20, within(1e-6));
    assertThat(route(outlook, Method.SIMMER).obstacle(Obstacle.Kind.NO_APPLIANCE).orElseThrow())
        .extracting(Obstacle::thing)
        .isEqualTo("gas ring or electric plate");
    assertThat(cold.bill().minor())
        .isCloseTo(cold.amounts().herbMassG() * 12 + cold.amounts().oilMl() * 2, within(1.0));
    assertThat(cold.bill().takings())
        .extracting(Supply.Taking::lot)
        .containsExactly("yarrow", "olive");
  }

  @Test
  void nutsHotSpicesAndWhatIsNotEatenAreRuledOutForThoseWhomTheyHarm() {
    assertThat(
            route(
                    Asked.of(new Want.Oil(100), 60)
                        .in("yarrow", "hazelnut")
                        .safe(SafeFor.NUT_ALLERGY)
                        .look(),
                    Method.COLD)
                .obstacle(Obstacle.Kind.NUTS))
        .isPresent();
    assertThat(
            route(
                    Asked.of(new Want.Oil(100), 60)
                        .in("cayenne", "olive")
                        .safe(SafeFor.CHILDREN)
                        .look(),
                    Method.COLD)
                .obstacle(Obstacle.Kind.UNSAFE)
                .orElseThrow()
                .thing())
        .isEqualTo("hot-child");
    Outlook eaten = Asked.of(new Want.Oil(100), 60).safe(SafeFor.KITCHEN).look();
    assertThat(eaten.possible()).isFalse();
    assertThat(route(eaten, Method.WARM).obstacle(Obstacle.Kind.NOT_FOR_EATING)).isPresent();
  }

  /** Fresh herb at hand, for eating: no way that is warm is offered, and no date is given. */
  @Test
  void noWayIsOfferedThatWarmsFreshHerbForEating() {
    Outlook eaten =
        Asked.of(new Want.Oil(100), 60).in("lemon-balm", "olive").safe(SafeFor.KITCHEN).look();

    assertThat(eaten.routes())
        .filteredOn(r -> r.herb().state() != HerbState.DRIED)
        .isNotEmpty()
        .allSatisfy(
            r -> {
              assertThat(r.fits()).isFalse();
              assertThat(r.obstacle(Obstacle.Kind.UNSAFE).orElseThrow().thing())
                  .startsWith("kitchen-");
              assertThat(r.obstacle(Obstacle.Kind.WET)).isEmpty();
            });
  }

  /** Keep away and ask first both bar a way that has to be safe for that person. */
  @ParameterizedTest
  @CsvSource({
    "sage, PREGNANCY, pregnancy-stop",
    "garlic, BABIES, not-for-baby",
    "garlic, PETS, harms-pets",
    "ginger, CHILDREN, not-for-child",
    "ginger, OLDER_CHILDREN, ask-first",
    "comfrey, NURSING, not-nursing",
    "garlic, INTIMATE, not-intimate",
    "heather, LIPS, lips-swallowed",
    "yarrow, CHILDREN, ask-first"
  })
  void whatIsKeptFromSomebodyIsOfferedInNoWay(String herb, SafeFor whom, String code) {
    Outlook outlook = Asked.of(new Want.Oil(200), 90).in(herb, "olive").safe(whom).look();

    assertThat(outlook.routes())
        .isNotEmpty()
        .allSatisfy(
            r -> {
              assertThat(r.fits()).isFalse();
              assertThat(r.obstacles()).extracting(Obstacle::thing).contains(code);
            });
  }

  @ParameterizedTest
  @EnumSource(
      value = SafeFor.class,
      names = {"BABIES", "CHILDREN", "OLDER_CHILDREN", "PREGNANCY", "NURSING", "LIPS"})
  void whatNothingIsKnownAgainstIsStillOffered(SafeFor whom) {
    assertThat(Asked.of(new Want.Oil(200), 90).in("calendula", "olive").safe(whom).look().routes())
        .anyMatch(Route::fits);
  }

  /** What is dried brings no water; a wet way ruled out would take longer than it has. */
  @Test
  void aWayIsRuledOutAsWetOnlyWhereItWouldTakeLongerThanItHas() {
    int ruledOut = 0;
    for (String herb : List.of("chickweed", "basil", "dandelion", "cleavers", "lemon-balm")) {
      for (double ml : new double[] {60, 400, 900, 3000}) {
        for (int days : new int[] {1, 2, 60}) {
          for (Route r : Asked.of(new Want.Oil(ml), days).in(herb, "olive").look().routes()) {
            var wet = r.obstacle(Obstacle.Kind.STAYS_WET);
            assertThat(wet.isPresent() && r.herb().state() == HerbState.DRIED).isFalse();
            assertThat(wet.isPresent() && !r.method().heated()).isFalse();
            wet.ifPresent(o -> assertThat(o.amount()).isGreaterThan(r.times().hours()));
            ruledOut += wet.isPresent() ? 1 : 0;
          }
        }
      }
    }
    assertThat(ruledOut).isPositive();
  }

  @Test
  void whoWorksAllDaySimmersInTheEveningAndCrocksInGoes() {
    Hours works =
        new Hours(
            LocalTime.of(6, 30),
            LocalTime.of(22, 0),
            EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.SATURDAY),
            LocalTime.of(8, 0),
            LocalTime.of(17, 30));
    Outlook outlook = Asked.of(new Want.Oil(200), 5).at(works).look();

    Timetable crock = route(outlook, Method.CROCK).times().timetable().orElseThrow();
    assertThat(crock.onHeat()).hasSizeGreaterThan(1);
    assertThat(crock.onHeat().stream().mapToDouble(Span::hours).sum())
        .isCloseTo(route(outlook, Method.CROCK).times().hours(), within(0.02));
    assertThat(route(outlook, Method.SIMMER).times().timetable().orElseThrow().onHeat())
        .allMatch(s -> works.next(s.from(), s.minutes()).orElseThrow().equals(s.from()));
  }

  @Test
  void freshHerbIsOfferedOnlyWhereItIsUsedSo() {
    assertThat(Asked.of(new Want.Oil(100), 60).look().routes())
        .noneMatch(r -> r.herb().state() != HerbState.DRIED);
    assertThat(Asked.of(new Want.Oil(100), 60).in("st-johns-wort", "olive").look().routes())
        .anyMatch(r -> r.herb().state() == HerbState.WILTED);
  }

  @Test
  void ownExperienceAsksForMoreOil() {
    List<Retention.Own> thirsty =
        List.of(
            new Retention.Own(CATALOGUE.herb("yarrow").bestPart(), Expression.SQUEEZE, 3.5),
            new Retention.Own(CATALOGUE.herb("yarrow").bestPart(), Expression.SQUEEZE, 3.6));
    Asked asked = Asked.of(new Want.Oil(300), 60);

    assertThat(route(asked.look(thirsty), Method.COLD).amounts().oilMl())
        .isGreaterThan(route(asked.look(), Method.COLD).amounts().oilMl());
  }
}
