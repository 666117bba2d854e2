package velvetcrock.batch;

import velvetcrock.core.care.StrainStep;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Carrier;
import velvetcrock.web.Formats;

/** Says a step of straining. */
final class StrainWords {
  private static final double MARGIN_C = 5;

  private StrainWords() {}

  /** The same in a few words. */
  static String inShort(StrainStep step) {
    return switch (step) {
      case BACK_INTO_THE_COLD -> "Keep it cold";
      case WIPE -> "Wipe the pot dry";
      case COOL -> "Let it cool";
      case GLOVES -> "Put gloves on";
      case KEEP_LIQUID -> "Melt it";
      case WARM -> "Warm it";
      case DRIP -> "Let it drip";
      case PRESS_GENTLY -> "Sieve it and press gently";
      case SQUEEZE -> "Sieve it and squeeze";
      case SECOND_PASS -> "Squeeze again";
      case FINE_FILTER -> "Through a fine filter";
      case SETTLE, SETTLE_COLD -> "Let it settle";
      case SPREAD_CLOTHS -> "Spread the cloths";
    };
  }

  static String of(StrainStep step, BatchReckoning reckoning, Formats fmt) {
    return switch (step) {
      case BACK_INTO_THE_COLD ->
          "Work quickly and put it back into the fridge at once: over two hours above 4 °C, all told, it is thrown"
              + " out. Do not warm it.";
      case WIPE ->
          "Wipe the outside of the pot dry before you tip it: a drip from the bath is water in the oil.";
      case COOL ->
          "Let it cool until you can hold the pot: hot oil burns and cracks cold glass. Strain it while it is still"
              + " warm.";
      case GLOVES -> "Wear gloves: this herb burns the skin, and keep your hands from your eyes.";
      case KEEP_LIQUID ->
          "Melt it first: it sets near "
              + fmt.degrees(reckoning.carriers().setsNearC().orElseThrow())
              + ". Keep it at "
              + fmt.degrees(reckoning.carriers().setsNearC().orElseThrow() + MARGIN_C)
              + " or above while it runs.";
      case WARM -> warm(reckoning, fmt);
      case DRIP ->
          "Sieve and cloth over a bowl, and let it drip. Do not squeeze: juice would come with the oil.";
      case PRESS_GENTLY ->
          "Sieve and cloth over a bowl. The herb is crisp: little oil comes out of it, so press gently and do not"
              + " crush it into the oil.";
      case SQUEEZE -> "Sieve and cloth over a bowl; let it hang and drip, then squeeze.";
      case SECOND_PASS -> "Loosen the spent herb (marc) and squeeze it a second time.";
      case FINE_FILTER ->
          "Then through a fine filter: ground herb comes through a cloth. It takes hours.";
      case SETTLE -> "Let it stand covered overnight and pour it off what has settled.";
      case SETTLE_COLD ->
          "Let it stand covered in the fridge overnight and pour it off what has settled.";
      case SPREAD_CLOTHS -> "Spread the oily cloths flat to dry, or wash them at once.";
    };
  }

  private static String warm(BatchReckoning reckoning, Formats fmt) {
    double thicker =
        reckoning.carriers().viscosityAt(Carrier.ROOM_C)
            / reckoning.carriers().viscosityAt(StrainStep.WARM_C);
    return "Stand it in warm water: at "
        + fmt.degrees(StrainStep.WARM_C)
        + " this oil runs "
        + fmt.number(thicker, 1)
        + " times as fast as at "
        + fmt.degrees(Carrier.ROOM_C)
        + ". Wipe the jar dry before you tip it.";
  }
}
