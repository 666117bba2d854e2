package velvetcrock.core.log;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import velvetcrock.core.Refused;

/**
 * One kind of thing that can happen to a subject that has a log. What is made is checked: an event
 * that could be of no use to anybody cannot be constructed.
 *
 * @param <F> what folds the log of such a subject
 */
public interface Event<F> {
  /** The name under which this kind is stored and sent; never changed, never used again. */
  String kind();

  /**
   * Adds it to what the entries before it amount to.
   *
   * @param fold what they amount to
   * @param at when it happened
   * @throws Refused at the field that makes it impossible
   */
  void applyTo(F fold, Instant at);

  /** Whether a log begins with it: it then counts before all others, whenever they happened. */
  default boolean begins() {
    return false;
  }

  /** How a subject begins with it, in words. */
  default String beginning() {
    return "it began";
  }

  /** Whether it only takes back the entry that it replaces. */
  default boolean strikes() {
    return false;
  }

  /**
   * Why it cannot be taken back, in words for whoever wants to.
   *
   * @return empty where it can
   */
  default Optional<String> staysBecause() {
    return strikes() ? Optional.of("It has only taken something back.") : Optional.empty();
  }

  /**
   * Before when nothing can have happened to a subject that began with it.
   *
   * @param at when it happened
   * @param zone the household's
   */
  default Instant earliest(Instant at, ZoneId zone) {
    return at;
  }
}
