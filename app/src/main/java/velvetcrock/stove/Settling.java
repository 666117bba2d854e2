package velvetcrock.stove;

import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/**
 * Brings the log of a pot in line with its readings. One at a time for each pot: whoever comes
 * meanwhile does not wait, and what he brought is seen to with all else that came, a moment later.
 */
@Component
class Settling {
  private static final Duration A_MOMENT = Duration.ofMillis(250);

  private final LivePots pots;
  private final HeatKeeper keeper;
  private final Batches batches;
  private final Catalogues catalogues;
  private final CurrentHousehold current;
  private final TaskScheduler scheduler;
  private final Clock clock;

  Settling(
      LivePots pots,
      HeatKeeper keeper,
      Batches batches,
      Catalogues catalogues,
      CurrentHousehold current,
      TaskScheduler scheduler,
      Clock clock) {
    this.pots = pots;
    this.keeper = keeper;
    this.batches = batches;
    this.catalogues = catalogues;
    this.current = current;
    this.scheduler = scheduler;
    this.clock = clock;
  }

  /** On whose behalf what readings show is written. */
  record Watcher(UUID householdId, String displayName) implements InHousehold {
    Watcher(UUID householdId) {
      this(householdId, "The stove");
    }
  }

  /** After a few readings: once a second from every probe. */
  void read(LivePot pot) {
    if (pot.beginSettling()) {
      settle(pot);
    }
  }

  private void settle(LivePot pot) {
    try {
      PotHeat heat = heat(pot);
      if (!keeper.saysIt(pot.batch(), heat)) {
        BatchRecord batch = batches.find(pot.batch().code());
        keeper.logExcursions(batch, heat(pots.of(batch)));
      }
    } finally {
      if (pot.moreToSettle()) {
        scheduler.schedule(() -> again(pot), scheduler.getClock().instant().plus(A_MOMENT));
      }
    }
  }

  private void again(LivePot pot) {
    current.actingAs(
        new Watcher(pot.householdId()),
        () -> {
          settle(pot);
          return null;
        });
  }

  /** After a whole file of readings came or went: also what settings turned out to be. */
  void readFile(String code) {
    BatchRecord batch = batches.find(code);
    LivePot pot = pots.of(batch);
    keeper.logExcursions(batch, heat(pot));
    keeper.learn(batch, pot.series());
  }

  private PotHeat heat(LivePot pot) {
    return pot.heat(catalogues.current(), clock.instant());
  }
}
