package velvetcrock.stove;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;
import velvetcrock.batch.BatchChanged;
import velvetcrock.batch.BatchReadings;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.HeatWatch;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HouseholdCleared;

/** The pots that somebody looks at or that readings come from, held in memory. */
@Component
class LivePots implements HeatWatch {
  /** About 120 MB of readings. */
  private static final long MOST_READINGS = 10_000_000;

  private static final int LEAST_WEIGHT = 2000;

  private final Batches batches;
  private final BatchReadings readings;
  private final Households households;
  private final CurrentHousehold current;
  private final Catalogues catalogues;
  private final ApplicationEventPublisher events;
  private final Clock clock;
  private final Cache<Known, LivePot> pots =
      Caffeine.newBuilder()
          .maximumWeight(MOST_READINGS)
          .weigher((Known key, LivePot pot) -> Math.max(LEAST_WEIGHT, pot.size()))
          .expireAfterAccess(Duration.ofHours(6))
          .build();

  private final Map<String, UUID> ids = new ConcurrentHashMap<>();

  LivePots(
      Batches batches,
      BatchReadings readings,
      Households households,
      CurrentHousehold current,
      Catalogues catalogues,
      ApplicationEventPublisher events,
      Clock clock) {
    this.batches = batches;
    this.readings = readings;
    this.households = households;
    this.current = current;
    this.catalogues = catalogues;
    this.events = events;
    this.clock = clock;
  }

  /** An outline is to be kept of a pot, or to give way to what it stands for. */
  record OutlineWanted(LivePot pot) {}

  @Override
  public PotHeat heat(BatchRecord batch, Instant now) {
    return of(batch).heat(catalogues.current(), now);
  }

  @Override
  public PotHeat shown(BatchRecord batch, Instant now) {
    return shown(batch).heat(catalogues.current(), now);
  }

  /** A batch of the current household, as its log was just found, with all its readings. */
  LivePot of(BatchRecord batch) {
    LivePot pot = known(batch, false);
    if (pot.isByOutline()) {
      pot.outline(catalogues.current(), clock.instant());
    }
    return pot;
  }

  /** The same to be shown: of very many readings by its outline, until they are read. */
  LivePot shown(BatchRecord batch) {
    return known(batch, true);
  }

  private LivePot known(BatchRecord batch, boolean byOutline) {
    LivePot pot = pots.get(key(batch.id()), key -> opened(batch, byOutline));
    pot.become(batch);
    ids.put(current.id() + batch.code(), batch.id());
    outline(pot);
    return pot;
  }

  private LivePot opened(BatchRecord batch, boolean byOutline) {
    LivePot pot =
        new LivePot(
            current.id(),
            households.current().zone(),
            batch,
            readings.lastFromFile(batch.id()),
            () -> readings.of(batch.id()));
    if (!byOutline || !outlined(pot, batch)) {
      pot.series();
    }
    return pot;
  }

  /** Whether a pot can be shown by what was kept of it, with what was read since. */
  private boolean outlined(LivePot pot, BatchRecord batch) {
    Optional<PotOutline> kept =
        readings.outline(batch.id()).flatMap(PotOutline::of).filter(o -> o.isOf(batch.state()));
    if (kept.isEmpty()) {
      return false;
    }
    try {
      PotHeat heat = kept.get().heat(catalogues.current(), batch.state(), clock.instant());
      List<Reading> since = readings.after(batch.id(), heat.last().orElseThrow().at());
      boolean known =
          since.size() < BatchReadings.MANY
              && since.stream().allMatch(r -> heat.read(r.at().toEpochMilli(), r.celsius()));
      if (known) {
        pot.standFor(kept.get().with(since), heat);
      }
      return known;
    } catch (IllegalArgumentException keptOtherwise) {
      return false;
    }
  }

  private void outline(LivePot pot) {
    if (pot.wantsOutline()) {
      events.publishEvent(new OutlineWanted(pot));
    }
  }

  /** One that is held in memory. */
  Optional<LivePot> ifHeld(UUID household, UUID batch) {
    return Optional.ofNullable(pots.getIfPresent(new Known(household, batch)));
  }

  /** One that is held already, as the last change left it; else it is found. */
  LivePot held(String code) {
    UUID id = ids.get(current.id() + code);
    LivePot pot = id == null ? null : pots.getIfPresent(key(id));
    return pot == null ? of(code) : pot;
  }

  private Known key(UUID batch) {
    return new Known(current.id(), batch);
  }

  /** A batch of the current household by its code, to be shown. */
  LivePot shown(String code) {
    return shown(batches.find(code));
  }

  /** A batch of the current household by its code. */
  LivePot of(String code) {
    return of(batches.find(code));
  }

  /**
   * The pot that readings came for, with them. Fetched first where it is not held: whoever fetches
   * it at the same time may have looked before they were stored.
   */
  LivePot follow(BatchChanged change) {
    LivePot held = pots.getIfPresent(key(change.batchId()));
    LivePot pot = held == null ? of(change.code()) : held;
    pot.add(change.readings());
    outline(pot);
    return pot;
  }

  /** Fetches its readings again when they are next wanted. */
  void forget(BatchChanged change) {
    pots.invalidate(key(change.batchId()));
  }

  @TransactionalEventListener
  void forget(HouseholdCleared cleared) {
    String of = cleared.household().toString();
    ids.entrySet().stream()
        .filter(e -> e.getKey().startsWith(of))
        .forEach(e -> pots.invalidate(new Known(cleared.household(), e.getValue())));
    ids.keySet().removeIf(key -> key.startsWith(of));
  }

  /** Takes in what another instance has stored: it has seen to everything else. */
  void storedElsewhere(BatchChanged change) {
    switch (change.what()) {
      case READINGS -> {
        LivePot held = pots.getIfPresent(key(change.batchId()));
        if (held != null) {
          held.add(change.readings());
        }
      }
      case FILE -> forget(change);
      case LOG -> logChanged(change.batchId(), change.code());
    }
  }

  /** Fetches all anew when they are next wanted: something may have been missed. */
  void forgetAll() {
    pots.invalidateAll();
  }

  /** Log entries leave the readings as they are. */
  void logChanged(UUID batchId, String code) {
    if (pots.getIfPresent(key(batchId)) != null) {
      of(code);
    }
  }
}
