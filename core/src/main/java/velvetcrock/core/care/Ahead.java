package velvetcrock.core.care;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Method;
import velvetcrock.core.spirit.SpiritStep;

/**
 * What a batch will want by the clock, before the round has it: to be taken off the heat, its bath
 * filled, to be weighed or shaken again, its oil poured. What it wants by the day is the round's.
 */
public final class Ahead {
  private final Catalogue catalogue;

  /** Looks ahead with a catalogue. */
  public Ahead(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  /** Something that will want doing from a moment on. */
  public record Coming(Task.Kind kind, Instant at) {}

  /** What is to come for a batch, the soonest first; what is due already is not. */
  public List<Coming> of(BatchState state, Instant now) {
    List<Coming> coming = new ArrayList<>();
    switch (state.status()) {
      case RESTING ->
          Optional.ofNullable(state.rest())
              .ifPresent(
                  rest ->
                      coming.add(
                          new Coming(
                              Task.Kind.POUR,
                              rest.since().plus(hours(SpiritStep.SOONEST_USUAL_HOURS)))));
      case INFUSING -> infusing(state, now, coming);
      case STRAINED, BOTTLED, FINISHED, THROWN_OUT -> {
        // from the straining on everything goes by the day
      }
    }
    return coming.stream()
        .filter(c -> c.at().isAfter(now))
        .sorted(Comparator.comparing(Coming::at))
        .toList();
  }

  private void infusing(BatchState state, Instant now, List<Coming> coming) {
    Optional<BatchReckoning.Leaving> leaving =
        new BatchReckoning(catalogue, state).leaving().filter(l -> !l.done());
    state
        .heat()
        .now()
        .ifPresent(
            stint -> {
              double wanted = Round.wantedHours(new BatchReckoning(catalogue, state));
              double left = wanted - state.heat().hours(now);
              Instant served = now.plus(hours(Math.max(0, left)));
              Instant off =
                  state.left() != null && state.left().until().isAfter(served)
                      ? state.left().until()
                      : served;
              coming.add(new Coming(Task.Kind.OFF_HEAT, off));
              stint.topUpBy().ifPresent(by -> coming.add(new Coming(Task.Kind.FILL_BATH, by)));
            });
    List<BatchState.Weighed> weighings = state.weighings();
    if (leaving.isPresent() && state.charge().method().heated() && !weighings.isEmpty()) {
      Instant last = weighings.get(weighings.size() - 1).at();
      coming.add(new Coming(Task.Kind.WEIGH, last.plus(Care.WEIGHED_AGAIN)));
    }
    Instant shaken = state.tended().shakenAt();
    if (state.charge().method() == Method.SPIRIT && shaken != null) {
      coming.add(new Coming(Task.Kind.SHAKE, shaken.plus(Care.SHAKEN_AGAIN)));
    }
  }

  private static Duration hours(double hours) {
    return Duration.ofSeconds(Math.round(hours * 3600));
  }
}
