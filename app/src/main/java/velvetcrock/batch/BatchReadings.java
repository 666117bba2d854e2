package velvetcrock.batch;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;

/**
 * The one door to temperatures: whoever reads them, by hand, from a file or by a probe. The same
 * time counts once, the order in which they come does not matter, and what changes is told.
 */
@Service
public class BatchReadings {
  private final ReadingStore store;
  private final Batches batches;
  private final BatchActs acts;
  private final CurrentHousehold current;
  private final Households households;
  private final ApplicationEventPublisher events;

  BatchReadings(
      ReadingStore store,
      Batches batches,
      BatchActs acts,
      CurrentHousehold current,
      Households households,
      ApplicationEventPublisher events) {
    this.store = store;
    this.batches = batches;
    this.acts = acts;
    this.current = current;
    this.households = households;
    this.events = events;
  }

  /**
   * Adds readings.
   *
   * @return how many were new
   */
  @Transactional
  public int add(BatchRecord batch, List<Reading> readings) {
    Set<Instant> times = new HashSet<>();
    List<Reading> once =
        readings.stream()
            .filter(r -> times.add(r.at()))
            .sorted(Comparator.comparing(Reading::at))
            .toList();
    List<Reading> added = new ArrayList<>(store.add(batch.id(), once));
    if (!added.isEmpty()) {
      changed(batch, added);
    }
    return added.size();
  }

  /**
   * What became of readings that were sent together.
   *
   * @param repeated how many were of times that there were already
   * @param tooEarly those of a time when there was no oil yet, not taken
   * @param why what to say of them
   */
  public record Taken(int accepted, int repeated, Set<Reading> tooEarly, String why) {}

  /** Adds to a batch by its code what of it can be. */
  @Transactional
  public Taken take(String code, List<Reading> sent) {
    BatchRecord batch = batches.find(code);
    Instant earliest = earliest(batch);
    Map<Boolean, List<Reading>> early =
        sent.stream().collect(Collectors.partitioningBy(r -> r.at().isBefore(earliest)));
    int accepted = add(batch, early.get(false));
    return new Taken(
        accepted, early.get(false).size() - accepted, Set.copyOf(early.get(true)), tooEarly(batch));
  }

  /** When a batch may have been charged at the earliest: before it nobody can have read its oil. */
  public Instant earliest(BatchRecord batch) {
    return batch.state().charge().earliest(Instant.EPOCH, households.current().zone());
  }

  /** Says so. */
  public static String tooEarly(BatchRecord batch) {
    return "That was before the jar was charged on "
        + batch.state().charge().begun().chargedOn()
        + ".";
  }

  /** All of a batch, in order. */
  @Transactional(readOnly = true)
  public Series of(UUID batchId) {
    return store.series(batchId);
  }

  /** What the stove reads now: the newest reading since a moment of any batch on the heat. */
  @Transactional(readOnly = true)
  public Optional<Reading> onTheStove(Instant since) {
    List<UUID> hot =
        batches.standing().stream()
            .filter(b -> b.state().heat().now().isPresent())
            .map(BatchRecord::id)
            .toList();
    return hot.isEmpty() ? Optional.empty() : store.newest(hot, since);
  }

  /** Whether the last reading of a batch came from a file. */
  @Transactional(readOnly = true)
  public boolean lastFromFile(UUID batchId) {
    return store.lastFromFile(batchId);
  }

  /** What became of a file's readings. */
  public record Loaded(long accepted, long repeated) {}

  /**
   * Loads a whole file's, all or none.
   *
   * @param importNumber names the file, for taking it back
   * @param feed hands every reading to the sink; whatever it throws undoes all
   */
  @Transactional
  public Loaded load(BatchRecord batch, int importNumber, Consumer<Consumer<Reading>> feed) {
    ReadingStore.Loaded loaded = store.load(batch.id(), importNumber, feed);
    changed(batch, List.of());
    return new Loaded(loaded.accepted(), loaded.repeated());
  }

  /** Takes back what a file brought. */
  @Transactional
  public int unload(BatchRecord batch, int importNumber) {
    int gone = store.unload(batch.id(), importNumber);
    changed(batch, List.of());
    return gone;
  }

  private void changed(BatchRecord batch, List<Reading> added) {
    if (batch.state().strained() != null) {
      acts.keepBottles(batch.code());
    }
    BatchChanged.Change what =
        added.isEmpty() ? BatchChanged.Change.FILE : BatchChanged.Change.READINGS;
    events.publishEvent(new BatchChanged(current.id(), batch.id(), batch.code(), what, added));
  }
}
