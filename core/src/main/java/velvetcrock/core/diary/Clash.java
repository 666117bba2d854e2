package velvetcrock.core.diary;

import java.util.List;
import velvetcrock.core.outlook.Span;

/**
 * Where plans get in each other's way.
 *
 * @param what an appliance's id or a vessel's key; empty for hands
 * @param jobs whose they are, in the order of their ids
 * @param others what stands there already, for words
 * @param span when
 */
public record Clash(Kind kind, String what, List<String> jobs, List<String> others, Span span) {

  /** Kinds of clash. */
  public enum Kind {
    /** More jars than the appliance holds. */
    TOO_MANY_ON_HEAT,
    /** Two temperatures on one appliance. */
    TWO_HEATS,
    /** More jars than there are. */
    TOO_FEW_JARS,
    /** Two things that want hands at once. */
    TWO_HANDS,
    /** No appliance serves it. */
    NO_HEATER
  }
}
