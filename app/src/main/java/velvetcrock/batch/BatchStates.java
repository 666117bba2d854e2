package velvetcrock.batch;

import jakarta.persistence.EntityManager;
import java.util.UUID;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.core.batch.BatchState;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.CatchUp;
import velvetcrock.web.MovedIn;

/** The states that batches are in, kept beside them. */
@Component
class BatchStates {
  private final Ledger ledger;
  private final BatchRepository batches;
  private final ReadingStore readings;
  private final EntityManager entities;
  private final CatchUp catchUp;

  BatchStates(
      Ledger ledger,
      BatchRepository batches,
      ReadingStore readings,
      EntityManager entities,
      CatchUp catchUp) {
    this.ledger = ledger;
    this.batches = batches;
    this.readings = readings;
    this.entities = entities;
    this.catchUp = catchUp;
  }

  /** A new batch under a code, in the state that its charging folds to. */
  Batch begin(String code, BatchState state) {
    Batch row =
        new Batch(
            UUID.randomUUID(), code, state, ledger.keep(BatchStorage.BOOK, state), ledger.now());
    entities.persist(row);
    return row;
  }

  /** Keeps the state that a batch has come to. */
  void become(Batch row, BatchState state) {
    row.become(state, ledger.keep(BatchStorage.BOOK, state));
  }

  BatchState of(Batch row) {
    return ledger.state(row.id(), BatchStorage.BOOK, row.kept());
  }

  BatchRecord record(Batch row) {
    BatchState state = of(row);
    boolean unlogged =
        state.status() == BatchState.Status.INFUSING
            && state.charge().method().heated()
            && state.heat().stints().isEmpty();
    return new BatchRecord(
        row.id(), row.code(), state, unlogged ? readings.spanHours(row.id()) : 0);
  }

  /** Folds anew what was folded by other rules, or is kept in another shape. */
  @EventListener({ApplicationReadyEvent.class, MovedIn.class})
  @Order(Ordered.HIGHEST_PRECEDENCE)
  void catchUp() {
    catchUp.each(
        "select id from batch where state_version <> ?",
        id ->
            batches
                .findById(id)
                .ifPresent(
                    row -> {
                      BatchState state =
                          BatchStorage.BOOK.fold().apply(ledger.log(id, BatchStorage.BOOK));
                      become(row, state);
                    }),
        BatchStorage.BOOK.version());
  }
}
