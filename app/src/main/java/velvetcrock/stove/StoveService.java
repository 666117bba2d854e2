package velvetcrock.stove;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.BatchReadings;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Written;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Bath;
import velvetcrock.core.batch.BathToppedUp;
import velvetcrock.core.batch.FeltByHand;
import velvetcrock.core.batch.HeatAnswered;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.KnobTurned;
import velvetcrock.core.batch.Moved;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.TakenOffHeat;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.Settled;
import velvetcrock.core.heat.ThermalPot;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.kitchen.Appliances;
import velvetcrock.kitchen.Appliances.Owned;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Places;
import velvetcrock.web.Happened;
import velvetcrock.web.Typed;

/** Does at the stove what its forms ask for. */
@Service
class StoveService {
  private static final java.time.Duration CLOCK_DIFFERENCE = java.time.Duration.ofMinutes(2);

  private final BatchActs acts;
  private final BatchReadings readings;
  private final Appliances appliances;
  private final Places places;
  private final Clock clock;
  private final Map<String, Settled> typical = new ConcurrentHashMap<>();

  StoveService(
      BatchActs acts, BatchReadings readings, Appliances appliances, Places places, Clock clock) {
    this.acts = acts;
    this.readings = readings;
    this.appliances = appliances;
    this.places = places;
    this.clock = clock;
  }

  /**
   * Does it.
   *
   * @return what was done, in words
   * @throws Refused at the field that cannot be read
   */
  @Transactional
  public String log(BatchRecord batch, StoveForm form, Happened when, Household house) {
    Instant at = when.at();
    String key = Typed.text(form.key());
    return switch (Typed.text(form.kind())) {
      case "put-on" -> putOn(batch, form, house, at, key);
      case "knob" -> turn(batch, form, at, key);
      case "off" -> off(batch, form, at, key);
      case "felt" -> {
        append(batch, new FeltByHand(form.test()), at, key);
        yield "Felt and noted.";
      }
      case "bath" -> topUp(batch, at, key);
      case "answer" -> {
        append(batch, new HeatAnswered(form.excursion(), form.answered()), at, key);
        yield "The answer is in the log.";
      }
      case "read" -> read(batch, form.celsius(house.units().degrees()), at);
      default -> throw new Refused("kind", "Choose what to log.");
    };
  }

  private Written append(BatchRecord batch, BatchEvent event, @Nullable Instant at, String key) {
    return acts.append(batch.code(), event, at, null, key);
  }

  private String putOn(
      BatchRecord batch, StoveForm form, Household house, @Nullable Instant at, String key) {
    Bath bath = form.bath(house.units());
    String setting = form.knobName();
    Owned known = appliances.choose(Typed.text(form.appliance()));
    Heater heater = new Heater(known.id().toString(), known.name(), known.kind());
    append(batch, new PutOnHeat(heater, knob(known, setting), bath), at, key);
    return batch.code() + " is on the heat.";
  }

  private String turn(BatchRecord batch, StoveForm form, @Nullable Instant at, String key) {
    BatchState.Stint stint =
        batch.state().heat().now().orElseThrow(() -> new Refused("kind", "It is not on the heat."));
    String id = stint.heater().key();
    Owned known = appliances.choose(id == null ? stint.heater().kind().name() : id);
    append(batch, new KnobTurned(knob(known, form.knobName())), at, key);
    return "The knob is at " + form.knobName() + ".";
  }

  /** What a setting comes to: learned in this kitchen, else typical of its kind, else not known. */
  private Knob knob(Owned known, String setting) {
    Optional<Settled> settled =
        known.of(setting).map(Appliances.Learned::settled).or(() -> typical(known.kind(), setting));
    return new Knob(
        setting,
        settled.map(Settled::meanC).orElse(null),
        settled.map(s -> Math.max(0.1, s.minutes() / 60)).orElse(null));
  }

  private Optional<Settled> typical(Appliance kind, String setting) {
    Appliance.Setting known = kind.setting(setting);
    return known.equals(Appliance.OFF)
        ? Optional.empty()
        : Optional.of(
            typical.computeIfAbsent(kind + " " + setting, name -> ThermalPot.typical(kind, known)));
  }

  private String off(BatchRecord batch, StoveForm form, @Nullable Instant at, String key) {
    append(batch, new TakenOffHeat(), at, key);
    if (!Typed.blank(form.place())) {
      Stand stand = places.one(Typed.text(form.place())).stand();
      append(batch, new Moved(stand), at, key + ":moved");
      return "Off the heat and carried to " + stand.name() + ".";
    }
    return "Off the heat.";
  }

  /** One jug fills the bath for every pot that stands in it. */
  private String topUp(BatchRecord batch, @Nullable Instant at, String key) {
    int pots = 1 + append(batch, new BathToppedUp(), at, key).also().size();
    return pots == 1 ? "The bath is full again." : "The bath is full again for " + pots + " pots.";
  }

  private String read(BatchRecord batch, double celsius, @Nullable Instant at) {
    Instant when = at == null ? clock.instant() : at;
    if (when.isAfter(clock.instant().plus(CLOCK_DIFFERENCE))) {
      throw new Refused("happened", "That has not happened yet.");
    }
    if (when.isBefore(readings.earliest(batch))) {
      throw new Refused("happened", BatchReadings.tooEarly(batch));
    }
    int added = readings.add(batch, List.of(new Reading(when, celsius)));
    return added == 1 ? "Read and noted." : "There is a reading of that time already.";
  }
}
