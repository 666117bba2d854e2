package velvetcrock.batch;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.core.log.BatchReckoning;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.yield.Retention;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/**
 * What the household's own strainings taught: how much oil a marc keeps, by part and expressing.
 */
@Service
public class Experience {
  private final RetentionLessonRepository lessons;
  private final BatchRepository batches;
  private final Catalogues catalogues;
  private final EventKinds kinds;
  private final CurrentHousehold current;
  private final EntityManager entities;
  private final TransactionTemplate transactions;
  private final JdbcTemplate jdbc;

  Experience(
      RetentionLessonRepository lessons,
      BatchRepository batches,
      Catalogues catalogues,
      EventKinds kinds,
      CurrentHousehold current,
      EntityManager entities,
      TransactionTemplate transactions,
      JdbcTemplate jdbc) {
    this.lessons = lessons;
    this.batches = batches;
    this.catalogues = catalogues;
    this.kinds = kinds;
    this.current = current;
    this.entities = entities;
    this.transactions = transactions;
    this.jdbc = jdbc;
  }

  private record Strained(UUID household, UUID batch) {}

  private record Scribe(UUID householdId, String displayName) implements InHousehold {}

  /** All that the current household has learned. */
  @Transactional(readOnly = true)
  public List<Retention.Own> own() {
    return lessons.findAll().stream().map(RetentionLesson::own).toList();
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
  @EventListener(ApplicationReadyEvent.class)
  void catchUp() {
    List<Strained> before =
        jdbc.query(
            "select household_id, id from batch b where status in ('STRAINED', 'BOTTLED', 'FINISHED')"
                + " and not exists (select 1 from retention_lesson l where l.batch_id = b.id)",
            (row, i) -> new Strained(row.getObject(1, UUID.class), row.getObject(2, UUID.class)));
    for (Strained one : before) {
      current.actingAs(
          new Scribe(one.household(), ""),
          () -> {
            transactions.executeWithoutResult(
                status ->
                    batches
                        .findById(one.batch())
                        .ifPresent(b -> learn(b.id(), kinds.state(b.state()))));
            return null;
          });
    }
  }
}
