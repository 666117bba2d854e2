package velvetcrock.batch;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.yield.Retention;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.CatchUp;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.MovedIn;

/**
 * What the household's own strainings taught: how much oil a marc keeps, by part and expressing.
 */
@Service
public class Experience {
  private final RetentionLessonRepository lessons;
  private final BatchRepository batches;
  private final Catalogues catalogues;
  private final BatchStates states;
  private final EntityManager entities;
  private final CatchUp catchUp;

  Experience(
      RetentionLessonRepository lessons,
      BatchRepository batches,
      Catalogues catalogues,
      BatchStates states,
      EntityManager entities,
      CatchUp catchUp) {
    this.lessons = lessons;
    this.batches = batches;
    this.catalogues = catalogues;
    this.states = states;
    this.entities = entities;
    this.catchUp = catchUp;
  }

  /** All that the current household has learned. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<Retention.Own> own() {
    return lessons.taught().stream().map(RetentionLessonRepository.Taught::own).toList();
  }

  /** Puts what a batch teaches now in the place of what it taught before. */
  void learn(UUID batchId, BatchState state) {
    lessons.deleteAll(lessons.findByBatchId(batchId));
    entities.flush();
    new BatchReckoning(catalogues.current(), state)
        .lesson()
        .forEach(own -> entities.persist(new RetentionLesson(batchId, own)));
  }

  /** Learns from batches that were strained before there were lessons. */
  @EventListener({ApplicationReadyEvent.class, MovedIn.class})
  void catchUp() {
    catchUp.each(
        "select id from batch b where status in ('STRAINED', 'BOTTLED', 'FINISHED')"
            + " and not exists (select 1 from retention_lesson l where l.batch_id = b.id)",
        id -> batches.findById(id).ifPresent(b -> learn(b.id(), states.of(b))));
  }
}
