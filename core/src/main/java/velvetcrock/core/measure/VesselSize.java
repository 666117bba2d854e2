package velvetcrock.core.measure;

import java.util.regex.Pattern;
import velvetcrock.core.Refused;

/**
 * Reads what a bottle, a jar or a tin holds, as it is sold: {@code 30 ml}, {@code 4 oz}, {@code 2
 * oz tin}, {@code half-pint jar}. Vessels are sold by the fluid ounce, so an ounce is one here.
 */
public final class VesselSize {
  private static final Pattern NOUN =
      Pattern.compile("(?i)\\s+(?:tins?|jars?|pots?|tubes?|bottles?|moulds?|molds?|flasks?)$");
  private static final Pattern OUNCE = Pattern.compile("(?i)(?<!\\p{L})(?:oz|ozs|ounces?)\\b");
  private static final Pattern FLUID = Pattern.compile("(?i).*(?:\\bfl|fluid).*");

  private VesselSize() {}

  /**
   * What it holds.
   *
   * @param densityGPerMl of what it is filled with, by which a weight is taken
   * @return ml
   * @throws Refused at {@code text}
   */
  public static double ml(String typed, Kitchen kitchen, double densityGPerMl) {
    String size = NOUN.matcher(typed.strip()).replaceFirst("").replaceFirst("(?i)^half-", "half ");
    String fluid = FLUID.matcher(size).matches() ? size : OUNCE.matcher(size).replaceAll("fl oz");
    Measure read = new MeasureReader(kitchen).read(fluid);
    return read.amount().middle() / (read.isWeight() ? densityGPerMl : 1);
  }
}
