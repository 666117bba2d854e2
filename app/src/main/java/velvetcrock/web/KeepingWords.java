package velvetcrock.web;

import velvetcrock.core.keeping.AntioxidantDose;
import velvetcrock.core.keeping.Keeping.Rule;
import velvetcrock.core.measure.Quantity;

/** Says what decided a best-before. */
public final class KeepingWords {
  private KeepingWords() {}

  /** The rule that decided, in a sentence. */
  public static String why(Rule rule) {
    return switch (rule) {
      case CARRIER_DATE ->
          "The carrier oil’s own date decides: an infusion never outlives its oil.";
      case EARLIER_OIL -> "The oil that was charged again decides: nothing made of it outlives it.";
      case AGEING -> "Ageing decides: infusing and storage have used what the carrier brought.";
      case TWELVE_MONTHS ->
          "Twelve months from straining decide: no oil of dried herb is given longer outside the fridge.";
      case TWENTY_FOUR_MONTHS_FRIDGE -> "Two years from straining decide, even in the fridge.";
      case FREE_WATER ->
          "Water decides: with free water in it, it keeps 14 days in the fridge and not at all elsewhere.";
      case KITCHEN_FRESH -> "Fresh herb for eating: four days from charging, in the fridge.";
      case KITCHEN_FROZEN ->
          "Fresh herb for eating, frozen: three months, and what is left of its four days once it thaws.";
      case KITCHEN_DRIED -> "Dried herb for eating: three months in the fridge.";
      case STOOD_WARM -> "It stood warmer than the fridge for over two hours: throw it out.";
      case KITCHEN_NOT_IN_FRIDGE -> "Oil for eating is kept in the fridge and nowhere else.";
    };
  }

  /** How much of an antioxidant, by weight and by drops, and from where to where it helps. */
  public static String dose(AntioxidantDose dose, Formats fmt) {
    String drops = "about " + fmt.count(dose.drops(), "drop", "drops");
    if (!fmt.units().metric(Quantity.WEIGHT)) {
      // no kitchen weighs so little in ounces
      String from = fmt.number(dose.dropRange().low(), 0);
      String to = fmt.number(dose.dropRange().high(), 0);
      return drops + (from.equals(to) ? "" : " (helps from " + from + " to " + to + ")");
    }
    int digits = dose.massG().high() < 1 ? 2 : 1;
    return fmt.number(dose.middleG(), digits)
        + " g, "
        + drops
        + " (helps from "
        + fmt.number(dose.massG().low(), digits)
        + " to "
        + fmt.number(dose.massG().high(), digits)
        + " g)";
  }
}
