package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.core.colour.SpeedFit;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.SpeedLesson;
import velvetcrock.web.CatchUp;
import velvetcrock.web.MovedIn;

/** Learns from the colours of a jar how fast its herb gives here. */
@Component
class SpeedTeacher {
  private final Catalogues catalogues;
  private final PlainPulls plainly;
  private final BatchRepository batches;
  private final BatchStates states;
  private final CatchUp catchUp;

  SpeedTeacher(
      Catalogues catalogues,
      PlainPulls plainly,
      BatchRepository batches,
      BatchStates states,
      CatchUp catchUp) {
    this.catalogues = catalogues;
    this.plainly = plainly;
    this.batches = batches;
    this.states = states;
    this.catchUp = catchUp;
  }

  /** Learns from jars whose colours were noted before anything was learned of them. */
  @EventListener({ApplicationReadyEvent.class, MovedIn.class})
  void catchUp() {
    catchUp.each(
        "select id from batch b where not exists"
            + " (select 1 from speed_lesson l where l.batch_id = b.id) and "
            + SpeedFit.FEWEST_LOOKS
            + " <= (select count(*) from entry e where e.subject = 'BATCH' and e.subject_id = b.id"
            + " and e.kind = 'coloured')",
        id -> batches.findById(id).ifPresent(b -> learn(b.id(), states.of(b))));
  }

  /** Puts what a jar's colours teach now in the place of what they taught before. */
  void learn(UUID batchId, BatchState state) {
    PlainPulls.Jar jar = plainly.of(batchId, state);
    BatchReckoning reckoning = new BatchReckoning(jar.catalogue(), state);
    List<SpeedFit.Look> looks = new ArrayList<>();
    for (ColourStory.Look look : reckoning.colour().looks()) {
      looks.add(new SpeedFit.Look(jar.at(look.at()).theta(), look.fromPlain()));
    }
    catalogues.learned(
        new SpeedLesson.Teacher(batchId, null),
        SpeedFit.of(looks)
            .map(fitted -> Map.of(reckoning.speedOf().anyWay(), fitted))
            .orElse(Map.of()));
  }
}
