package velvetcrock.web;

import velvetcrock.core.materia.Method;

/** What ways of drawing are called. */
public final class MethodWords {
  private MethodWords() {}

  /** A way of drawing, by its warmth. */
  public static String name(Method method) {
    return switch (method) {
      case COLD -> "Cold, in the dark";
      case SOLAR -> "In a sunny window";
      case TWO_STAGE -> "Warm, then dark";
      case SPIRIT -> "Through spirit";
      case WARM -> "Warm in a bath";
      case CROCK -> "Slow cooker";
      case SIMMER -> "Simmered";
      case OVEN -> "Low oven";
    };
  }

  /** How it is drawn, as it stands in a sentence after “drawn”. */
  public static String inSentence(Method method) {
    return switch (method) {
      case COLD -> "cold, in the dark";
      case SOLAR -> "in a sunny window";
      case TWO_STAGE -> "in two stages, warm then dark";
      case SPIRIT -> "through spirit";
      case WARM -> "warm in a bath";
      case CROCK -> "in the slow cooker";
      case SIMMER -> "simmered over water";
      case OVEN -> "in a low oven";
    };
  }
}
