package velvetcrock.core.batch;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Looked at; what was not looked for is null. */
public record Looked(
    @Nullable Boolean covered,
    @Nullable Boolean floating,
    @Nullable Bubbles bubbles,
    @Nullable Boolean mould,
    @Nullable Boolean translucent,
    @Nullable Boolean crisp)
    implements JarEvent {
  /** Whether nothing at all was noted. */
  public boolean empty() {
    return covered == null
        && floating == null
        && bubbles == null
        && mould == null
        && translucent == null
        && crisp == null;
  }

  @Override
  public String kind() {
    return "looked";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {
    log.jar().looked(this, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.looked(this);
  }
}
