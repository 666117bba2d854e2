package velvetcrock.core.drawer;

import java.time.Instant;

/** It was weighed. */
public record LoadWeighed(double massG, String text) implements DryingEvent {

  @Override
  public String kind() {
    return "weighed";
  }

  @Override
  public void applyTo(DryingLog load, Instant at) {
    load.weighed(massG, at);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.loadWeighed(this);
  }
}
