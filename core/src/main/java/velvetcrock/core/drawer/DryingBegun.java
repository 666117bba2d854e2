package velvetcrock.core.drawer;

import java.time.Instant;
import java.util.Optional;
import velvetcrock.core.Problems;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Part;
import velvetcrock.core.moisture.DryingCurve.Way;

/**
 * It was hung up or spread.
 *
 * @param herb key in the catalogue
 * @param freshG weight then, g
 * @param text what was typed
 * @param waterFraction its water then, wet basis, above 0.12
 * @param from where it grew
 */
public record DryingBegun(
    String herb,
    Part part,
    Cut cut,
    Way way,
    double freshG,
    String text,
    double waterFraction,
    Origin origin,
    String from)
    implements DryingEvent {
  /** Checks the figures. */
  public DryingBegun {
    Problems problems = new Problems();
    problems.require(
        freshG >= 0.1 && freshG <= 100_000, "amount", "Between 0.1 g and 100 kg of fresh herb.");
    problems.require(
        waterFraction >= 0.2 && waterFraction <= 0.97,
        "water",
        "Fresh herb holds between 20 and 97 % water.");
    problems.refuseIfAny();
  }

  @Override
  public String kind() {
    return "begun";
  }

  @Override
  public void applyTo(DryingLog load, Instant at) {
    load.begun(this, at);
  }

  @Override
  public boolean begins() {
    return true;
  }

  @Override
  public Optional<String> staysBecause() {
    return Optional.of("That it was begun stays in its log. Throw it out instead.");
  }

  @Override
  public <R> R accept(Visitor<R> visitor) {
    return visitor.dryingBegun(this);
  }
}
