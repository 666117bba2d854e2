package velvetcrock.stove;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.Bath;
import velvetcrock.core.batch.HeatAnswer;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.measure.Lengths;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.core.measure.Units;
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
    @JsonUnwrapped BathFields water,
    @Nullable String watts,
    @Nullable String felt,
    @Nullable String temperature,
    @Nullable String from,
    @Nullable String answer,
    @Nullable String place,
    @Nullable String key) {

  /**
   * The water that it stands in.
   *
   * @param bathName name of the water bath; empty where there is none
   * @param bathWidth its inner width
   * @param bathDepth its water when full
   */
  record BathFields(
      @Nullable String bathName, @Nullable String bathWidth, @Nullable String bathDepth) {}

  private static final double NARROWEST_BATH_MM = 30;
  private static final double WIDEST_BATH_MM = 1000;
  private static final double SHALLOWEST_BATH_MM = 5;
  private static final double DEEPEST_BATH_MM = 500;

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

  @Nullable Bath bath(Units units) {
    if (Typed.blank(water.bathName())) {
      return null;
    }
    Problems problems = new Problems();
    Double width =
        problems.attempt(
            "bathWidth", () -> mm(water.bathWidth(), NARROWEST_BATH_MM, WIDEST_BATH_MM, units));
    Double depth =
        problems.attempt(
            "bathDepth", () -> mm(water.bathDepth(), SHALLOWEST_BATH_MM, DEEPEST_BATH_MM, units));
    Double power = problems.attempt("watts", () -> Typed.number(watts, 0, 5000, "watts"));
    problems.refuseIfAny();
    return new Bath(Typed.text(water.bathName()), depth, depth * LOWEST_SHARE, width, power);
  }

  private static double mm(@Nullable String typed, double least, double most, Units units) {
    double mm = Lengths.mm(Typed.text(typed), units.lengths().large());
    if (mm < least || mm > most) {
      throw new Refused(
          "",
          "Between " + (int) least + " mm and " + (int) most + " mm; “" + typed + "” was read.");
    }
    return mm;
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
        problems.attempt("temperature", () -> Temperatures.shown(Typed.text(temperature), own));
    problems.refuseIfAny();
    return java.util.Objects.requireNonNull(celsius);
  }
}
