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
 * reading that comes last is added; one that comes late has it reckoned anew.
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
  private boolean settling;
  private boolean more;

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

  /** Adds readings, in order among themselves; those that it has already are passed over. */
  synchronized void add(List<Reading> readings) {
    Series.Builder came = Series.builder();
    readings.forEach(r -> came.addUnlessSame(r.at().toEpochMilli(), r.celsius()));
    Series added = came.build();
    int before = series.size();
    long last = before == 0 ? Long.MIN_VALUE : series.millis(before - 1);
    series = series.with(added);
    fromFile &= series.millis(series.size() - 1) == last;
    for (int i = 0; i < added.size() && heat != null; i++) {
      if (!heat.read(added.millis(i), added.celsius(i))) {
        heat = null;
      }
    }
  }

  /** Whether nobody brings its log in line now; else whoever does will see to what came, too. */
  synchronized boolean beginSettling() {
    more = settling;
    boolean free = !settling;
    settling = true;
    return free;
  }

  /** Ends that; true if more came meanwhile, and it is to be done once more. */
  synchronized boolean moreToSettle() {
    settling = more;
    more = false;
    return settling;
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
