package velvetcrock.stove;

import java.time.Clock;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchReadings;
import velvetcrock.batch.PackReadings;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.CurrentHousehold;

/**
 * Reads what a pot that is shown by its outline has in full, a moment after it was opened, and
 * keeps outlines of pots with very many readings.
 */
@Component
class PotOutlines {
  private static final Logger LOG = LoggerFactory.getLogger(PotOutlines.class);

  /** The page that asked has two cores for itself so long. */
  private static final Duration LATER = Duration.ofSeconds(1);

  private final LivePots pots;
  private final BatchReadings readings;
  private final StoveHub hub;
  private final Catalogues catalogues;
  private final CurrentHousehold current;
  private final TaskScheduler scheduler;
  private final Clock clock;

  PotOutlines(
      LivePots pots,
      BatchReadings readings,
      StoveHub hub,
      Catalogues catalogues,
      CurrentHousehold current,
      TaskScheduler scheduler,
      Clock clock) {
    this.pots = pots;
    this.readings = readings;
    this.hub = hub;
    this.catalogues = catalogues;
    this.current = current;
    this.scheduler = scheduler;
    this.clock = clock;
  }

  /** An outline is to be kept, or to give way to what it is of. */
  @EventListener
  void wanted(LivePots.OutlineWanted wanted) {
    scheduler.schedule(() -> keep(wanted.pot()), scheduler.getClock().instant().plus(LATER));
  }

  /** Its place is there only now. */
  @EventListener
  void packed(PackReadings.Packed packed) {
    pots.ifHeld(packed.householdId(), packed.batchId()).ifPresent(this::keep);
  }

  private void keep(LivePot pot) {
    try {
      current.actingAs(
          new Settling.Watcher(pot.householdId()),
          () -> {
            pot.outline(catalogues.current(), clock.instant())
                .ifPresent(outline -> readings.keepOutline(pot.batch().id(), outline.row()));
            hub.changed(pot.householdId(), pot.batch().code());
            return null;
          });
    } catch (RuntimeException later) {
      pot.outlineLater();
      LOG.info("A pot was not outlined; it will be when next it is opened", later);
    }
  }
}
