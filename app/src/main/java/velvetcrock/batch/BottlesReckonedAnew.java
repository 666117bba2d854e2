package velvetcrock.batch;

import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.kitchen.FiguresChanged;
import velvetcrock.web.Afterwards;
import velvetcrock.web.CatchUp;
import velvetcrock.web.MovedIn;

/** Moves the dates of bottles when the household changes the figures of what is in them. */
@Component
class BottlesReckonedAnew {
  private static final Logger LOG = LoggerFactory.getLogger(BottlesReckonedAnew.class);

  private final BatchRepository batches;
  private final BottleBook book;
  private final BatchStates states;
  private final Afterwards afterwards;
  private final TransactionTemplate transactions;
  private final CatchUp catchUp;

  BottlesReckonedAnew(
      BatchRepository batches,
      BottleBook book,
      BatchStates states,
      Afterwards afterwards,
      CatchUp catchUp) {
    this.batches = batches;
    this.book = book;
    this.states = states;
    this.afterwards = afterwards;
    this.transactions = new TransactionTemplate(afterwards);
    this.catchUp = catchUp;
  }

  /** Once after an upgrade: dates that were reckoned by former rules. */
  @EventListener({ApplicationReadyEvent.class, MovedIn.class})
  void upgraded() {
    catchUp.each(
        "select distinct batch_id from bottle where reckoned_by <> ?",
        id -> batches.findById(id).ifPresent(this::reckonUpgraded),
        Keeping.RULES);
  }

  /** A batch that cannot be reckoned keeps its dates, and is tried again at the next start. */
  private void reckonUpgraded(Batch batch) {
    try {
      book.keep(
          batch.id(), states.of(batch), "how fast oils age in heat and cold is reckoned anew");
    } catch (Refused refused) {
      LOG.warn("Bottles of {} keep their dates: {}", batch.code(), refused.getMessage());
    }
  }

  /** Once the figures are stored and their connection given back. */
  @EventListener
  void changed(FiguresChanged changed) {
    afterwards.then(() -> transactions.executeWithoutResult(status -> reckonAnew(changed)));
  }

  private void reckonAnew(FiguresChanged changed) {
    for (Batch batch : batches.withStandingBottles()) {
      BatchState state = states.of(batch);
      if (keys(state.charge(), changed).anyMatch(changed.key()::equals)) {
        book.keep(batch.id(), state, "its figures were changed in the kitchen");
      }
    }
  }

  private static Stream<String> keys(Charged charge, FiguresChanged changed) {
    return switch (changed.kind()) {
      case HERB -> charge.herbs().stream().map(HerbIn::herb);
      case CARRIER -> charge.carriers().stream().map(OilIn::carrier);
      default -> Stream.empty();
    };
  }
}
