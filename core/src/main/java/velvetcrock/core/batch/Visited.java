package velvetcrock.core.batch;

import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import velvetcrock.core.Refused;

/**
 * What was done at one visit to a jar, and nothing else: what was seen in particular is an entry of
 * its own.
 */
public record Visited(Set<Act> acts) implements JarEvent {
  /** What can be done at a visit. */
  public enum Act {
    /** Shaken. */
    SHAKEN,
    /** The level was seen to: the herb is under the oil. */
    LEVEL,
    /** Looked at; nothing stood out. */
    LOOKED,
    /** Smelled; nothing was off. */
    SMELLED
  }

  /**
   * Copies the acts.
   *
   * @throws Refused at {@code acts} where there are none
   */
  public Visited {
    if (acts.isEmpty()) {
      throw new Refused("acts", "Say what was done.");
    }
    acts = java.util.Collections.unmodifiableSet(EnumSet.copyOf(acts));
  }

  @Override
  public String kind() {
    return "visited";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().visited(acts, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.visited(this);
  }
}
