package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.Refused;

/**
 * Turned upside down, or the herb pressed under.
 *
 * @param days it is left on its lid for so many days; 0 where it was turned and put back
 */
public record Turned(int days) implements JarEvent {
  private static final int LONGEST_DAYS = 60;

  /**
   * Checks it.
   *
   * @throws Refused at {@code days}
   */
  public Turned {
    if (days < 0 || days > LONGEST_DAYS) {
      throw new Refused("days", "Up to " + LONGEST_DAYS + " days on its lid.");
    }
  }

  /** Turned and put back. */
  public Turned() {
    this(0);
  }

  @Override
  public String kind() {
    return "turned";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().turned(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.turned(this);
  }
}
