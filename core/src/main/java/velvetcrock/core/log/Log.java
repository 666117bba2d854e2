package velvetcrock.core.log;

import static java.util.Comparator.naturalOrder;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/**
 * A log and its rules, whatever it is the log of.
 *
 * @param entries in the order in which they were written
 * @param <E> what can happen to its subject
 */
public record Log<E extends Event<?>>(List<Entry<E>> entries) {
  /** A sender's clock may be ahead of ours by this much. */
  public static final Duration CLOCK_TOLERANCE = Duration.ofMinutes(2);

  /** Copies the list. */
  public Log {
    entries = List.copyOf(entries);
  }

  /** A log that nothing stands in yet. */
  public static <E extends Event<?>> Log<E> empty() {
    return new Log<>(List.of());
  }

  /**
   * The present, as whoever writes knows it.
   *
   * @param zone the household's, which decides where a day begins
   */
  public record Now(Instant at, ZoneId zone) {}

  /**
   * An entry to be written.
   *
   * @param at when it happened; now if null
   * @param replaces the entry that it corrects or takes back, if any
   */
  public record Draft<E extends Event<?>>(E event, @Nullable Instant at, @Nullable UUID replaces) {}

  /**
   * The log with one entry more, whose instant is kept to the microsecond. What stands in the log
   * has been, whatever a clock says that was put back: nothing is written before it by itself.
   *
   * @throws Refused at {@code at} if that is still to come or was before the subject began; at
   *     {@code replaces} if there is no such entry, it was taken back before, or a striking out
   *     names none
   */
  public Log<E> with(Draft<E> draft, Now now) {
    Instant present =
        entries.stream()
            .map(Entry::at)
            .filter(now.at()::isBefore)
            .max(naturalOrder())
            .orElse(now.at());
    Instant happened = (draft.at() == null ? present : draft.at()).truncatedTo(ChronoUnit.MICROS);
    if (happened.isAfter(present.plus(CLOCK_TOLERANCE))) {
      throw new Refused("at", "That has not happened yet.");
    }
    Optional<Entry<E>> began = beginning();
    if (began.isPresent() && !draft.event().begins()) {
      Instant earliest = began.get().event().earliest(began.get().at(), now.zone());
      if (happened.isBefore(earliest)) {
        throw new Refused(
            "at",
            "That was before "
                + began.get().event().beginning()
                + " on "
                + began.get().at().atZone(now.zone()).toLocalDate()
                + ".");
      }
    }
    checkReplaced(draft);

    List<Entry<E>> all = new ArrayList<>(entries);
    all.add(
        new Entry<>(
            UUID.randomUUID(), entries.size() + 1, happened, draft.event(), draft.replaces()));
    return new Log<>(all);
  }

  private void checkReplaced(Draft<E> draft) {
    UUID replaces = draft.replaces();
    if (replaces == null) {
      if (draft.event().strikes()) {
        throw new Refused("replaces", "Name the entry to be taken back.");
      }
      return;
    }
    Entry<E> meant =
        entries.stream()
            .filter(e -> e.id().equals(replaces))
            .findFirst()
            .orElseThrow(() -> new Refused("replaces", "There is no such entry in this log."));
    if (replaced().contains(replaces)) {
      throw new Refused("replaces", "That entry has been taken back already.");
    }
    Optional<String> stays = meant.event().staysBecause();
    if (draft.event().strikes() && stays.isPresent()) {
      throw new Refused("replaces", stays.get());
    }
  }

  /** The entries that another replaces. */
  public Set<UUID> replaced() {
    Set<UUID> replaced = new HashSet<>();
    entries.stream().filter(e -> e.replaces() != null).forEach(e -> replaced.add(e.replaces()));
    return replaced;
  }

  /** The entries that count: the beginning first, then as they happened, then as written. */
  public List<Entry<E>> counting() {
    Set<UUID> replaced = replaced();
    return entries.stream()
        .filter(e -> !replaced.contains(e.id()))
        .sorted(
            Comparator.comparing((Entry<E> e) -> !e.event().begins())
                .thenComparing(Entry::at)
                .thenComparing(Entry::number))
        .toList();
  }

  /** The entry with which it begins, as it was corrected last. */
  public Optional<Entry<E>> beginning() {
    return counting().stream().findFirst().filter(e -> e.event().begins());
  }

  /**
   * The entry written last.
   *
   * @throws java.util.NoSuchElementException if nothing was written
   */
  public Entry<E> last() {
    if (entries.isEmpty()) {
      throw new java.util.NoSuchElementException("Nothing stands in this log.");
    }
    return entries.get(entries.size() - 1);
  }
}
