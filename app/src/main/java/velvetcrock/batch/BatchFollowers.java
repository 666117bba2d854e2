package velvetcrock.batch;

import java.util.List;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.log.Entry;
import velvetcrock.web.CurrentHousehold;

/** What follows on an entry: bottles' dates, the journal, what was learned, and who is told. */
@Component
class BatchFollowers {
  private final BottleBook book;
  private final Experience experience;
  private final SpeedTeacher speeds;
  private final BatchJournal journal;
  private final CurrentHousehold current;
  private final ApplicationEventPublisher events;

  BatchFollowers(
      BottleBook book,
      Experience experience,
      SpeedTeacher speeds,
      BatchJournal journal,
      CurrentHousehold current,
      ApplicationEventPublisher events) {
    this.book = book;
    this.experience = experience;
    this.speeds = speeds;
    this.journal = journal;
    this.current = current;
    this.events = events;
  }

  /**
   * An entry's step from one state to the next.
   *
   * @param replaces whether it corrects an entry before it
   */
  record Step(BatchState was, BatchState state, BatchEvent event, boolean replaces) {
    /** Whether it changes what the household learned of how much oil a marc keeps. */
    boolean teachesOtherwise() {
      return !teaches(was).equals(teaches(state)) || replaces && was.strained() != null;
    }

    private static List<Object> teaches(BatchState state) {
      return state.strained() == null ? List.of() : List.of(state.strained(), state.toppedUpMl());
    }
  }

  /** Dates the bottles anew and learns from what came out. */
  void learn(UUID batch, Step step) {
    if (step.state().strained() != null) {
      String why =
          step.replaces() ? "a correction in the log" : step.event().movesDates(step.state());
      boolean moved = book.keep(batch, step.state(), why);
      if (moved || step.replaces() || !step.was().seen().equals(step.state().seen())) {
        events.publishEvent(new OilKnownBetter(batch, why));
      }
    }
    if (step.teachesOtherwise()) {
      experience.learn(batch, step.state());
    }
    if (!step.was().colours().equals(step.state().colours())) {
      speeds.learn(batch, step.state());
    }
  }

  /** Reckons a batch's bottles anew, and why. */
  void redate(UUID batch, BatchState state, String why) {
    book.keep(batch, state, why);
    events.publishEvent(new OilKnownBetter(batch, why));
  }

  /** Tells the journal and whoever listens. */
  void tell(Batch batch, BatchState state, Entry<BatchEvent> entry) {
    journal.tell(batch.code(), state, entry, current.name());
    events.publishEvent(
        new BatchChanged(
            current.id(), batch.id(), batch.code(), BatchChanged.Change.LOG, List.of()));
  }
}
