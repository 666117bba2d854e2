package velvetcrock.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchActs;
import velvetcrock.core.Range;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.FeltByHand;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.drawer.DryingBegun;
import velvetcrock.core.drawer.LoadWeighed;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.drawer.LotPicked;
import velvetcrock.core.drawer.Snap;
import velvetcrock.core.drawer.Snapped;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.moisture.DryingCurve.Way;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.Dryings;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.OwnJar;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.Vessels;

/** What lies in the demo cottage's drawer, and the jars that were charged from it. */
@Component
@Order(3)
class DemoDrawer implements DemoPart {
  private final Drawer drawer;
  private final Dryings dryings;
  private final BatchActs acts;
  private final Households households;
  private final Places places;
  private final Vessels vessels;
  private final Catalogue catalogue;
  private final Clock clock;

  DemoDrawer(
      Drawer drawer,
      Dryings dryings,
      BatchActs acts,
      Households households,
      Places places,
      Vessels vessels,
      Catalogue catalogue,
      Clock clock) {
    this.drawer = drawer;
    this.dryings = dryings;
    this.acts = acts;
    this.households = households;
    this.places = places;
    this.vessels = vessels;
    this.catalogue = catalogue;
    this.clock = clock;
  }

  @Override
  public void furnish(Household cottage) {
    LocalDate today = households.today(cottage);
    countJars();
    UUID yarrow = herb("yarrow", 260, Origin.FORAGED, "west cliff", today.minusMonths(4));
    UUID selfHeal = herb("self-heal", 0, Origin.GROWN, "walled garden", null);
    pick(selfHeal, 35, today.minusMonths(5));
    pick(selfHeal, 48, today.minusMonths(4));
    UUID violet = herb("violet-leaf", 70, Origin.GROWN, "north bed", today.minusMonths(7));
    herb("violet-leaf", 30, Origin.GROWN, "north bed", today.minusMonths(15));
    herb("elderflower", 120, Origin.BOUGHT, "the island shop", today.minusMonths(6));
    herb("heather", 340, Origin.FORAGED, "the moor", today.minusMonths(3));
    herb("rosehip-shell", 410, Origin.FORAGED, "dyke by the pier", today.minusMonths(2));
    UUID myrtle = ground("bog-myrtle", 150, "the burn", today.minusMonths(5));
    herb("scots-pine-bud", 90, Origin.FORAGED, "shelter belt", today.minusMonths(8));
    UUID rapeseed =
        oil(
            "rapeseed",
            2600,
            today.minusMonths(6),
            today.minusMonths(1),
            today.plusMonths(9),
            1650L);
    oil("rapeseed", 400, today.minusMonths(11), today.minusMonths(9), today.plusMonths(2), 900L);
    UUID sunflower =
        oil("sunflower-high-oleic", 1800, today.minusMonths(3), null, today.plusMonths(14), 1240L);
    oil("hazelnut", 350, today.minusMonths(5), today.minusMonths(4), today.plusMonths(6), 1890L);
    oil("rosehip", 90, today.minusMonths(2), today.minusMonths(1), null, 1450L);
    oil("coconut", 900, today.minusMonths(7), today.minusMonths(2), null, 780L);
    oil("shea", 480, today.minusMonths(9), null, null, 1150L);
    UUID spirit =
        put(details(Kind.SPIRIT, "", Origin.BOUGHT, "", null, null, null, null, 96.0, 2200L), 480);
    put(details(Kind.SPIRIT, "", Origin.BOUGHT, "", null, null, null, null, 40.0, 1800L), 650);
    put(
        details(
            Kind.WAX,
            "beeswax",
            Origin.BOUGHT,
            "the skeps at Norrick",
            null,
            null,
            null,
            null,
            null,
            900L),
        430);
    dry(cottage);
    blend(cottage, today, List.of(yarrow, selfHeal, violet), List.of(rapeseed, sunflower));
    throughSpirit(cottage, today, myrtle, spirit, rapeseed);
    freshInTheCrock(cottage, today);
  }

  private void countJars() {
    Map.of("jar-125", 6, "jar-250", 8, "jar-370", 8, "jar-500", 10, "jar-720", 6, "jar-1000", 6)
        .forEach((jar, count) -> vessels.count(jar, String.valueOf(count)));
  }

  private UUID herb(
      String key, double grams, Origin origin, String from, @Nullable LocalDate gathered) {
    return put(
        herbDetails(key, Cut.CUT, origin, from, gathered, origin == Origin.BOUGHT ? 640L : 0L),
        grams);
  }

  private UUID ground(String key, double grams, String from, LocalDate gathered) {
    return put(herbDetails(key, Cut.GROUND, Origin.FORAGED, from, gathered, 0L), grams);
  }

  private LotDetails herbDetails(
      String key, Cut cut, Origin origin, String from, @Nullable LocalDate gathered, Long price) {
    Herb herb = catalogue.herb(key);
    return new LotDetails(
        Kind.HERB,
        key,
        "",
        new LotDetails.Plant(herb.bestPart(), cut, HerbState.DRIED, null),
        origin,
        from,
        new LotDetails.Dates(gathered, null, null, null),
        null,
        price);
  }

  private UUID oil(
      String key,
      double ml,
      LocalDate bought,
      @Nullable LocalDate opened,
      @Nullable LocalDate bestBefore,
      Long price) {
    return put(
        details(
            Kind.CARRIER,
            key,
            Origin.BOUGHT,
            "the ferry’s store",
            bought,
            opened,
            bestBefore,
            null,
            null,
            price),
        ml);
  }

  private static LotDetails details(
      Kind kind,
      String thing,
      Origin origin,
      String from,
      @Nullable LocalDate bought,
      @Nullable LocalDate opened,
      @Nullable LocalDate bestBefore,
      @Nullable Double water,
      @Nullable Double abv,
      Long price) {
    return new LotDetails(
        kind,
        thing,
        "",
        new LotDetails.Plant(null, null, null, water),
        origin,
        from,
        new LotDetails.Dates(null, bought, opened, bestBefore),
        abv,
        price);
  }

  private UUID put(LotDetails details, double amount) {
    return drawer.add(details, amount, "", null, UUID.randomUUID().toString());
  }

  private void pick(UUID lot, double grams, LocalDate on) {
    drawer.append(lot, new LotPicked(grams, Math.round(grams) + " g", on), null, null, key());
  }

  /** A bunch about half dry, a rack spread yesterday, and a bunch that crumbles. */
  private void dry(Household cottage) {
    load(cottage, "meadowsweet", Way.BUNCH, 420, 8, Map.of(5, 240, 2, 158));
    load(cottage, "self-heal", Way.RACK, 180, 1, Map.of());
    UUID crisp = load(cottage, "mugwort", Way.BUNCH, 310, 23, Map.of(17, 190, 8, 103, 1, 86));
    dryings.append(crisp, new Snapped(Snap.CRUMBLES), null, null, key());
  }

  private UUID load(
      Household cottage,
      String herbKey,
      Way way,
      double freshG,
      int daysAgo,
      Map<Integer, Integer> gramsByDaysAgo) {
    Herb herb = catalogue.herb(herbKey);
    UUID load =
        dryings.begin(
            new DryingBegun(
                herbKey,
                herb.bestPart(),
                Cut.CUT,
                way,
                freshG,
                Math.round(freshG) + " g",
                herb.waterFresh(),
                Origin.FORAGED,
                "the burn"),
            noon(cottage, daysAgo),
            key());
    gramsByDaysAgo.keySet().stream()
        .sorted((a, b) -> b - a)
        .forEach(
            ago ->
                dryings.append(
                    load,
                    new LoadWeighed(gramsByDaysAgo.get(ago), gramsByDaysAgo.get(ago) + " g"),
                    noon(cottage, ago),
                    null,
                    key()));
    return load;
  }

  private void blend(Household cottage, LocalDate today, List<UUID> herbs, List<UUID> oils) {
    List<String> keys = List.of("yarrow", "self-heal", "violet-leaf");
    List<Double> grams = List.of(30.0, 20.0, 10.0);
    List<HerbIn> in =
        IntStream.range(0, keys.size())
            .mapToObj(
                i -> herbIn(keys.get(i), Cut.CUT, HerbState.DRIED, grams.get(i), herbs.get(i)))
            .toList();
    String code =
        charge(
            cottage,
            Method.COLD,
            in,
            List.of(
                new OilIn(
                    "rapeseed", 2, today.plusMonths(9), today.minusMonths(1), null, oils.get(0)),
                new OilIn(
                    "sunflower-high-oleic",
                    1,
                    today.plusMonths(14),
                    today.minusDays(5),
                    null,
                    oils.get(1))),
            690,
            JarIn.of(catalogue.jar("jar-1000")),
            "Dark cupboard",
            today.minusDays(5),
            Manner.PLAIN);
    for (int ago = 4; ago >= 1; ago--) {
      acts.append(code, new AllWell(), noon(cottage, ago), null, key());
    }
  }

  private void throughSpirit(
      Household cottage, LocalDate today, UUID myrtle, UUID spirit, UUID oil) {
    charge(
        cottage,
        Method.SPIRIT,
        List.of(herbIn("bog-myrtle", Cut.GROUND, HerbState.DRIED, 60, myrtle)),
        List.of(new OilIn("rapeseed", 1, today.plusMonths(9), today.minusMonths(1), null, oil)),
        330,
        JarIn.of(catalogue.jar("jar-500")),
        "Counter",
        today.minusDays(1),
        new Manner(false, new SpiritIn(96, 30, "30 g", spirit), null, List.of("spirit-fire")));
  }

  /** Fresh violet leaf that loses its water in the crock, weighed as it goes. */
  private void freshInTheCrock(Household cottage, LocalDate today) {
    OwnJar crock =
        vessels.measure(new Vessels.Typed("The velvet crock", "CROCK", "2400 g", "", "17", "1"));
    Jar vessel = crock.jar();
    String code =
        charge(
            cottage,
            Method.CROCK,
            List.of(herbIn("violet-leaf", Cut.CUT, HerbState.FRESH, 160, null)),
            List.of(
                new OilIn(
                    "sunflower-high-oleic", 1, today.plusMonths(14), today.minusDays(5), null)),
            900,
            JarIn.of(vessel),
            "Stove",
            today.minusDays(1),
            new Manner(false, null, null, List.of("free-water")));
    Instant begun = noon(cottage, 1);
    Instant on = begun.plus(Duration.ofMinutes(5));
    if (on.isBefore(clock.instant())) {
      acts.append(
          code,
          new PutOnHeat(
              new Heater(null, "Slow cooker", Appliance.SLOW_COOKER),
              new Knob("warm", 66.0, 2.5),
              null),
          on,
          null,
          key());
      acts.append(
          code,
          new FeltByHand(Assumed.HandTest.TOO_HOT_TO_HOLD),
          begun.plus(Duration.ofHours(5)),
          null,
          key());
    }
    Map.of(1, 3184, 4, 3139, 8, 3098, 11, 3078).entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .map(e -> Map.entry(begun.plus(Duration.ofHours(e.getKey())), e.getValue()))
        .filter(e -> e.getKey().isBefore(clock.instant()))
        .forEach(
            e ->
                acts.append(
                    code,
                    new PotWeighed(e.getValue(), e.getValue() + " g"),
                    e.getKey(),
                    null,
                    key()));
  }

  private HerbIn herbIn(String key, Cut cut, HerbState state, double grams, @Nullable UUID lot) {
    Herb herb = catalogue.herb(key);
    return new HerbIn(
        key,
        herb.bestPart(),
        cut,
        state,
        Range.exactly(grams),
        herb.waterFraction(state),
        Math.round(grams) + " g",
        lot);
  }

  private String charge(
      Household cottage,
      Method method,
      List<HerbIn> herbs,
      List<OilIn> oils,
      double oilMl,
      JarIn vessel,
      String placeName,
      LocalDate on,
      Manner manner) {
    return acts.charge(
            new Charged(
                method,
                herbs,
                oils,
                new Charged.Oil(Range.exactly(oilMl), Math.round(oilMl) + " ml"),
                vessel,
                ChargeOrder.USUAL_COVER_MM,
                Use.SKIN,
                places.one(placeName).stand(),
                new Charged.Begun(on, 0, false),
                true,
                manner),
            key())
        .code();
  }

  private Instant noon(Household cottage, int daysAgo) {
    return households
        .today(cottage)
        .minusDays(daysAgo)
        .atTime(LocalTime.NOON)
        .atZone(cottage.zone())
        .toInstant();
  }

  private static String key() {
    return UUID.randomUUID().toString();
  }
}
