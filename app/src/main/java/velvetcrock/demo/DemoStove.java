package velvetcrock.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.BatchReadings;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Bath;
import velvetcrock.core.batch.BathToppedUp;
import velvetcrock.core.batch.BottleIn;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HeatAnswer;
import velvetcrock.core.batch.HeatAnswered;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.KnobTurned;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.Charger;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.charge.Ratio;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.ThermalPot;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.materia.Method;
import velvetcrock.core.yield.Expression;
import velvetcrock.kitchen.Appliances;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Places;

/**
 * Puts pots on the demo's stove: one in its band, one that overshot, and what was learned before.
 */
@Component
@Order(4)
class DemoStove implements DemoPart {
  private static final double NOISE_C = 0.2;
  private static final double ROOM_C = 19;
  private static final int LEARNED_DAYS_AGO = 9;
  private static final int LEARNED_HOURS = 10;

  private final Batches batches;
  private final BatchActs acts;
  private final BatchReadings readings;
  private final Appliances appliances;
  private final Places places;
  private final Catalogue catalogue;
  private final Clock clock;
  private final Random noise = new Random(7);

  DemoStove(
      Batches batches,
      BatchActs acts,
      BatchReadings readings,
      Appliances appliances,
      Places places,
      Catalogue catalogue,
      Clock clock) {
    this.batches = batches;
    this.acts = acts;
    this.readings = readings;
    this.appliances = appliances;
    this.places = places;
    this.catalogue = catalogue;
    this.clock = clock;
  }

  /** The knob is turned after so many minutes. */
  private record Turn(int minute, String setting) {}

  @Override
  public void furnish(Household cottage) {
    Appliances.Owned crock = appliances.add("The velvet crock", Appliance.SLOW_COOKER);
    Appliances.Owned plate = appliances.add("Electric plate", Appliance.ELECTRIC_PLATE);
    learned(cottage, crock);
    inTheBand(cottage, plate);
    overshot(cottage, crock);
  }

  private void inTheBand(Household cottage, Appliances.Owned plate) {
    Instant now = clock.instant();
    Instant on = later(cottage, now, now.minus(Duration.ofMinutes(200)));
    String code = charge(cottage, Method.WARM, "yarrow", 45, "rapeseed", "jar-720", now);
    Bath bath = new Bath("Preserving pan", 60, 20, 260, 60);
    putOn(code, plate, "1", bath, on);
    int minutes = (int) Duration.between(on, now).toMinutes();
    watch(code, Appliance.ELECTRIC_PLATE, List.of(new Turn(0, "1")), on, minutes);
    acts.append(code, new BathToppedUp(), now.minus(Duration.ofMinutes(6)), null, key());
  }

  /** Somebody set the crock to high, went to the pier, and came back to oil at 98 °C. */
  private void overshot(Household cottage, Appliances.Owned crock) {
    Instant now = clock.instant();
    Instant on = later(cottage, now, now.minus(Duration.ofHours(9)));
    String code = charge(cottage, Method.CROCK, "rosehip-shell", 110, "jojoba", "jar-720", now);
    putOn(code, crock, "high", null, on);
    int minutes = (int) Duration.between(on, now).toMinutes();
    List<Turn> turns = new ArrayList<>(List.of(new Turn(0, "high")));
    if (minutes > 74) {
      turns.add(new Turn(74, "off"));
      turns.add(new Turn(110, "warm"));
      turns.stream()
          .skip(1)
          .forEach(
              t ->
                  acts.append(
                      code,
                      new KnobTurned(new Knob(t.setting(), null, null)),
                      on.plus(Duration.ofMinutes(t.minute())),
                      null,
                      key()));
    }
    watch(code, Appliance.SLOW_COOKER, turns, on, minutes);
  }

  /**
   * The one who found the overshoot wrote down what he did; its time is logged once all is stored.
   */
  void answer() {
    for (BatchRecord batch : batches.standing()) {
      batch.state().heat().excursions().stream()
          .filter(hot -> hot.answer() == null && hot.to() != null)
          .forEach(
              hot ->
                  acts.append(
                      batch.code(),
                      new HeatAnswered(hot.from(), HeatAnswer.SWITCHED_OFF),
                      hot.to(),
                      null,
                      "answered:" + hot.from()));
    }
  }

  /** A batch long since in its bottle, from which the crock's warm was learned. */
  private void learned(Household cottage, Appliances.Owned crock) {
    Instant on = clock.instant().minus(Duration.ofDays(LEARNED_DAYS_AGO));
    String code = charge(cottage, Method.CROCK, "self-heal", 40, "rapeseed", "jar-370", on);
    putOn(code, crock, "warm", null, on);
    watch(code, Appliance.SLOW_COOKER, List.of(new Turn(0, "warm")), on, LEARNED_HOURS * 60);
    Instant off = on.plus(Duration.ofHours(LEARNED_HOURS));
    acts.append(code, new TakenOffHeat(), off, null, key());
    BatchReckoning reckoning = new BatchReckoning(catalogue, batches.find(code).state());
    Range predicted = reckoning.yield(Expression.SQUEEZE).rangeMl();
    Instant strained = off.plus(Duration.ofMinutes(40));
    acts.append(
        code, new Strained(195, "195 ml", Expression.SQUEEZE, predicted), strained, null, key());
    acts.append(
        code,
        new Bottled(
            List.of(
                new BottleIn(
                    "A",
                    190,
                    200,
                    Store.Place.COOL,
                    Store.Glass.AMBER,
                    Store.Antioxidant.NONE,
                    true))),
        strained.plus(Duration.ofHours(3)),
        null,
        key());
  }

  /** Not before the batch's day began, so that its log holds together. */
  private static Instant later(Household cottage, Instant now, Instant wanted) {
    Instant morning =
        now.atZone(cottage.zone())
            .toLocalDate()
            .minusDays(1)
            .atStartOfDay(cottage.zone())
            .toInstant();
    return wanted.isBefore(morning) ? morning : wanted;
  }

  private void putOn(
      String code, Appliances.Owned known, String setting, @Nullable Bath bath, Instant at) {
    acts.append(
        code,
        new PutOnHeat(
            new Heater(known.id().toString(), known.name(), known.kind()),
            new Knob(setting, null, null),
            bath),
        at,
        null,
        key());
  }

  /** Reads the stand-in once a minute. */
  private void watch(String code, Appliance appliance, List<Turn> turns, Instant on, int minutes) {
    ThermalPot pot = new ThermalPot(appliance, ROOM_C);
    List<Reading> read = new ArrayList<>();
    for (int minute = 0; minute < minutes; minute++) {
      int now = minute;
      turns.stream()
          .filter(t -> t.minute() == now)
          .forEach(t -> pot.turn(appliance.setting(t.setting())));
      read.add(
          new Reading(
              on.plus(Duration.ofMinutes(minute)), pot.celsius() + NOISE_C * noise.nextGaussian()));
      pot.run(60);
    }
    BatchRecord batch = batches.find(code);
    readings.add(batch, read);
  }

  private String charge(
      Household cottage,
      Method method,
      String herbKey,
      double grams,
      String carrier,
      String jarKey,
      Instant at) {
    Herb herb = catalogue.herb(herbKey);
    Jar jar = catalogue.jar(jarKey);
    ChargeOrder order =
        new ChargeOrder(
            List.of(HerbPortion.usual(herb, herb.bestPart(), Cut.CUT, HerbState.DRIED, grams)),
            CarrierBlend.of(catalogue.carrier(carrier)),
            new Ratio.WeightToVolume(Charger.USUAL_OIL_PER_HERB),
            Optional.of(jar),
            ChargeOrder.USUAL_COVER_MM);
    double most = Jar.FILL_LINE * jar.brimMl() - grams / 1.4;
    double oilMl =
        Math.floor(Math.min(most, new Charger(catalogue).defaultOilPerHerb(order) * grams));
    LocalDate on = at.atZone(cottage.zone()).toLocalDate().minusDays(1);
    return acts.charge(
            new Charged(
                method,
                List.of(
                    new HerbIn(
                        herbKey,
                        herb.bestPart(),
                        Cut.CUT,
                        HerbState.DRIED,
                        Range.exactly(grams),
                        Herb.WATER_DRIED,
                        Math.round(grams) + " g")),
                List.of(new OilIn(carrier, 1, on.plusMonths(13), on.minusDays(20), null)),
                new Charged.Oil(Range.exactly(oilMl), Math.round(oilMl) + " ml"),
                JarIn.of(jar),
                ChargeOrder.USUAL_COVER_MM,
                Use.SKIN,
                places.one("Stove").stand(),
                new Charged.Begun(on, 0, false),
                true,
                Manner.PLAIN),
            key())
        .code();
  }

  private static String key() {
    return UUID.randomUUID().toString();
  }
}
