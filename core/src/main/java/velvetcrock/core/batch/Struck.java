package velvetcrock.core.batch;

import java.time.Instant;

/** Nothing: takes the entry that it replaces out of the fold. */
public record Struck() implements RemarkEvent {

  @Override
  public String kind() {
    return "struck";
  }

  @Override
  public void applyTo(BatchLog log, Instant at) {}

  @Override
  public boolean strikes() {
    return true;
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.struck(this);
  }
}
