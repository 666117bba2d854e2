package velvetcrock.core.jar;

import java.util.Set;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.Observations;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.caution.About;
import velvetcrock.core.caution.Facts;
import velvetcrock.core.caution.ForWhom;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.materia.Catalogue;

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

  /** What the label of a bottle of it has to say, with what its oil was infused with before. */
  public static Facts label(BatchState state, BatchReckoning reckoning) {
    Earlier earlier = state.charge().manner().earlier();
    Set<Hazard> brought = earlier == null ? Set.of() : earlier.hazards();
    Facts facts =
        Facts.ofLabel(
            reckoning.order(),
            state.charge().purpose(),
            state.strained() == null ? brought : reckoning.hazards());
    reckoning
        .earlierHerbs()
        .forEach(
            herb ->
                facts
                    .bringing(herb.cautions())
                    .keptFrom(ForWhom.shipped().of(herb.key(), state.charge().purpose())));
    return facts;
  }

  /** Of an infused oil that is to be charged again. */
  public static Facts again(Earlier earlier, Catalogue catalogue, Purpose purpose) {
    Facts facts = Facts.about(About.LABEL).carrying(earlier.hazards());
    earlier
        .herbs()
        .forEach(
            key ->
                facts
                    .bringing(catalogue.herb(key).cautions())
                    .keptFrom(ForWhom.shipped().of(key, purpose)));
    return facts;
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
