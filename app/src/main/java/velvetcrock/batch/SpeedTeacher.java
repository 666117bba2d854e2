package velvetcrock.batch;

import java.time.Instant;
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
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CatchUp;

/** Learns from the colours of a jar how fast its herb gives here. */
@Component
class SpeedTeacher {
  private final Catalogues catalogues;
  private final ReadingStore readings;
  private final Households households;
  private final BatchRepository batches;
  private final BatchStates states;
  private final CatchUp catchUp;

  SpeedTeacher(
      Catalogues catalogues,
      ReadingStore readings,
      Households households,
      BatchRepository batches,
      BatchStates states,
      CatchUp catchUp) {
    this.catalogues = catalogues;
    this.readings = readings;
    this.households = households;
    this.batches = batches;
    this.states = states;
    this.catchUp = catchUp;
  }

  /** Learns from jars whose colours were noted before anything was learned of them. */
  @EventListener(ApplicationReadyEvent.class)
  void catchUp() {
    catchUp.each(
        "select household_id, id from batch b where not exists"
            + " (select 1 from speed_lesson l where l.batch_id = b.id) and "
            + SpeedFit.FEWEST_LOOKS
            + " <= (select count(*) from entry e where e.subject = 'BATCH' and e.subject_id = b.id"
            + " and e.kind = 'coloured')",
        id -> batches.findById(id).ifPresent(b -> learn(b.id(), states.of(b))));
  }

  /** Puts what a jar's colours teach now in the place of what they taught before. */
  void learn(UUID batchId, BatchState state) {
    // by the model's own time: what was learned before must not teach itself
    Catalogue plain = catalogues.current().with(Map.of());
    BatchReckoning reckoning = new BatchReckoning(plain, state);
    List<SpeedFit.Look> looks = new ArrayList<>();
    Series series = readings.series(batchId);
    for (ColourStory.Look look : reckoning.colour().looks()) {
      looks.add(new SpeedFit.Look(theta(plain, state, series, look.at()), look.fromPlain()));
    }
    catalogues.learned(batchId, reckoning.speedOf(), SpeedFit.of(looks).orElse(null));
  }

  private double theta(Catalogue plain, BatchState state, Series series, Instant at) {
    Series until = Series.none();
    for (int i = 0; i < series.size() && series.millis(i) <= at.toEpochMilli(); i++) {
      until = until.with(series.millis(i), series.celsius(i));
    }
    return new PotHeat(plain, state, until, at, households.current().zone()).pull(at).theta();
  }
}
