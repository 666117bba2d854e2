package velvetcrock.demo;

import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Places;
import velvetcrock.stove.StandIns;

/** Puts into the demo what belongs there. */
@Component
class Furnishing {
  private final Places places;
  private final List<DemoPart> parts;
  private final DemoStove stove;
  private final StandIns standIns;
  private final boolean probes;

  Furnishing(
      Places places,
      List<DemoPart> parts,
      DemoStove stove,
      StandIns standIns,
      @Value("${velvetcrock.demo-probes:true}") boolean probes) {
    this.places = places;
    this.parts = parts;
    this.stove = stove;
    this.standIns = standIns;
    this.probes = probes;
  }

  /**
   * All of it or nothing, so that a start that was cut short is made good by the next.
   *
   * @return whether it was empty
   */
  boolean once(Household cottage) {
    boolean empty = places.all().isEmpty();
    if (empty) {
      parts.forEach(part -> part.furnish(cottage));
    }
    return empty;
  }

  /** Once that is stored: what the heat asked is answered, and probes go into the pots. */
  void settle(boolean furnished) {
    if (furnished) {
      stove.answer();
    }
    if (probes) {
      standIns.startAll();
    }
  }
}
