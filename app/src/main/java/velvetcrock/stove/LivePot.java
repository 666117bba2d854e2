package velvetcrock.stove;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.BatchRecord;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.materia.Catalogue;

/**
 * A batch with its readings and what they amount to, held in memory while somebody is interested. A
 * reading that comes last is added; everything else has it reckoned anew.
 */
final class LivePot {
  /** What is assumed changes with the clock; so often it is reckoned anew. */
  private static final Duration ASSUMED_FOR = Duration.ofSeconds(20);

  private final UUID householdId;
  private final ZoneId zone;
  private BatchRecord batch;
  private Series series;
  private boolean fromFile;
  private @Nullable PotHeat heat;
  private Instant reckonedAt = Instant.EPOCH;

  LivePot(UUID householdId, ZoneId zone, BatchRecord batch, Series series, boolean fromFile) {
    this.householdId = householdId;
    this.zone = zone;
    this.batch = batch;
    this.series = series;
    this.fromFile = fromFile;
  }

  UUID householdId() {
    return householdId;
  }

  synchronized BatchRecord batch() {
    return batch;
  }

  synchronized Series series() {
    return series;
  }

  /** Whether the last reading came from a logger's file, so that its silence means nothing. */
  synchronized boolean fromFile() {
    return fromFile;
  }

  /** Takes what its log now says. */
  synchronized void become(BatchRecord now) {
    if (now.state().entries() != batch.state().entries()
        || now.state().corrections() != batch.state().corrections()) {
      heat = null;
    }
    batch = now;
  }

  /** Adds readings; false if they are not the last, and all have to be fetched again. */
  synchronized boolean add(List<Reading> readings) {
    for (Reading reading : readings) {
      long millis = reading.at().toEpochMilli();
      int size = series.size();
      if (size > 0 && millis <= series.millis(size - 1)) {
        return false;
      }
      series = series.with(millis, reading.celsius());
      fromFile = false;
      if (heat != null && !heat.read(millis, reading.celsius())) {
        heat = null;
      }
    }
    return true;
  }

  /** What it amounts to now. */
  synchronized PotHeat heat(Catalogue catalogue, Instant now) {
    PotHeat known = heat;
    boolean assumes = known != null && !known.assumed().isEmpty();
    boolean stale = assumes && Duration.between(reckonedAt, now).compareTo(ASSUMED_FOR) > 0;
    if (known == null || stale) {
      known = new PotHeat(catalogue, batch.state(), series, now, zone);
      heat = known;
      reckonedAt = now;
    }
    return known;
  }
}
