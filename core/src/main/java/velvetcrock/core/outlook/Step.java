package velvetcrock.core.outlook;

import java.time.LocalDateTime;

/**
 * Something that a plan has somebody do at a moment.
 *
 * @param at when, by the household's clock
 * @param minutes hands-on work, min
 */
public record Step(Kind kind, LocalDateTime at, int minutes) {

  /** Kinds of step, in the order in which they come. */
  public enum Kind {
    /** Cut, weigh and charge. */
    CHARGE,
    /** Dampen the herb with spirit. */
    DAMPEN,
    /** Pour the oil over what has rested in spirit. */
    POUR,
    /** Put it on the heat. */
    PUT_ON,
    /** Look, smell, shake or measure. */
    CHECK,
    /** Take it off the heat. */
    TAKE_OFF,
    /** Strain. */
    STRAIN,
    /** Pour off what settled, and bottle. */
    BOTTLE,
    /** Make of the oil what is wanted, and fill it. */
    MAKE
  }

  /**
   * Whether it takes hands that nothing else can have meanwhile, because the begin of a plan hangs
   * on it. Straining, bottling and melting wait for each other, and a look takes no time.
   */
  public boolean takesHands() {
    return kind == Kind.CHARGE || kind == Kind.DAMPEN;
  }
}
