package velvetcrock.stove;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.event.TransactionalEventListener;
import velvetcrock.batch.BatchReadings;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.ThermalPot;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HouseholdCleared;
import velvetcrock.web.InHousehold;

/**
 * Stand-in probes of the demo: a thermal pot on the appliance that the batch's log names, with its
 * knob where the log last turned it, read every few seconds into the same intake as a real probe.
 */
@Service
public class StandIns {
  private static final Logger LOG = LoggerFactory.getLogger(StandIns.class);
  private static final double NOISE_C = 0.2;
  private static final double ROOM_C = 20;
  private static final long TICK_MS = 1000;
  private static final Duration EVERY = Duration.ofSeconds(2);
  private static final Duration LONGEST = Duration.ofHours(12);

  private final Batches batches;
  private final BatchReadings readings;
  private final LivePots pots;
  private final Catalogues catalogues;
  private final CurrentHousehold current;
  private final Clock clock;
  private final Map<Known, Running> running = new ConcurrentHashMap<>();
  private final ScheduledExecutorService ticker =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "stand-in-probes");
            thread.setDaemon(true);
            return thread;
          });

  StandIns(
      Batches batches,
      BatchReadings readings,
      LivePots pots,
      Catalogues catalogues,
      CurrentHousehold current,
      Clock clock) {
    this.batches = batches;
    this.readings = readings;
    this.pots = pots;
    this.catalogues = catalogues;
    this.current = current;
    this.clock = clock;
    ticker.scheduleWithFixedDelay(this::tick, TICK_MS, TICK_MS, TimeUnit.MILLISECONDS);
  }

  private record Probe(UUID householdId, String displayName) implements InHousehold {}

  /** One that runs. */
  private static final class Running {
    private final Probe probe;
    private final String code;
    private final ThermalPot pot;
    private final Random noise = new Random();
    private final Instant until;
    private Instant at;

    Running(Probe probe, String code, ThermalPot pot, Instant at) {
      this.probe = probe;
      this.code = code;
      this.pot = pot;
      this.at = at;
      this.until = at.plus(LONGEST);
    }
  }

  boolean runs(UUID batchId) {
    return running.containsKey(new Known(current.id(), batchId));
  }

  /** Puts a probe into every pot of the current household that stands on the heat and was read. */
  public void startAll() {
    batches.standing().stream()
        .filter(b -> b.state().heat().now().isPresent() && pots.of(b).series().size() > 1)
        .forEach(this::start);
  }

  /** Puts a probe into a batch's pot; it begins where the last reading left off. */
  void start(BatchRecord batch) {
    Appliance appliance =
        batch.state().heat().now().map(s -> s.heater().kind()).orElse(Appliance.SLOW_COOKER);
    ThermalPot pot = new ThermalPot(appliance, ROOM_C);
    Instant now = clock.instant();
    pot.startAt(now.atZone(java.time.ZoneOffset.UTC).getHour());
    pots.of(batch)
        .heat(catalogues.current(), now)
        .last()
        .filter(r -> Duration.between(r.at(), now).compareTo(Duration.ofMinutes(30)) < 0)
        .ifPresent(r -> pot.warmTo(r.celsius()));
    running.put(
        new Known(current.id(), batch.id()),
        new Running(new Probe(current.id(), "Stand-in probe"), batch.code(), pot, now));
  }

  @TransactionalEventListener
  void stop(HouseholdCleared cleared) {
    running.values().removeIf(one -> one.probe.householdId().equals(cleared.household()));
  }

  void stop(BatchRecord batch) {
    running.remove(new Known(current.id(), batch.id()));
  }

  private void tick() {
    for (Iterator<Map.Entry<Known, Running>> all = running.entrySet().iterator(); all.hasNext(); ) {
      Running one = all.next().getValue();
      try {
        if (clock.instant().isAfter(one.until)) {
          all.remove();
        } else {
          current.actingAs(
              one.probe,
              () -> {
                read(one);
                return null;
              });
        }
      } catch (RuntimeException e) {
        LOG.info("The stand-in probe of {} was taken out: {}", one.code, e.getMessage());
        all.remove();
      }
    }
  }

  private void read(Running one) {
    BatchRecord batch = pots.held(one.code).batch();
    Optional<BatchState.Stint> stint = batch.state().heat().now();
    Appliance.Setting knob =
        stint.map(s -> one.pot.appliance().setting(s.knob().name())).orElse(Appliance.OFF);
    if (!knob.equals(one.pot.setting())) {
      one.pot.turn(knob);
    }
    one.pot.fill(one.pot.appliance().waterG());
    List<Reading> read = new ArrayList<>();
    while (!one.at.plus(EVERY).isAfter(clock.instant())) {
      one.pot.run(EVERY.toSeconds());
      one.at = one.at.plus(EVERY);
      read.add(new Reading(one.at, one.pot.celsius() + NOISE_C * one.noise.nextGaussian()));
    }
    if (!read.isEmpty()) {
      readings.add(batch, read);
    }
  }

  @PreDestroy
  void close() {
    ticker.shutdownNow();
  }
}
