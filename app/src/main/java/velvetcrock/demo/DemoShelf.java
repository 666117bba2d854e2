package velvetcrock.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.Range;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BottleChecked;
import velvetcrock.core.batch.BottleGone;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.BottleOpened;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.LookedBack;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.MarcWeighed;
import velvetcrock.core.batch.Noted;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Scent;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.ToppedUp;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.yield.Expression;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.kitchen.Places;

/** The demo household's jars and bottles. */
@Component
@Order(1)
class DemoShelf implements DemoPart {
  private static final String DARK = "Dark cupboard";
  private static final String COUNTER = "Counter";
  private static final String WINDOW = "South window";

  private final Households households;
  private final Places places;
  private final Batches batches;
  private final BatchActs acts;
  private final Catalogue catalogue;
  private final Clock clock;

  DemoShelf(
      Households households,
      Places places,
      Batches batches,
      BatchActs acts,
      Catalogue catalogue,
      Clock clock) {
    this.households = households;
    this.places = places;
    this.batches = batches;
    this.acts = acts;
    this.catalogue = catalogue;
    this.clock = clock;
  }

  @Override
  public void furnish(Household cottage) {
    furnishShelf(cottage);
    furnishCellar(cottage);
  }

  private void furnishShelf(Household cottage) {
    jar(cottage, "yarrow", Cut.CUT, 45, "rapeseed", "jar-720", DARK, 0);

    String heather =
        jar(cottage, "heather", Cut.CUT, 60, "sunflower-high-oleic", "jar-500", DARK, 3);
    say(cottage, heather, 1, new AllWell());
    say(cottage, heather, 0, new Looked(false, null, Bubbles.FEW, false, null, null));

    String myrtle = jar(cottage, "bog-myrtle", Cut.CUT, 95, "rapeseed", "jar-1000", DARK, 40);
    tend(cottage, myrtle, 40, 1);
    say(cottage, myrtle, 1, new Smelled(Scent.STRONG, OffSmell.NONE));
    say(cottage, myrtle, 1, new Looked(true, false, Bubbles.NONE, false, true, null));

    coloured(
        cottage,
        myrtle,
        new Colour(33, "#d9bd4a"),
        new Colour(26, "#c2a52f"),
        new Colour(17, "#a98d20"),
        new Colour(8, "#98801c"),
        new Colour(1, "#957e1d"));

    String mullein = jar(cottage, "mullein-flower", Cut.CUT, 14, "hazelnut", "jar-250", DARK, 12);
    tend(cottage, mullein, 12, 2);

    String violet =
        jar(cottage, "violet-leaf", Cut.CUT, 40, "sunflower-high-oleic", "jar-500", COUNTER, 61);
    tend(cottage, violet, 61, 4);
    say(cottage, violet, 30, new Noted("Smells of cucumber. For the wool spinners’ hands."));

    String selfHeal =
        jar(cottage, "self-heal", Cut.WHOLE, 28, "sunflower-high-oleic", "jar-370", COUNTER, 15);
    tend(cottage, selfHeal, 15, 4);
    say(cottage, selfHeal, 0, new Looked(false, true, null, true, null, null));

    takenOn(cottage);

    coloured(
        cottage,
        violet,
        new Colour(54, "#d8cf7a"),
        new Colour(40, "#a8ad48"),
        new Colour(26, "#7f8a2e"),
        new Colour(5, "#76822b"));

    String rosehip = jar(cottage, "rosehip-shell", Cut.CUT, 70, "jojoba", "jar-500", WINDOW, 21);
    tend(cottage, rosehip, 21, 1);

    coloured(cottage, rosehip, new Colour(14, "#e2b45a"), new Colour(3, "#d48f3a"));

    String meadowsweet = jar(cottage, "meadowsweet", Cut.CUT, 16, "rapeseed", "jar-250", WINDOW, 6);
    tend(cottage, meadowsweet, 6, 1);
    say(cottage, meadowsweet, 0, new Looked(true, true, Bubbles.FEW, false, null, null));
  }

  private record Colour(int daysAgo, String hex) {}

  /** Notes colours by eye. */
  private void coloured(Household cottage, String code, Colour... colours) {
    for (Colour seen : colours) {
      say(cottage, code, seen.daysAgo(), new Coloured(Rgb.of(seen.hex()), false, null));
    }
  }

  private void takenOn(Household cottage) {
    Herb herb = catalogue.herb("elderflower");
    Jar jar = catalogue.jar("jar-500");
    Range herbG =
        catalogue
            .looseRange(herb, herb.bestPart(), Cut.CUT, HerbState.DRIED)
            .times(0.66 * jar.brimMl());
    charge(
        cottage,
        new HerbIn(
            "elderflower", herb.bestPart(), Cut.CUT, HerbState.DRIED, herbG, Herb.WATER_DRIED, ""),
        "sunflower-high-oleic",
        new Range(
            0.75 * jar.brimMl() - herbG.high() / 1.4,
            Jar.FILL_LINE * jar.brimMl() - herbG.low() / 1.4),
        jar,
        COUNTER,
        26,
        7);
  }

  private void furnishCellar(Household cottage) {
    String yarrow = jar(cottage, "yarrow", Cut.CUT, 45, "rapeseed", "jar-720", DARK, 150);
    tend(cottage, yarrow, 150, 110);
    strain(
        cottage,
        yarrow,
        108,
        440,
        List.of(
            bottle("A", 250, Store.Place.COOL),
            bottle("B", 100, Store.Place.FRIDGE),
            bottle("C", 90, Store.Place.COOL)));
    say(cottage, yarrow, 107, new MarcWeighed(112, "112 g"));
    say(
        cottage,
        yarrow,
        106,
        new LookedBack(
            "Clear, deep gold after six weeks; nothing settled.",
            "Cut it finer: the stalks stayed pale inside."));

    String pine =
        jar(cottage, "scots-pine-bud", Cut.CUT, 60, "sunflower-high-oleic", "jar-370", DARK, 50);
    tend(cottage, pine, 50, 3);
    strain(cottage, pine, 1, 210, List.of(bottleOpen("A", 200)));

    String heather = jar(cottage, "heather", Cut.CUT, 40, "rapeseed", "jar-500", DARK, 300);
    tend(cottage, heather, 300, 276);
    strain(
        cottage,
        heather,
        275,
        230,
        List.of(bottle("A", 120, Store.Place.WARM), bottle("B", 100, Store.Place.ROOM)));
    say(cottage, heather, 89, new BottleOpened("A"));
    say(
        cottage,
        heather,
        40,
        new LookedBack("", "Keep it out of the window: it aged faster than it drew."));

    String mugwort = jar(cottage, "mugwort", Cut.CUT, 20, "hemp", "jar-370", DARK, 260);
    tend(cottage, mugwort, 260, 225);
    strain(cottage, mugwort, 224, 200, List.of(bottle("A", 200, Store.Place.ROOM)));
    say(cottage, mugwort, 70, new BottleChecked("A", OffSmell.RANCID, false, false));
    say(cottage, mugwort, 70, new BottleGone("A", Ending.RANCID));

    String meadowsweet = jar(cottage, "meadowsweet", Cut.CUT, 20, "hazelnut", "jar-370", DARK, 120);
    tend(cottage, meadowsweet, 120, 82);
    strain(
        cottage,
        meadowsweet,
        80,
        205,
        List.of(bottle("A", 100, Store.Place.ROOM), bottle("B", 100, Store.Place.COOL)));
  }

  private static BottleIn bottle(String letter, double ml, Store.Place place) {
    return new BottleIn(letter, ml, ml, place, Store.Glass.AMBER, Store.Antioxidant.NONE, true);
  }

  private static BottleIn bottleOpen(String letter, double ml) {
    return new BottleIn(
        letter, ml, ml, Store.Place.COOL, Store.Glass.CLEAR, Store.Antioxidant.VITAMIN_E, false);
  }

  /** Charges a jar by the book so many days ago; hands back its code. */
  private String jar(
      Household cottage,
      String herbKey,
      Cut cut,
      double grams,
      String carrier,
      String jarKey,
      String place,
      int daysAgo) {
    Herb herb = catalogue.herb(herbKey);
    Jar jar = catalogue.jar(jarKey);
    HerbPortion portion = HerbPortion.usual(herb, herb.bestPart(), cut, HerbState.DRIED, grams);
    ChargeOrder order =
        new ChargeOrder(
            List.of(portion),
            CarrierBlend.of(catalogue.carrier(carrier)),
            new Ratio.WeightToVolume(Charger.USUAL_OIL_PER_HERB),
            Optional.of(jar),
            ChargeOrder.USUAL_COVER_MM);
    double most = Jar.FILL_LINE * jar.brimMl() - grams / 1.4;
    double oil = Math.min(most, new Charger(catalogue).defaultOilPerHerb(order) * grams);
    return charge(
        cottage,
        new HerbIn(
            herbKey,
            herb.bestPart(),
            cut,
            HerbState.DRIED,
            Range.exactly(grams),
            Herb.WATER_DRIED,
            Math.round(grams) + " g"),
        carrier,
        Range.exactly(Math.floor(oil)),
        jar,
        place,
        daysAgo,
        0);
  }

  private String charge(
      Household cottage,
      HerbIn herb,
      String carrier,
      Range oilMl,
      Jar jar,
      String placeName,
      int daysAgo,
      int about) {
    Place place = places.one(placeName);
    LocalDate on = households.today(cottage).minusDays(daysAgo);
    Charged charged =
        new Charged(
            place.method(),
            List.of(herb),
            List.of(
                new OilIn(
                    carrier,
                    1,
                    on.plusMonths(catalogue.carrier(carrier).keepsMonths() - 1),
                    on,
                    null)),
            new Charged.Oil(oilMl, ""),
            new JarIn(jar.name(), jar.brimMl(), jar.innerDiameterMm()),
            ChargeOrder.USUAL_COVER_MM,
            Use.SKIN,
            place.stand(),
            new Charged.Begun(on, about, about > 0),
            about == 0,
            Manner.PLAIN);
    return acts.charge(charged, UUID.randomUUID().toString()).code();
  }

  /** Tends a jar as the round asks, from the day after charging until so many days ago. */
  private void tend(Household cottage, String code, int chargedDaysAgo, int untilDaysAgo) {
    for (int day = 1; chargedDaysAgo - day >= untilDaysAgo; day++) {
      if (day <= 7 || day % 7 == 0) {
        say(cottage, code, chargedDaysAgo - day, new AllWell());
      }
      if (day == 2) {
        BatchRecord batch = batches.find(code);
        double ml = Math.floor(new BatchReckoning(catalogue, batch.state()).charge().topUpMl());
        String carrier = batch.state().charge().carriers().get(0).carrier();
        say(cottage, code, chargedDaysAgo - day, new ToppedUp(ml, carrier, Math.round(ml) + " ml"));
      }
    }
  }

  private void strain(
      Household cottage, String code, int daysAgo, double ml, List<BottleIn> bottles) {
    BatchReckoning reckoning = new BatchReckoning(catalogue, batches.find(code).state());
    Range predicted = reckoning.yield(Expression.SQUEEZE).rangeMl();
    say(
        cottage,
        code,
        daysAgo,
        new Strained(ml, Math.round(ml) + " ml", Expression.SQUEEZE, predicted));
    say(cottage, code, daysAgo, new Bottled(bottles));
  }

  private void say(Household cottage, String code, int daysAgo, BatchEvent event) {
    Instant now = clock.instant();
    LocalDate day = households.today(cottage).minusDays(daysAgo);
    Instant morning = day.atTime(LocalTime.of(8, 10)).atZone(cottage.zone()).toInstant();
    Instant at = morning.isAfter(now) ? now : morning;
    acts.append(code, event, daysAgo == 0 ? at : morning, null, UUID.randomUUID().toString());
  }
}
