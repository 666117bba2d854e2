package velvetcrock.stove;

import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchChanged;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.web.Afterwards;
import velvetcrock.web.CurrentHousehold;

/**
 * What the stove does when a batch changed: follows it, writes down what it shows, tells who looks.
 */
@Component
class StoveListener {
  private final LivePots pots;
  private final Settling settling;
  private final HeatKeeper keeper;
  private final Batches batches;
  private final StoveHub hub;
  private final CurrentHousehold current;
  private final Afterwards afterwards;

  StoveListener(
      LivePots pots,
      Settling settling,
      HeatKeeper keeper,
      Batches batches,
      StoveHub hub,
      CurrentHousehold current,
      Afterwards afterwards) {
    this.pots = pots;
    this.settling = settling;
    this.keeper = keeper;
    this.batches = batches;
    this.hub = hub;
    this.current = current;
    this.afterwards = afterwards;
  }

  /** Once the change is stored and its connection given back. */
  @EventListener
  void changed(BatchChanged change) {
    afterwards.then(() -> stored(change));
  }

  private void stored(BatchChanged change) {
    current.actingAs(
        new Settling.Watcher(change.householdId()),
        () -> {
          switch (change.what()) {
            case READINGS -> settling.read(pots.follow(change));
            case FILE -> {
              pots.forget(change);
              settling.readFile(change.code());
            }
            case LOG -> logChanged(change);
          }
          hub.changed(change.householdId(), change.code());
          return null;
        });
  }

  private void logChanged(BatchChanged change) {
    BatchRecord batch = batches.find(change.code());
    if (!batch.state().heat().stints().isEmpty()) {
      keeper.learn(batch, pots.of(batch).series());
    } else {
      pots.logChanged(change.batchId(), change.code());
    }
  }
}
