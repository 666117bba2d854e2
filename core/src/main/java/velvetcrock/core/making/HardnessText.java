package velvetcrock.core.making;

import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Figures;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;

/**
 * Hardness as people type it: a number, wax to oil by weight ({@code 1:5}), or spoons of wax
 * pellets to a cup of oil ({@code 3 tbsp to 1 cup}).
 */
public final class HardnessText {
  private static final Pattern RATIO =
      Pattern.compile("1\\s*(?::|to|in)\\s*(\\d+(?:[.,]\\d+)?)", Pattern.CASE_INSENSITIVE);
  private static final Pattern SPOONS =
      Pattern.compile("(.+?)\\s+(?:to|per|in)\\s+(?:an?\\s+)?(.+)", Pattern.CASE_INSENSITIVE);
  private static final double MOST = 90;

  private final Wax wax;
  private final Carrier oil;
  private final Kitchen kitchen;

  /** Reads for a wax in a liquid oil, by the spoons and cups of a kitchen. */
  public HardnessText(Wax wax, Carrier oil, Kitchen kitchen) {
    this.wax = wax;
    this.oil = oil;
    this.kitchen = kitchen;
  }

  /**
   * Reads a hardness.
   *
   * @throws Refused at {@code hardness} if it is none of the three, or outside 1 to 90
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
      double parts = Double.parseDouble(ratio.group(1).replace(',', '.'));
      return Formula.hardnessOfRatio(wax.hardness(), parts);
    }
    try {
      return Double.parseDouble(text.replace(',', '.'));
    } catch (NumberFormatException e) {
      return spoons(text);
    }
  }

  private double spoons(String text) {
    Matcher spoons = SPOONS.matcher(text);
    if (spoons.matches()) {
      try {
        MeasureReader reader = new MeasureReader(kitchen);
        Measure pellets = reader.read(spoons.group(1));
        String cup = spoons.group(2).strip();
        Measure cups = reader.read(Character.isDigit(cup.charAt(0)) ? cup : "1 " + cup);
        if (!pellets.isWeight() && !cups.isWeight()) {
          double per =
              Formula.oilPerWaxByVolume(
                  wax, pellets.amount().middle(), oil, cups.amount().middle());
          return Formula.hardnessOfRatio(wax.hardness(), per);
        }
      } catch (Refused refused) {
        // said below, with all three ways
      }
    }
    throw new Refused("hardness", "“" + text + "” was read. Expected 16, 1:5 or 3 tbsp to 1 cup.");
  }

  /** A ratio as it is written, such as {@code 1:5.3}; empty for none. */
  public static String ratio(OptionalDouble oilPerWax) {
    return oilPerWax.isEmpty()
        ? ""
        : "1:" + Figures.plain(Math.round(oilPerWax.getAsDouble() * 10) / 10.0);
  }

  /** Spoons of loose pellets to a cup of oil; a guess, as pellets pack as they like. */
  public String spoons(double hardness) {
    double cupMl = new MeasureReader(kitchen).read("1 cup").amount().middle();
    double waxG = cupMl * oil.body().density20() / Formula.oilPerWax(wax.hardness(), hardness);
    double spoonMl = new MeasureReader(kitchen).read("1 tbsp").amount().middle();
    double spoons = Math.max(0.5, Math.round(2 * waxG / wax.pelletDensity() / spoonMl) / 2.0);
    return "about " + Figures.plain(spoons) + " tbsp to a cup";
  }
}
