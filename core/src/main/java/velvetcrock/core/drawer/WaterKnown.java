package velvetcrock.core.drawer;

import java.time.Instant;
import velvetcrock.core.Problems;

/** Its fresh water content turned out to be another. */
public record WaterKnown(double waterFraction) implements DryingEvent {
  /** Checks the figure. */
  public WaterKnown {
    Problems problems = new Problems();
    problems.require(
        waterFraction >= 0.2 && waterFraction <= 0.97,
        "water",
        "Fresh herb holds between 20 and 97 % water.");
    problems.refuseIfAny();
  }

  @Override
  public String kind() {
    return "water-known";
  }

  @Override
  public void applyTo(DryingLog load, Instant at) {
    load.water(waterFraction);
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.waterKnown(this);
  }
}
