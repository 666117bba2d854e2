package velvetcrock.core.jar;

import java.util.EnumSet;
import java.util.Set;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Observations;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.caution.Hazard;

/** What a jar hands on with its oil. */
final class Hazards {
  private Hazards() {}

  /** What was seen, smelled and weighed of it. */
  static Set<Hazard> of(BatchReckoning reckoning, Observations seen, boolean eatenFresh) {
    Set<Hazard> hazards = EnumSet.noneOf(Hazard.class);
    note(hazards, reckoning.wet(), Hazard.WATER);
    note(hazards, Boolean.TRUE.equals(seen.mould()), Hazard.MOULD);
    note(hazards, seen.offSmell() == OffSmell.MUSTY, Hazard.MUSTY);
    note(hazards, seen.offSmell() == OffSmell.SOUR, Hazard.SOUR);
    note(hazards, seen.offSmell() == OffSmell.RANCID, Hazard.RANCID);
    note(hazards, seen.bubbles() == Bubbles.FIZZING, Hazard.FIZZ);
    note(hazards, Boolean.FALSE.equals(seen.covered()), Hazard.UNCOVERED);
    note(hazards, eatenFresh, Hazard.EATEN_FRESH);
    return hazards;
  }

  private static void note(Set<Hazard> hazards, boolean holds, Hazard hazard) {
    if (holds) {
      hazards.add(hazard);
    }
  }
}
