package velvetcrock.core.drawer;

import java.util.UUID;
import velvetcrock.core.Problems;
import velvetcrock.core.drawer.LotDetails.Origin;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.moisture.DryingCurve.Way;

/** What can happen to a load that dries. */
public sealed interface DryingEvent {

  /**
   * It was hung up or spread.
   *
   * @param herb key in the catalogue
   * @param freshG weight then, g
   * @param text what was typed
   * @param waterFraction its water then, wet basis, above 0.12
   * @param from where it grew
   */
  record Begun(
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
    public Begun {
      Problems problems = new Problems();
      problems.require(
          freshG >= 0.1 && freshG <= 100_000, "amount", "Between 0.1 g and 100 kg of fresh herb.");
      problems.require(
          waterFraction >= 0.2 && waterFraction <= 0.97,
          "water",
          "Fresh herb holds between 20 and 97 % water.");
      problems.refuseIfAny();
    }
  }

  /** It was weighed. */
  record Weighed(double massG, String text) implements DryingEvent {}

  /** Leaf and stem were bent. */
  record Snapped(Snap snap) implements DryingEvent {}

  /** What a dried herb does when it is bent. */
  enum Snap {
    /** Leaves crumble and stems snap: dry. */
    CRUMBLES,
    /** Leathery: bends without breaking; not dry. */
    LEATHERY,
    /** Soft: far from dry. */
    SOFT
  }

  /** Its fresh water content turned out to be another. */
  record WaterKnown(double waterFraction) implements DryingEvent {
    /** Checks the figure. */
    public WaterKnown {
      Problems problems = new Problems();
      problems.require(
          waterFraction >= 0.2 && waterFraction <= 0.97,
          "water",
          "Fresh herb holds between 20 and 97 % water.");
      problems.refuseIfAny();
    }
  }

  /**
   * Put away as a lot: dry, or wilted on the way there.
   *
   * @param massG what it weighs then, g
   * @param waterFraction its water then, wet basis
   * @param lot the lot that it became
   * @param state dried or wilted
   */
  record PutAway(double massG, double waterFraction, UUID lot, HerbState state)
      implements DryingEvent {}

  /** Spoiled or given up. */
  record ThrownOut() implements DryingEvent {}

  /** Nothing: takes back the entry that it replaces. */
  record Struck() implements DryingEvent {}
}
