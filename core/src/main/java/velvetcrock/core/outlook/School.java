package velvetcrock.core.outlook;

import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;

/** How practitioners go about it, where they disagree (FIELD: the schools). */
public enum School {
  /** Dried, cut as it is, by weight with the least oil that covers. */
  COVERING,
  /** Dried and ground, 1:5 or the least above it that covers: stronger, harder to strain. */
  FINE,
  /** Dried, by eye: two thirds of the jar herb, oil to the neck. */
  BY_EYE,
  /** Wilted. */
  WILTED,
  /** Fresh, its water driven off by heat. */
  FRESH;

  /** The herb's state that it goes by. */
  public HerbState state() {
    return switch (this) {
      case COVERING, FINE, BY_EYE -> HerbState.DRIED;
      case WILTED -> HerbState.WILTED;
      case FRESH -> HerbState.FRESH;
    };
  }

  /** The cut that it goes by, where another is at hand. */
  public Cut cut(Cut atHand) {
    return this == FINE && atHand.compareTo(Cut.GROUND) < 0 ? Cut.GROUND : atHand;
  }

  /** Whether anybody does it so by this method. */
  public boolean goesWith(Method method) {
    return switch (this) {
      case COVERING -> method != Method.SPIRIT;
      case FINE ->
          method == Method.SPIRIT
              || method == Method.COLD
              || method == Method.WARM
              || method == Method.CROCK;
      case BY_EYE -> method == Method.COLD || method == Method.SOLAR;
      case WILTED -> method == Method.SOLAR || method == Method.WARM;
      case FRESH -> method.heated();
    };
  }

  /** Whether a herb is used so, or is at hand so. */
  boolean suits(Herb herb, boolean atHandInThatState) {
    return state() == HerbState.DRIED
        ? herb.handling().bestState() == HerbState.DRIED || atHandInThatState
        : herb.handling().bestState() == state() || atHandInThatState;
  }
}
