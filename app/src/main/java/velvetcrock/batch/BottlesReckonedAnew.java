package velvetcrock.batch;

import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.event.TransactionalEventListener;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.log.Event;
import velvetcrock.kitchen.FiguresChanged;

/** Moves the dates of bottles when the household changes the figures of what is in them. */
@Component
class BottlesReckonedAnew {
  private final BatchRepository batches;
  private final BottleBook book;
  private final EventKinds kinds;

  BottlesReckonedAnew(BatchRepository batches, BottleBook book, EventKinds kinds) {
    this.batches = batches;
    this.book = book;
    this.kinds = kinds;
  }

  @TransactionalEventListener
  @Transactional(propagation = Propagation.REQUIRES_NEW)
  void reckonAnew(FiguresChanged changed) {
    for (Batch batch : batches.withStandingBottles()) {
      BatchState state = kinds.state(batch.state());
      if (keys(state.charge(), changed).anyMatch(changed.key()::equals)) {
        book.keep(batch.id(), state, "its figures were changed in the kitchen");
      }
    }
  }

  private static Stream<String> keys(Event.Charged charge, FiguresChanged changed) {
    return switch (changed.kind()) {
      case HERB -> charge.herbs().stream().map(Event.HerbIn::herb);
      case CARRIER -> charge.carriers().stream().map(Event.OilIn::carrier);
      default -> Stream.empty();
    };
  }
}
