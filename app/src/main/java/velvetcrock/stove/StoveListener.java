package velvetcrock.stove;

import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchChanged;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.Afterwards;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/**
 * What the stove does when a batch changed: follows it, writes down what it shows, tells who looks.
 */
@Component
class StoveListener {
  private final LivePots pots;
  private final HeatKeeper keeper;
  private final Batches batches;
  private final Catalogues catalogues;
  private final StoveHub hub;
  private final CurrentHousehold current;
  private final Afterwards afterwards;
  private final java.time.Clock clock;

  StoveListener(
      LivePots pots,
      HeatKeeper keeper,
      Batches batches,
      Catalogues catalogues,
      StoveHub hub,
      CurrentHousehold current,
      Afterwards afterwards,
      java.time.Clock clock) {
    this.pots = pots;
    this.keeper = keeper;
    this.batches = batches;
    this.catalogues = catalogues;
    this.hub = hub;
    this.current = current;
    this.afterwards = afterwards;
    this.clock = clock;
  }

  private record Watcher(UUID householdId, String displayName) implements InHousehold {}

  /** Once the change is stored and its connection given back. */
  @EventListener
  void changed(BatchChanged change) {
    afterwards.then(() -> stored(change));
  }

  private void stored(BatchChanged change) {
    current.actingAs(
        new Watcher(change.householdId(), "The stove"),
        () -> {
          switch (change.what()) {
            case READINGS -> readings(change);
            case FILE -> {
              pots.follow(change);
              settle(change.code(), true);
            }
            case LOG -> logChanged(change);
          }
          hub.changed(change.householdId(), change.code());
          return null;
        });
  }

  /** The quick path: once a second from every probe. */
  private void readings(BatchChanged change) {
    Optional<LivePot> followed = pots.follow(change);
    if (followed.isEmpty()) {
      settle(change.code(), false);
      return;
    }
    LivePot pot = followed.get();
    PotHeat heat = pot.heat(catalogues.current(), clock.instant());
    if (!keeper.saysIt(pot.batch(), heat)) {
      settle(change.code(), false);
    }
  }

  private void settle(String code, boolean learn) {
    BatchRecord batch = batches.find(code);
    LivePot pot = pots.of(batch);
    keeper.logExcursions(batch, pot.heat(catalogues.current(), clock.instant()));
    if (learn) {
      keeper.learn(batch, pot.series());
    }
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
