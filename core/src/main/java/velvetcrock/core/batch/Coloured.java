package velvetcrock.core.batch;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Problems;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.log.Checks;

/**
 * Its colour was seen.
 *
 * @param colour the oil’s
 * @param plain whether that was the plain carrier beside it
 * @param photo the picture that it was taken from; null where it was picked by eye
 */
public record Coloured(Rgb colour, boolean plain, @Nullable UUID photo) implements JarEvent {
  /** Checks what has to be there. */
  public Coloured {
    Checks.present("colour", colour);
  }

  @Override
  public String kind() {
    return "coloured";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.coloured(this, at);
  }

  @Override
  public BatchEvent in(Surroundings household) {
    Problems problems = new Problems();
    household.own(
        Surroundings.Belonging.PHOTO, photo == null ? null : photo.toString(), "photo", problems);
    problems.refuseIfAny();
    return this;
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.coloured(this);
  }
}
