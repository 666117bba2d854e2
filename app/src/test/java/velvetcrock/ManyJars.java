package velvetcrock;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.BatchActs;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.BottleOpened;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.Moved;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.OilPoured;
import velvetcrock.core.batch.PotWeighed;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.Scent;
import velvetcrock.core.batch.Shaken;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.SpiritIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.batch.ThrownOut;
import velvetcrock.core.batch.ToppedUp;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.yield.Expression;

/** Makes jars of every method, herb, state and history, the same ones from the same seed. */
final class ManyJars {
  private static final List<String> OILS =
      List.of("rapeseed", "sunflower-high-oleic", "jojoba", "coconut", "hazelnut", "olive");

  private final BatchActs acts;
  private final Catalogue catalogue;
  private final List<Stand> places;
  private final Clock clock;
  private final LocalDate today;
  private final Random random;

  /** Makes so many in a house; hands back their codes. */
  static List<String> in(AppTest house, Catalogue catalogue, Clock clock, long seed, int jars) {
    return house.as(
        house.keeper,
        () ->
            new ManyJars(
                    house.acts,
                    catalogue,
                    house.places.all().stream().map(p -> p.stand()).toList(),
                    clock,
                    house.today(),
                    seed)
                .make(jars));
  }

  private ManyJars(
      BatchActs acts,
      Catalogue catalogue,
      List<Stand> places,
      Clock clock,
      LocalDate today,
      long seed) {
    this.acts = acts;
    this.catalogue = catalogue;
    this.places = places;
    this.clock = clock;
    this.today = today;
    this.random = new Random(seed);
  }

  /** Charges jars until there are so many, and lets each live; hands back their codes. */
  private List<String> make(int count) {
    List<String> codes = new ArrayList<>();
    while (codes.size() < count) {
      Method method = Method.values()[codes.size() % Method.values().length];
      int days = method.heated() ? random.nextInt(3) : random.nextInt(75);
      String code = charge(method, days);
      if (code != null) {
        live(code, method, days);
        codes.add(code);
      }
    }
    return codes;
  }

  private @Nullable String charge(Method method, int days) {
    Herb herb = any(List.copyOf(catalogue.herbs()));
    HerbState state = any(List.of(HerbState.values()));
    LocalDate on = today.minusDays(days);
    double g = 10 + random.nextInt(40);
    SpiritIn spirit =
        method == Method.SPIRIT ? new SpiritIn(95, Math.round(g / 2), g / 2 + " g", null) : null;
    List<OilIn> oils = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(2); i++) {
      oils.add(
          new OilIn(
              OILS.get((random.nextInt(3) + 3 * i)),
              1,
              on.plusMonths(4 + random.nextInt(14)),
              null,
              null));
    }
    try {
      return acts.charge(
              new Charged(
                  method,
                  List.of(
                      new HerbIn(
                          herb.key(),
                          any(List.copyOf(herb.parts())),
                          any(List.of(Cut.values())),
                          state,
                          Range.exactly(g),
                          state == HerbState.DRIED ? 0.1 : 0.3 + random.nextDouble() / 2,
                          g + " g")),
                  oils,
                  new Charged.Oil(Range.exactly(250 + random.nextInt(450)), ""),
                  new JarIn("Litre jar", 1060, 95),
                  12,
                  Use.SKIN,
                  any(places),
                  new Charged.Begun(on, random.nextInt(5) == 0 && days > 5 ? 2 : 0, false),
                  true,
                  new Manner(false, spirit, null, List.of())),
              key())
          .code();
    } catch (Refused refused) {
      return null;
    }
  }

  /** What happened to it since: heat, looks, water that leaves, straining, bottles, an end. */
  private void live(String code, Method method, int days) {
    Instant now = clock.instant();
    if (method == Method.SPIRIT && random.nextInt(4) > 0) {
      log(code, new OilPoured(400, "400 ml", null), now.minus(Duration.ofDays(days / 2)));
    }
    if ((method.heated() || method == Method.TWO_STAGE) && random.nextInt(4) > 0) {
      Instant on = now.minus(Duration.ofMinutes(20 + random.nextInt(60 * 24)));
      log(code, new PutOnHeat(heater(), new Knob("low", null, null), null), on);
      if (random.nextInt(3) == 0) {
        log(code, new TakenOffHeat(), now.minus(Duration.ofMinutes(10)));
      }
    }
    if (random.nextInt(2) == 0) {
      log(code, new PotWeighed(900 + random.nextInt(300), "weighed"), now);
    }
    if (random.nextInt(2) == 0) {
      log(code, new Shaken(), now.minus(Duration.ofDays(random.nextInt(4))));
    }
    if (random.nextInt(2) == 0) {
      log(
          code,
          new Looked(
              random.nextInt(4) > 0,
              flag(),
              any(List.of(Bubbles.values())),
              random.nextInt(20) == 0,
              flag(),
              flag()),
          null);
    }
    if (random.nextInt(3) == 0) {
      log(code, new Smelled(any(List.of(Scent.values())), null), null);
    }
    if (random.nextInt(4) == 0) {
      log(code, new ToppedUp(20, "jojoba", "20 ml"), null);
    }
    if (random.nextInt(5) == 0) {
      log(code, new Moved(any(places)), now.minus(Duration.ofDays(random.nextInt(3))));
    }
    if (random.nextInt(3) == 0) {
      bottle(code);
    }
    if (random.nextInt(15) == 0) {
      log(code, new ThrownOut(any(List.of(Ending.values()))), null);
    }
  }

  private void bottle(String code) {
    log(
        code,
        new Strained(240, "240 ml", any(List.of(Expression.values())), new Range(200, 260)),
        null);
    log(code, new Bottled(List.of(bottle("A", 150), bottle("B", 80))), null);
    if (flag()) {
      log(code, new BottleOpened("A"), null);
      log(code, new Drawn("A", 40, "40 ml", "a try"), null);
    }
  }

  private BottleIn bottle(String letter, double ml) {
    return new BottleIn(
        letter,
        ml,
        ml,
        any(List.of(Store.Place.values())),
        any(List.of(Store.Glass.values())),
        any(List.of(Store.Antioxidant.values())),
        true);
  }

  private static Heater heater() {
    return new Heater(null, "Slow cooker", Appliance.SLOW_COOKER);
  }

  /** What the house refuses did not happen. */
  private void log(String code, BatchEvent event, @Nullable Instant at) {
    try {
      acts.append(code, event, at, null, key());
    } catch (Refused refused) {
      // It was not to be; the jar lives on without it.
      return;
    }
  }

  private boolean flag() {
    return random.nextBoolean();
  }

  private <T> T any(List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  private static String key() {
    return UUID.randomUUID().toString();
  }
}
