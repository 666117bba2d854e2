package velvetcrock.core.batch;

import java.time.Instant;
import velvetcrock.core.Refused;

/**
 * It is left longer, on purpose.
 *
 * @param until when it is looked at again; straining is not asked for before
 * @param why in words; may be empty
 */
public record LeftLonger(Instant until, String why) implements JarEvent {
  private static final int LONGEST_WHY = 200;

  /**
   * Checks it.
   *
   * @throws Refused at {@code why}
   */
  public LeftLonger {
    if (why.length() > LONGEST_WHY) {
      throw new Refused("why", "At most " + LONGEST_WHY + " letters.");
    }
  }

  @Override
  public String kind() {
    return "left-longer";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    if (!until.isAfter(at)) {
      throw new Refused("until", "Until when is it left? That is not ahead.");
    }
    log.jar().leftLonger(this);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.leftLonger(this);
  }
}
