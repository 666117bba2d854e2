package velvetcrock.stove;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import velvetcrock.batch.BatchReadings;
import velvetcrock.batch.BatchRecord;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.heat.Reduced;
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

  /** So many readings more make an outline worth keeping anew. */
  private static final int MANY_MORE = BatchReadings.MANY / 4;

  private final UUID householdId;
  private final ZoneId zone;
  private final Supplier<Series> stored;

  /** Held by whoever fetches what is stored; never sought by one who holds the pot itself. */
  private final Object fetching = new Object();

  private BatchRecord batch;
  private boolean fromFile;

  /** Null until it is fetched; so long an outline stands for it. */
  private @Nullable Series series;

  private @Nullable PotOutline outline;
  private @Nullable PotHeat heat;
  private boolean byOutline;
  private int outlined;
  private boolean outlining;
  private Instant reckonedAt = Instant.EPOCH;
  private boolean settling;
  private boolean more;

  /**
   * A batch whose readings nobody has fetched yet.
   *
   * @param stored all that there are now; asked once, in its household
   */
  LivePot(
      UUID householdId, ZoneId zone, BatchRecord batch, boolean fromFile, Supplier<Series> stored) {
    this.householdId = householdId;
    this.zone = zone;
    this.batch = batch;
    this.fromFile = fromFile;
    this.stored = stored;
  }

  /**
   * Lets an outline stand for its readings until they are fetched.
   *
   * @param kept the outline, its trace with what came after it was kept
   * @param known what they come to, with those as well
   */
  synchronized void standFor(PotOutline kept, PotHeat known) {
    outline = kept;
    outlined = kept.trace().from();
    heat = known;
    byOutline = true;
  }

  UUID householdId() {
    return householdId;
  }

  synchronized BatchRecord batch() {
    return batch;
  }

  /** All its readings; fetched now if they were not yet. */
  Series series() {
    synchronized (fetching) {
      if (fetched() == null) {
        Series all = stored.get();
        synchronized (this) {
          series = all;
        }
      }
    }
    return Objects.requireNonNull(fetched());
  }

  private synchronized @Nullable Series fetched() {
    return series;
  }

  /** Whether what it comes to is by its outline: not all may be as it is. */
  synchronized boolean isByOutline() {
    return byOutline;
  }

  /** How many readings there are, fetched or not. */
  synchronized int size() {
    return series != null ? series.size() : outlined;
  }

  /** Its trace for drawing: by its outline where that is what is asked and all there is yet. */
  Reduced reduced(TraceOut.Span span, int columns) {
    synchronized (this) {
      if (series == null && outline != null && span.isAll() && columns == PotOutline.COLUMNS) {
        return outline.trace();
      }
    }
    return series().reduced(span.fromMillis(), span.toMillis(), columns);
  }

  /**
   * Whether somebody is to call {@link #outline}, and nobody was told so yet: where readings are
   * still to be fetched, or an outline of very many is of another log or lacks many.
   */
  synchronized boolean wantsOutline() {
    boolean old =
        series == null
            || outline == null
            || !outline.isOf(batch.state())
            || series.size() - outlined >= MANY_MORE;
    boolean tell = old && !outlining && size() >= BatchReadings.MANY;
    outlining |= tell;
    return tell;
  }

  /** Fetches what is not, reckons it in full, and outlines it; empty where it cannot be. */
  Optional<PotOutline> outline(Catalogue catalogue, Instant now) {
    Series all = series();
    BatchState state = batch().state();
    PotHeat full = new PotHeat(catalogue, state, all, now, zone);
    PotOutline anew = PotOutline.of(state, full, all).orElse(null);
    synchronized (this) {
      heat = series == all && sameLog(batch.state(), state) ? full : null;
      byOutline = false;
      reckonedAt = now;
      outline = anew;
      outlined = all.size();
      outlining = anew == null; // then it is not asked for again
    }
    return Optional.ofNullable(anew);
  }

  /** That could not be done now: whoever opens it next is to call it again. */
  synchronized void outlineLater() {
    outlining = false;
  }

  /** Whether the last reading came from a logger's file, so that its silence means nothing. */
  synchronized boolean fromFile() {
    return fromFile;
  }

  /** Takes what its log now says. */
  synchronized void become(BatchRecord now) {
    if (!sameLog(now.state(), batch.state())) {
      heat = null;
      byOutline = false;
    }
    batch = now;
  }

  /** Adds readings, in order among themselves; those that it has already are passed over. */
  void add(List<Reading> readings) {
    series();
    addFetched(readings);
  }

  private synchronized void addFetched(List<Reading> readings) {
    Series.Builder came = Series.builder();
    readings.forEach(r -> came.addUnlessSame(r.at().toEpochMilli(), r.celsius()));
    Series added = came.build();
    Series known = Objects.requireNonNull(series);
    long last = known.size() == 0 ? Long.MIN_VALUE : known.millis(known.size() - 1);
    Series longer = known.with(added);
    if (byOutline) {
      heat = null;
      byOutline = false;
    }
    series = longer;
    fromFile &= longer.millis(longer.size() - 1) == last;
    for (int i = 0; i < added.size() && heat != null; i++) {
      if (!heat.read(added.millis(i), added.celsius(i))) {
        heat = null;
      }
    }
  }

  private static boolean sameLog(BatchState one, BatchState other) {
    return one.entries() == other.entries() && one.corrections() == other.corrections();
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

  /** What it amounts to now: by its outline, as long as that stands for its readings. */
  PotHeat heat(Catalogue catalogue, Instant now) {
    synchronized (this) {
      if (heat != null && !stale(heat, now)) {
        return heat;
      }
    }
    series();
    synchronized (this) {
      PotHeat known = heat;
      if (known == null || stale(known, now)) {
        known = new PotHeat(catalogue, batch.state(), Objects.requireNonNull(series), now, zone);
        heat = known;
        reckonedAt = now;
      }
      return known;
    }
  }

  private boolean stale(PotHeat known, Instant now) {
    return !known.assumed().isEmpty()
        && Duration.between(reckonedAt, now).compareTo(ASSUMED_FOR) > 0;
  }
}
