package velvetcrock.core.batch;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Smelled at; the herb's scent apart from anything that is off. */
public record Smelled(@Nullable Scent scent, @Nullable OffSmell off) implements JarEvent {

  @Override
  public String kind() {
    return "smelled";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().smelled(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.smelled(this);
  }
}
