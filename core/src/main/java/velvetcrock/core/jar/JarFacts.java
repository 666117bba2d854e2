package velvetcrock.core.jar;

import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.Observations;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.caution.About;
import velvetcrock.core.caution.Facts;

/** Gathers the facts about a jar that its cautions go by. */
public final class JarFacts {
  private JarFacts() {}

  /** Of a jar as it stands: spirit that has still to leave, and what was seen. */
  public static Facts standing(BatchState state, BatchReckoning reckoning) {
    boolean stands = state.status() == Status.INFUSING || state.status() == Status.RESTING;
    if (!stands) {
      return Facts.about(About.JAR);
    }
    return seen(state.seen())
        .note(spirit(state, reckoning), "spirit:leaving")
        .note(spirit(state, reckoning) && state.status() == Status.INFUSING, "spirit:infusing");
  }

  /** Of a jar that is being strained, whose oil takes along what is wrong with it. */
  public static Facts strained(BatchState state, BatchReckoning reckoning) {
    return strained(state.seen()).carrying(reckoning.hazards());
  }

  /** Of herb and oil of which nothing is known but what was seen. */
  public static Facts strained(Observations seen) {
    return seen(seen).note(true, "strained-now");
  }

  /** Of one look or smell. */
  public static Facts seen(Observations seen) {
    Facts facts = Facts.about(About.JAR);
    seen.worries().forEach(worry -> facts.note(true, "seen:" + worry));
    return facts;
  }

  /** Of what one entry saw or smelled; of any other, nothing. */
  public static Facts of(BatchEvent event) {
    Observations none = Observations.none();
    if (event instanceof Looked looked) {
      return seen(none.after(looked));
    }
    return event instanceof Smelled smelled ? seen(none.after(smelled)) : seen(none);
  }

  /** Whether there is spirit in it that has still to leave. */
  public static boolean spirit(BatchState state, BatchReckoning reckoning) {
    return state.charge().manner().spirit() != null
        && !reckoning.leaving().map(BatchReckoning.Leaving::done).orElse(true);
  }
}
