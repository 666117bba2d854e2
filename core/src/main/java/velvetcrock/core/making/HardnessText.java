package velvetcrock.core.making;

import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Figures;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.Quantity;
import velvetcrock.core.measure.RatioText;
import velvetcrock.core.measure.Units;

/**
 * Hardness as people type it: a number, wax to oil by weight ({@code 1:5}), or so much wax to so
 * much oil, each by weight or volume ({@code 3 tbsp to 1 cup}, {@code 2 oz to a cup}, {@code 20 g
 * to 100 ml}); a volume of wax is loose pellets.
 */
public final class HardnessText {
  private static final Pattern RATIO =
      Pattern.compile(
          "(?:1|one)(?:\\s*part)?\\s*(?::|to|in)\\s*(\\d+(?:[.,]\\d+)?|\\p{L}+)(?:\\s*parts?)?",
          Pattern.CASE_INSENSITIVE);
  private static final Pattern TO =
      Pattern.compile("(.+?)\\s+(?:to|per|in)\\s+(.+)", Pattern.CASE_INSENSITIVE);
  private static final double MOST = 90;
  private static final double MOST_PARTS = 1000;
  private static final double HUNDRED_ML = 100;

  private final Wax wax;
  private final Carrier oil;
  private final Units units;

  /** Reads for a wax in a liquid oil, in a household’s units. */
  public HardnessText(Wax wax, Carrier oil, Units units) {
    this.wax = wax;
    this.oil = oil;
    this.units = units;
  }

  /**
   * Reads a hardness.
   *
   * @throws Refused at {@code hardness} if it is none of them, or outside 1 to 90
   */
  public double read(String typed) {
    String text = typed.strip();
    double hardness = value(text);
    if (!(hardness >= 1 && hardness <= MOST)) {
      throw new Refused("hardness", "Hardness lies between 1 and 90; “" + text + "” was read.");
    }
    return hardness;
  }

  private double value(String text) {
    Matcher ratio = RATIO.matcher(text);
    if (ratio.matches()) {
      double parts = RatioText.read(ratio.group(1).replace(',', '.'), MOST_PARTS);
      return Formula.hardnessOfRatio(wax.hardness(), parts);
    }
    try {
      return Double.parseDouble(text.replace(',', '.'));
    } catch (NumberFormatException e) {
      return amounts(text);
    }
  }

  /** So much wax to so much oil, each by weight or by volume. */
  private double amounts(String text) {
    Matcher said = TO.matcher(text);
    if (said.matches()) {
      try {
        double waxG = grams(said.group(1), wax.pelletDensity());
        double oilG = grams(said.group(2), oil.body().density20());
        return Formula.hardnessOfRatio(wax.hardness(), oilG / waxG);
      } catch (Refused refused) {
        // said below, with all ways
      }
    }
    throw new Refused(
        "hardness",
        "“" + text + "” was read. Expected 16, 1:5, 20 g to 100 ml, or 3 tbsp to 1 cup.");
  }

  private double grams(String typed, double density) {
    boolean counted = typed.chars().anyMatch(Character::isDigit) || typed.contains(" ");
    Measure read = new MeasureReader(units.kitchen()).read(counted ? typed : "1 " + typed);
    return read.amount().middle() * (read.isWeight() ? 1 : density);
  }

  /** A ratio as it is written, such as {@code 1:5.3}; empty for none. */
  public static String ratio(OptionalDouble oilPerWax) {
    return oilPerWax.isEmpty()
        ? ""
        : "1:" + Figures.plain(Math.round(oilPerWax.getAsDouble() * 10) / 10.0);
  }

  /**
   * Wax to oil as a cook takes it: spoons of loose pellets to a cup, a guess, as pellets pack as
   * they like; or grams to 100 ml where volumes are read in ml.
   */
  public String asCooked(double hardness) {
    double oilPerWax = Formula.oilPerWax(wax.hardness(), hardness);
    double density = oil.body().density20();
    if (units.metric(Quantity.VOLUME)) {
      double waxG = HUNDRED_ML * density / oilPerWax;
      return "about " + Figures.plain(Math.max(1, Math.round(waxG))) + " g to 100 ml of oil";
    }
    MeasureReader reader = new MeasureReader(units.kitchen());
    double waxG = reader.read("1 cup").amount().middle() * density / oilPerWax;
    double spoonMl = reader.read("1 tbsp").amount().middle();
    double spoons = Math.max(0.5, Math.round(2 * waxG / wax.pelletDensity() / spoonMl) / 2.0);
    return "about " + Figures.plain(spoons) + " tbsp of pellets to a cup";
  }
}
