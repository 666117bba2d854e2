package velvetcrock.stove;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.Bath;
import velvetcrock.core.batch.HeatAnswer;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.core.measure.Units;
import velvetcrock.web.Flat;
import velvetcrock.web.Forms;
import velvetcrock.web.Typed;

/**
 * What is done at the stove, as it was typed.
 *
 * @param kind what it is
 * @param appliance id or kind of what the pot stands on
 * @param setting position of the knob
 * @param water the water that it stands in
 * @param watts what goes into evaporation, W
 * @param felt what a hand felt
 * @param temperature a reading with its scale, such as {@code 43 C}
 * @param from the excursion that is answered
 * @param answer what was done
 * @param place where it is carried to when it comes off; empty to leave it
 * @param happened when, as a date and time of the household; empty for now
 * @param key names the entry, so that a second tap writes it once
 */
record StoveForm(
    @Nullable String kind,
    @Nullable String appliance,
    @Nullable String setting,
    @Flat BathFields water,
    @Nullable String watts,
    @Nullable String felt,
    @Nullable String temperature,
    @Nullable String from,
    @Nullable String answer,
    @Nullable String place,
    @Nullable String happened,
    @Nullable String key) {

  /**
   * The water that it stands in.
   *
   * @param bathName name of the water bath; empty where there is none
   * @param bathWidth its inner width, cm
   * @param bathDepth its water when full, cm
   */
  record BathFields(
      @Nullable String bathName, @Nullable String bathWidth, @Nullable String bathDepth) {}

  private static final double MM_PER_CM = 10;

  /** A bath wants water when a third of it is left. */
  private static final double LOWEST_SHARE = 1 / 3.0;

  private static final int LONGEST_SETTING = 40;

  static StoveForm empty() {
    return Forms.blank(StoveForm.class);
  }

  String knobName() {
    String name = Typed.text(setting);
    if (name.isEmpty() || name.length() > LONGEST_SETTING) {
      throw new Refused(
          "setting",
          "Say where its knob is, such as low, in at most " + LONGEST_SETTING + " letters.");
    }
    return name;
  }

  @Nullable Bath bath() {
    if (Typed.blank(water.bathName())) {
      return null;
    }
    Problems problems = new Problems();
    Double width =
        problems.attempt("bathWidth", () -> Typed.number(water.bathWidth(), 3, 100, "centimetres"));
    Double depth =
        problems.attempt(
            "bathDepth", () -> Typed.number(water.bathDepth(), 0.5, 50, "centimetres"));
    Double power = problems.attempt("watts", () -> Typed.number(watts, 0, 5000, "watts"));
    problems.refuseIfAny();
    return new Bath(
        Typed.text(water.bathName()),
        depth * MM_PER_CM,
        depth * MM_PER_CM * LOWEST_SHARE,
        width * MM_PER_CM,
        power);
  }

  Assumed.HandTest test() {
    return Typed.named(Assumed.HandTest.class, felt, "felt");
  }

  HeatAnswer answered() {
    return Typed.named(HeatAnswer.class, answer, "answer");
  }

  Instant excursion() {
    try {
      return Instant.parse(Typed.text(from));
    } catch (DateTimeParseException e) {
      throw new Refused("from", "Choose the time above the ceiling that you answer.");
    }
  }

  double celsius(Units.Degrees own) {
    Problems problems = new Problems();
    Double celsius =
        problems.attempt(
            "temperature", () -> Temperatures.read(Typed.text(temperature), own).middle());
    problems.refuseIfAny();
    return java.util.Objects.requireNonNull(celsius);
  }

  /** When it happened; null for now. */
  @Nullable Instant at(ZoneId zone) {
    if (Typed.blank(happened)) {
      return null;
    }
    try {
      return LocalDateTime.parse(Typed.text(happened)).atZone(zone).toInstant();
    } catch (DateTimeParseException e) {
      throw new Refused("happened", "“" + Typed.text(happened) + "” is not a date and time.");
    }
  }
}
