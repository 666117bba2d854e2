package velvetcrock.core.outlook;

import static velvetcrock.core.Figures.plain;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Refused;
import velvetcrock.core.Standing;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.caution.Situation;
import velvetcrock.core.charge.ByEye;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Speed;
import velvetcrock.core.moisture.Evaporation;
import velvetcrock.core.spirit.EthanolWater;
import velvetcrock.core.yield.Retention;

/**
 * Every way to what is wanted, by method and school, worked back from the day: the amounts from
 * what is wanted through wax, pan, marc and film; the vessels; the steps in the household's hours,
 * begun as late as can be; and what rules a way out.
 *
 * @param needOilMl infused oil that it takes, ml
 * @param routes those that nothing rules out first, the latest begun in front
 */
public record Outlook(double needOilMl, List<Route> routes, Reckoning reckoning) {
  /** What hardens tins where nobody says otherwise. */
  public static final String HARDENS = "beeswax";

  private static final String TREE_NUT = "tree nut";

  /** What one has to ask about first is not safe for whom it has to be safe. */
  private static final String ASK_FIRST = "ask-first";

  private static final double SPIRIT_DOSE = 0.5;
  private static final int RATIO_ROUNDS = 4;
  private static final double SAME_RATIO = 1e-9;
  private static final double FOLK_JAR_ML = 1000;
  private static final double FOLK_JAR_MM = 90;
  private static final double FOLK_HERB = 2 / 3.0;
  private static final int HOUR_STEPS = 12;
  private static final int MOST_STEPS_BACK = 24 * 9;

  /**
   * What a household has learned.
   *
   * @param marcs what its own strainings taught
   * @param pan how it makes its pots
   */
  public record Own(List<Retention.Own> marcs, Want.Pan pan) {
    /** Copies the list. */
    public Own {
      marcs = List.copyOf(marcs);
    }
  }

  /**
   * Looks ahead, with pots as they are usual.
   *
   * @param experience what the household's own strainings taught
   */
  public static Outlook of(
      WantOrder order, Catalogue catalogue, Cautions cautions, List<Retention.Own> experience) {
    Want.Pan usual = Want.Pan.usual(catalogue.wax(HARDENS));
    return of(order, catalogue, cautions, new Own(experience, usual));
  }

  /** Looks ahead. */
  public static Outlook of(WantOrder order, Catalogue catalogue, Cautions cautions, Own own) {
    return new Looking(order, catalogue, cautions, own).look();
  }

  /** Whether any way gets there. */
  public boolean possible() {
    return routes.stream().anyMatch(Route::fits);
  }

  /** Of the ways that are only too late, the one that is ready first. */
  public Optional<Route> soonest() {
    return routes.stream()
        .filter(Route::onlyLate)
        .min(Comparator.comparing(r -> r.times().timetable().orElseThrow().ready()));
  }

  /** The route by a method and school. */
  public Optional<Route> route(Method method, School school) {
    return routes.stream().filter(r -> r.method() == method && r.school() == school).findFirst();
  }

  private static final class Looking {
    private final WantOrder order;
    private final Catalogue catalogue;
    private final Cautions cautions;
    private final List<Retention.Own> experience;
    private final Want.Pan pan;
    private final CarrierBlend carriers;
    private final Charger charger;
    private final Timetable.Making making;
    private final LocalDateTime deadline;

    /** By method alone, whichever school filled the jar. */
    private final Map<Method, Drawing> drawings = new EnumMap<>(Method.class);

    Looking(WantOrder order, Catalogue catalogue, Cautions cautions, Own own) {
      this.order = order;
      this.catalogue = catalogue;
      this.cautions = cautions;
      this.experience = own.marcs();
      this.pan = own.pan();
      this.carriers = order.blend();
      this.charger = new Charger(catalogue);
      this.making = Timetable.Making.of(order.want());
      List<Span> there = order.hours().on(order.by());
      this.deadline =
          there.isEmpty()
              ? order.by().plusDays(1).atStartOfDay()
              : there.get(there.size() - 1).until();
    }

    Outlook look() {
      Reckoning.Writer lines = Reckoning.writer();
      double need = order.want().oilMl(carriers, pan, lines);
      List<Route> routes = new ArrayList<>();
      for (School school : School.values()) {
        boolean atHand = !order.supply().herbs(school.state()).isEmpty();
        if (!school.suits(order.herb(), atHand)) {
          continue;
        }
        Filling filling = filling(school, need);
        for (Method method : Method.values()) {
          if (school.goesWith(method)) {
            routes.add(route(method, filling));
          }
        }
      }
      routes.sort(
          Comparator.comparing((Route r) -> !r.fits())
              .thenComparing(r -> r.obstacles().size())
              .thenComparing(
                  r -> r.times().timetable().map(Timetable::begins).orElse(LocalDateTime.MAX),
                  Comparator.reverseOrder()));
      routes.stream()
          .findFirst()
          .ifPresent(
              r -> {
                lines.line(
                    "Oil to charge",
                    "so that "
                        + plain(need)
                        + " ml come out of the cloth at 1:"
                        + plain(r.amounts().oilPerHerb()),
                    r.amounts().oilMl(),
                    "ml",
                    Standing.ESTIMATE);
                lines.line(
                    "Herb to charge",
                    plain(r.amounts().oilMl()) + " ml ÷ " + plain(r.amounts().oilPerHerb()),
                    r.amounts().herbMassG(),
                    "g",
                    Standing.ESTIMATE);
              });
      return new Outlook(need, List.copyOf(routes), lines.done());
    }

    /** What a school fills a jar with, however it is drawn then. */
    private record Filling(
        School school,
        HerbPortion herb,
        Amounts amounts,
        ChargeOrder charge,
        Charge reckoned,
        Supply.Bill herbs,
        Supply.Bill oils) {}

    private Filling filling(School school, double need) {
      HerbPortion herb =
          HerbPortion.usual(
              order.herb(), order.part(), school.cut(order.cut()), school.state(), 100);
      Amounts amounts = amounts(school, herb, need);
      ChargeOrder charge = amounts.order();
      return new Filling(
          school,
          herb,
          amounts,
          charge,
          charger.reckon(charge),
          Supply.bill(Supply.Goods.HERB, order.supply().herbs(school.state()), amounts.herbG()),
          Supply.bill(Supply.Goods.OIL, order.supply().oil(), amounts.oilMl()));
    }

    /** How it is drawn by a method: when, how warm, and what that takes of its keeping. */
    private record Drawing(Laid laid, Infusion infusion, InfusingLeg leg) {}

    private Drawing drawing(Method method) {
      Laid laid = laid(method);
      Infusion infusion =
          Infusion.of(method, laid.hours(), order.herb().handling().drawing().ceilingC());
      return new Drawing(laid, infusion, infusion.keepingLeg());
    }

    private Route route(Method method, Filling filling) {
      List<Obstacle> obstacles = new ArrayList<>();
      School school = filling.school();
      HerbPortion herb = filling.herb();
      Amounts amounts = filling.amounts();
      ChargeOrder charge = filling.charge();
      Charge reckoned = filling.reckoned();
      amounts.vessels(obstacles);

      double spiritMl =
          method == Method.SPIRIT
              ? SPIRIT_DOSE * amounts.herbG() / EthanolWater.density(order.supply().abvPercent())
              : 0;
      Supply.Bill spirits =
          spiritMl > 0
              ? Supply.bill(Supply.Goods.SPIRIT, order.supply().spirit(), spiritMl)
              : Supply.Bill.NOTHING;
      if (!order.supply().shopping()) {
        lacks(Obstacle.Kind.LACKS_HERB, filling.herbs(), school.state().name(), obstacles);
        lacks(Obstacle.Kind.LACKS_OIL, filling.oils(), "", obstacles);
        lacks(Obstacle.Kind.LACKS_SPIRIT, spirits, "", obstacles);
      }
      appliance(method).ifPresent(obstacles::add);

      Drawing drawing = drawings.computeIfAbsent(method, this::drawing);
      Laid laid = drawing.laid();
      laid.late().ifPresent(obstacles::add);
      Infusion infusion = drawing.infusion();
      double bearsC = order.herb().handling().drawing().ceilingC();
      if (!HeatGoal.bears(method, bearsC)) {
        obstacles.add(Obstacle.of(Obstacle.Kind.TOO_HOT, bearsC));
      }
      boolean solid = !infusion.trace().reaches(carriers.meltedAboveC());
      Pull pull =
          solid
              ? Pull.nothing()
              : Pull.of(
                  List.of(infusion.pullLeg()),
                  carriers,
                  new Pull.Herb(
                      herb.cut(), herb.part(), method == Method.SPIRIT, speed(herb, method)));
      List<Caution> due = cautions(method, charge, reckoned, infusion);
      if (solid) {
        obstacles.add(Obstacle.of(Obstacle.Kind.SOLID, carriers.meltedAboveC()));
      }
      Optional<Promise.Spirit> spirit =
          spiritMl > 0
              ? Optional.of(
                  new Promise.Spirit(
                      charge.herbs().get(0),
                      SPIRIT_DOSE * charge.herbMassG(),
                      order.supply().abvPercent(),
                      reckoned.oilMassG()))
              : Optional.empty();
      Promise.Water water =
          Promise.Water.of(reckoned, spirit, infusion.trace(), charge.jar(), order.use());
      if (water == Promise.Water.STAYS && order.use() != Use.KITCHEN) {
        obstacles.add(staysWet(method, charge, infusion));
      }
      unsafe(due, obstacles);

      InfusingLeg leg = drawing.leg();
      LocalDate begun = laid.begins(order.now()).toLocalDate();
      LocalDate strained = laid.strained(order.now(), laid.hours()).toLocalDate();
      Promise keeps = keeps(herb.state(), begun, strained, leg, water);
      if (keeps.onceDry().isBefore(order.by()) && obstacles.isEmpty()) {
        obstacles.add(new Obstacle(Obstacle.Kind.SPOILS_BEFORE, 0, keeps.onceDry(), ""));
      }
      return new Route(
          method,
          school,
          new Route.CutHerb(herb.state(), herb.cut()),
          new Route.Amounts(amounts.herbG(), amounts.ratio(), amounts.oilMl(), spiritMl),
          new Route.Outcome(
              reckoned.strengthAgainstOneToFive(charge.herbs()),
              pull,
              speed(herb, method),
              leg.spentDays(),
              keeps),
          amounts.jars(),
          new Route.Times(
              laid.hours(),
              laid.timetable(),
              begun.plusDays(
                  (long) speed(herb, method).days(method.earliestDays(), method.latestDays())),
              begun.plusDays(method.latestDays())),
          filling.herbs().plus(filling.oils()).plus(spirits),
          new Route.Missing(filling.herbs().missing(), filling.oils().missing(), spirits.missing()),
          due,
          obstacles);
    }

    private Speed speed(HerbPortion herb, Method method) {
      return catalogue.speed(herb.in(order.carriers().get(0).carrier().key(), method));
    }

    private static void lacks(
        Obstacle.Kind kind, Supply.Bill bill, String thing, List<Obstacle> obstacles) {
      if (bill.missing() > 0) {
        obstacles.add(new Obstacle(kind, bill.missing(), null, thing));
      }
    }

    private Optional<Obstacle> appliance(Method method) {
      if (!method.heated() && method != Method.TWO_STAGE
          || order.supply().appliances().stream().anyMatch(a -> a.serves(method))) {
        return Optional.empty();
      }
      String would =
          Arrays.stream(Appliance.values())
              .filter(a -> a.serves(method))
              .map(a -> a.words().toLowerCase(Locale.ROOT))
              .collect(Collectors.joining(" or "));
      return Optional.of(Obstacle.of(Obstacle.Kind.NO_APPLIANCE, would));
    }

    /** Where not even the most that can leave in its hours is what the herb brings. */
    private Obstacle staysWet(Method method, ChargeOrder charge, Infusion infusion) {
      if (!method.heated() || charge.jar().isEmpty()) {
        return Obstacle.of(Obstacle.Kind.WET);
      }
      double waterG = charge.herbs().stream().mapToDouble(HerbPortion::freeWaterG).sum();
      return Obstacle.of(
          Obstacle.Kind.STAYS_WET,
          Evaporation.hours(
              waterG,
              infusion.celsius(),
              charge.jar().get().innerDiameterMm(),
              Evaporation.Cover.OPEN));
    }

    /** What rules it out among the cautions, and the allergy that no caution knows of. */
    private void unsafe(List<Caution> due, List<Obstacle> obstacles) {
      if (order.safeFor().contains(SafeFor.NUT_ALLERGY)) {
        carriers.shares().stream()
            .map(CarrierBlend.Share::carrier)
            .filter(c -> c.allergen().equals(TREE_NUT))
            .forEach(c -> obstacles.add(Obstacle.of(Obstacle.Kind.NUTS, c.name())));
      }
      if (order.use() == Use.KITCHEN) {
        if (!order.herb().edible()) {
          obstacles.add(Obstacle.of(Obstacle.Kind.NOT_FOR_EATING, order.herb().name()));
        }
        carriers.shares().stream()
            .map(CarrierBlend.Share::carrier)
            .filter(c -> !c.edible())
            .forEach(c -> obstacles.add(Obstacle.of(Obstacle.Kind.NOT_FOR_EATING, c.name())));
      }
      due.stream()
          .filter(c -> c.passing() == Caution.Passing.NEVER || c.code().equals(ASK_FIRST))
          .map(Caution::code)
          .filter(
              c -> !Set.of("solid-carrier", "not-edible-herb", "not-edible-carrier").contains(c))
          .forEach(c -> obstacles.add(Obstacle.of(Obstacle.Kind.UNSAFE, c)));
    }

    private List<Caution> cautions(
        Method method, ChargeOrder charge, Charge reckoned, Infusion infusion) {
      Set<Situation.Addition> additions =
          method == Method.SPIRIT
              ? Set.of(Situation.Addition.SPIRIT)
              : Set.<Situation.Addition>of();
      List<String> codes = new ArrayList<>();
      for (Purpose purpose : order.purposes()) {
        cautions
            .forPlan(
                new Situation(
                    charge, reckoned, purpose, infusion.light(), infusion.celsius(), additions))
            .forEach(c -> codes.add(c.code()));
      }
      return cautions.of(codes);
    }

    private Promise keeps(
        HerbState state,
        LocalDate begun,
        LocalDate strained,
        InfusingLeg leg,
        Promise.Water water) {
      boolean eaten = order.use() == Use.KITCHEN;
      if (eaten && order.carriers().stream().anyMatch(c -> !c.carrier().edible())) {
        return new Promise(strained, strained, strained, water, false);
      }
      return Promise.of(
          Promise.order(begun, strained, order.carriers(), state, order.use(), leg), water);
    }

    /** How long it draws and its steps, with by how much it is late. */
    private record Laid(double hours, Optional<Timetable> timetable, Optional<Obstacle> late) {
      LocalDateTime begins(LocalDateTime now) {
        return timetable.map(Timetable::begins).orElse(now);
      }

      LocalDateTime strained(LocalDateTime now, double drawsHours) {
        return timetable
            .map(t -> t.inJar().until())
            .orElse(now.plusHours((long) Math.ceil(drawsHours)));
      }
    }

    /** As long as usual; less, down to the earliest, where there is less time. */
    private Laid laid(Method method) {
      double usual = method.usualHours();
      Optional<Timetable> atOnce = from(order.now(), method, usual);
      if (atOnce.isPresent() && inTime(atOnce.get())) {
        return new Laid(usual, Optional.of(latest(method, usual, atOnce.get())), Optional.empty());
      }
      double shortest = method.earliestHours();
      Optional<Timetable> soonest = from(order.now(), method, shortest);
      if (soonest.isEmpty()) {
        long minutes = Timetable.unbrokenMinutes(method, shortest);
        return new Laid(
            shortest,
            Optional.empty(),
            Optional.of(Obstacle.of(Obstacle.Kind.NOBODY_THERE, minutes)));
      }
      if (!inTime(soonest.get())) {
        LocalDate ready = soonest.get().ready().toLocalDate();
        long days = Math.max(1, ChronoUnit.DAYS.between(order.by(), ready));
        return new Laid(
            shortest,
            soonest,
            Optional.of(new Obstacle(Obstacle.Kind.LATE, days, order.by().plusDays(days), "")));
      }
      return shortened(method, shortest, usual, soonest.get());
    }

    /** The longest that is still in time when begun at once. */
    private Laid shortened(Method method, double shortest, double usual, Timetable known) {
      double low = shortest;
      double high = usual;
      Timetable best = known;
      for (int i = 0; i < HOUR_STEPS; i++) {
        double middle = (low + high) / 2;
        Optional<Timetable> tried = from(order.now(), method, middle);
        if (tried.isPresent() && inTime(tried.get())) {
          low = middle;
          best = tried.get();
        } else {
          high = middle;
        }
      }
      return new Laid(low, Optional.of(best), Optional.empty());
    }

    /** Begun as late as can be, hour by hour back from the day. */
    private Timetable latest(Method method, double hours, Timetable atOnce) {
      long least = (long) Math.ceil(hours) + (method.heated() ? 0 : 1);
      LocalDateTime begin = deadline.minusHours(least).truncatedTo(ChronoUnit.HOURS);
      for (int i = 0; i < MOST_STEPS_BACK && begin.isAfter(order.now()); i++) {
        Optional<Timetable> tried =
            Timetable.withoutChecks(begin, method, hours, making, order.hours());
        if (tried.isPresent() && inTime(tried.get())) {
          return from(begin, method, hours).orElseThrow();
        }
        begin = begin.minusHours(1);
      }
      return atOnce;
    }

    private Optional<Timetable> from(LocalDateTime begin, Method method, double hours) {
      return Timetable.from(begin, method, hours, making, order.hours());
    }

    private boolean inTime(Timetable timetable) {
      return !timetable.ready().isAfter(deadline);
    }

    private Amounts amounts(School school, HerbPortion herb, double need) {
      OilToCharge back = new OilToCharge(herb, experience);
      double ratio = ratio(school, herb, Optional.empty());
      Amounts amounts = new Amounts(herb, ratio, back.ml(need, ratio), need, Optional.empty());
      for (int i = 0; i < RATIO_ROUNDS; i++) {
        Amounts held = amounts.withJars();
        if (held.jars().isEmpty() || !asksTheJar(school)) {
          return held;
        }
        JarChoice.Fill fill = held.jars().get().fills().get(0);
        double covering =
            ratio(school, herb.withMassG(held.herbG() * fill.share()), Optional.of(fill.jar()));
        if (Math.abs(covering - ratio) < SAME_RATIO) {
          return held;
        }
        ratio = covering;
        amounts = new Amounts(herb, ratio, back.ml(need, ratio), need, held.jars());
      }
      return amounts.withJars();
    }

    /** Whether the ratio is whatever covers in the vessel. */
    private boolean asksTheJar(School school) {
      return school != School.BY_EYE
          && !(school == School.COVERING && order.oilPerHerb().isPresent());
    }

    private double ratio(School school, HerbPortion herb, Optional<Jar> jar) {
      if (school == School.COVERING && order.oilPerHerb().isPresent()) {
        return order.oilPerHerb().getAsDouble();
      }
      if (school == School.BY_EYE) {
        return folkRatio(herb);
      }
      return charger.defaultOilPerHerb(
          new ChargeOrder(
              List.of(herb),
              carriers,
              new Ratio.WeightToVolume(Charger.USUAL_OIL_PER_HERB),
              jar,
              ChargeOrder.USUAL_COVER_MM));
    }

    private double folkRatio(HerbPortion herb) {
      ByEye eye =
          ByEye.ofShares(
              new Jar("folk", "a jar", FOLK_JAR_ML, FOLK_JAR_MM),
              List.of(new ByEye.Filling(herb.herb(), herb.part(), herb.cut(), herb.state())),
              ByEye.Packing.LOOSE,
              FOLK_HERB,
              Jar.FILL_LINE,
              catalogue);
      return eye.oilMl().middle() / eye.herbMassG().middle();
    }

    /** What is charged, and in what. */
    private final class Amounts {
      private final HerbPortion herb;
      private final double ratio;
      private final double oilMl;
      private final double need;
      private final Optional<JarChoice> jars;

      Amounts(HerbPortion herb, double ratio, double oilMl, double need, Optional<JarChoice> jars) {
        this.herb = herb;
        this.ratio = ratio;
        this.oilMl = oilMl;
        this.need = need;
        this.jars = jars;
      }

      double ratio() {
        return ratio;
      }

      double oilMl() {
        return oilMl;
      }

      double herbG() {
        return oilMl / ratio;
      }

      Optional<JarChoice> jars() {
        return jars;
      }

      Amounts withJars() {
        try {
          return new Amounts(
              herb,
              ratio,
              oilMl,
              need,
              Optional.of(
                  JarChoice.best(
                      order.supply().jars(),
                      (jar, share) -> charger.fit(order(Optional.of(jar), share)))));
        } catch (Refused refused) {
          return new Amounts(herb, ratio, oilMl, need, Optional.empty());
        }
      }

      ChargeOrder order() {
        return jars.map(j -> order(Optional.of(j.jar()), j.fills().get(0).share()))
            .orElseGet(() -> order(Optional.empty(), 1));
      }

      private ChargeOrder order(Optional<Jar> jar, double share) {
        return new ChargeOrder(
            List.of(herb.withMassG(herbG() * share)),
            carriers,
            new Ratio.Oil(oilMl * share),
            jar,
            ChargeOrder.USUAL_COVER_MM);
      }

      /** Notes where the empty vessels do not hold it, with how much they do. */
      void vessels(List<Obstacle> obstacles) {
        if (jars.isPresent()) {
          return;
        }
        double room =
            order.supply().jars().stream()
                .mapToDouble(f -> f.count() * Jar.FILL_LINE * f.jar().brimMl())
                .sum();
        double takesUp = oilMl + herb.withMassG(herbG()).solidsMl();
        obstacles.add(Obstacle.of(Obstacle.Kind.NO_JAR, need * Math.min(1, room / takesUp)));
      }
    }
  }
}
