package velvetcrock.batch;

import java.util.UUID;
import java.util.concurrent.TimeUnit;
import net.javacrumbs.shedlock.spring.annotation.SchedulerLock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.TaskScheduler;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.web.CatchUp;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/**
 * Packs readings that were long to read back, a moment later, has those counted that came many at
 * once, and thins those of jars that are done as each household says.
 */
@Component
public class PackReadings {
  private static final Logger LOG = LoggerFactory.getLogger(PackReadings.class);

  private final ReadingStore store;
  private final ThinnedReadings thinned;
  private final CurrentHousehold current;
  private final CatchUp households;
  private final TransactionTemplate transactions;
  private final TaskScheduler scheduler;
  private final ApplicationEventPublisher events;

  PackReadings(
      ReadingStore store,
      ThinnedReadings thinned,
      CurrentHousehold current,
      CatchUp households,
      TransactionTemplate transactions,
      TaskScheduler scheduler,
      ApplicationEventPublisher events) {
    this.store = store;
    this.thinned = thinned;
    this.current = current;
    this.households = households;
    this.transactions = transactions;
    this.scheduler = scheduler;
    this.events = events;
  }

  /** Many of a batch were read back row by row. */
  record Unpacked(UUID householdId, UUID batchId) {}

  /** Many of a batch came at once. */
  record ManyCame(UUID householdId, UUID batchId) {}

  /** They are packed now. */
  public record Packed(UUID householdId, UUID batchId) {}

  private record Packer(UUID householdId, String displayName) implements InHousehold {}

  @EventListener
  void packSoon(Unpacked unpacked) {
    soon(() -> pack(unpacked));
  }

  @TransactionalEventListener
  void countSoon(ManyCame many) {
    soon(() -> count(many));
  }

  private void soon(Runnable work) {
    scheduler.schedule(work, scheduler.getClock().instant());
  }

  private void pack(Unpacked unpacked) {
    try {
      inStore(unpacked.householdId(), () -> store.pack(unpacked.batchId()));
      events.publishEvent(new Packed(unpacked.householdId(), unpacked.batchId()));
    } catch (RuntimeException later) {
      LOG.info("Readings were not packed; they will be when next they are read", later);
    }
  }

  private void count(ManyCame many) {
    try {
      inStore(many.householdId(), () -> store.countAnew(many.batchId()));
    } catch (RuntimeException later) {
      LOG.info("Readings were not counted; the database will within a minute", later);
    }
  }

  private void inStore(UUID household, Runnable work) {
    current.actingAs(
        new Packer(household, "The stove"),
        () -> {
          transactions.executeWithoutResult(status -> work.run());
          return null;
        });
  }

  /** Thins what a household lets go of, unless another instance is at it or just was. */
  @Scheduled(initialDelay = 20, fixedDelay = 720, timeUnit = TimeUnit.MINUTES)
  @SchedulerLock(name = "thin", lockAtMostFor = "PT12H", lockAtLeastFor = "PT11H")
  public void run() {
    households.inEach(thinned::thin);
  }
}
