package velvetcrock.batch;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.FigureRow;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Quotas;
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
  private final Quotas quotas;
  private final ApplicationEventPublisher events;

  BatchReadings(
      ReadingStore store,
      Batches batches,
      BatchActs acts,
      CurrentHousehold current,
      Households households,
      Quotas quotas,
      ApplicationEventPublisher events) {
    this.quotas = quotas;
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
    return (int) load(batch, 0, readings::forEach).accepted();
  }

  /**
   * Where readings that are sent together go in, one by one.
   *
   * @param earliest when the jar may have been charged
   * @param tooEarly what is said of a reading before that
   */
  public record Intake(Instant earliest, String tooEarly, Consumer<Reading> sink) {
    /** Takes one, unless it is of a time when there was no oil yet: then this says so. */
    public Optional<String> put(Reading reading) {
      if (reading.at().isBefore(earliest)) {
        return Optional.of(tooEarly);
      }
      sink.accept(reading);
      return Optional.empty();
    }
  }

  /** Adds to a batch by its code what of it can be, however many there are. */
  @Transactional
  public Loaded take(String code, Consumer<Intake> feed) {
    BatchRecord batch = batches.find(code);
    return load(batch, 0, sink -> feed.accept(new Intake(earliest(batch), tooEarly(batch), sink)));
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

  /**
   * So many readings are long to read back; of as many an outline is worth keeping, and where they
   * come at once the database counts anew.
   */
  public static final int MANY = 20_000;

  /** What was kept of a batch with many readings, to be shown until they are read. */
  @Transactional(readOnly = true)
  public Optional<FigureRow> outline(UUID batchId) {
    return store.outline(batchId);
  }

  /** Keeps that, where its readings are packed. */
  @Transactional
  public void keepOutline(UUID batchId, FigureRow outline) {
    store.keepOutline(batchId, outline);
  }

  /** Those of a batch after a moment, in order; {@link #MANY} at most. */
  @Transactional(readOnly = true)
  public List<Reading> after(UUID batchId, Instant moment) {
    return store.after(batchId, moment, MANY);
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

  /** What became of readings: how many were new, and how many of times that were there already. */
  public record Loaded(long accepted, long repeated) {}

  /**
   * Loads many, all or none.
   *
   * @param importNumber names the file, for taking it back; 0 for none
   * @param feed hands every reading to the sink; whatever it throws undoes all
   */
  @Transactional
  public Loaded load(BatchRecord batch, int importNumber, Consumer<Consumer<Reading>> feed) {
    ReadingLoad.Loaded loaded = store.load(batch.id(), importNumber, feed);
    quotas.readings(loaded.accepted());
    if (loaded.accepted() > 0) {
      changed(batch, loaded.few());
    }
    if (loaded.accepted() >= MANY) {
      events.publishEvent(new PackReadings.ManyCame(current.id(), batch.id()));
    }
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
