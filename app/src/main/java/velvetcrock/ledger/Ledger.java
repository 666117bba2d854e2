package velvetcrock.ledger;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Refused;
import velvetcrock.core.drawer.Entry;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.KindNames;
import velvetcrock.web.StoredEntry;

/** Reads and writes logs that are only added to: the same for lots, for loads and for pots. */
@Component
public class Ledger {
  private static final Duration CLOCK_DIFFERENCE = Duration.ofMinutes(2);
  private static final int LONGEST_KEY = 120;

  private final LedgerEntryRepository entries;
  private final CurrentHousehold current;
  private final EntityManager database;
  private final JsonMapper json;
  private final Clock clock;

  Ledger(
      LedgerEntryRepository entries,
      CurrentHousehold current,
      EntityManager database,
      JsonMapper json,
      Clock clock) {
    this.entries = entries;
    this.current = current;
    this.database = database;
    this.json = json;
    this.clock = clock;
  }

  /** A line as it is shown. */
  public record Line<E>(Entry<E> entry, String by, boolean replaced) {}

  /** What a key was used for before, if it was. */
  public Optional<UUID> subjectOf(String key) {
    if (key.isBlank() || key.length() > LONGEST_KEY) {
      throw new Refused("key", "An idempotency key has 1 to " + LONGEST_KEY + " characters.");
    }
    return entries.findByIdempotencyKey(key).map(LedgerEntry::subjectId);
  }

  /** What was written under a key, if anything was. */
  public <E> Optional<E> event(String key, KindNames<E> names) {
    return entries.findByIdempotencyKey(key).map(row -> names.read(row.kind(), row.data(), json));
  }

  /** The log of a subject, in the order of writing. */
  public <E> List<Entry<E>> of(UUID subject, KindNames<E> names) {
    return lines(subject, names).stream().map(Line::entry).toList();
  }

  /** The same as it is shown. */
  public <E> List<Line<E>> lines(UUID subject, KindNames<E> names) {
    List<LedgerEntry> rows = entries.findBySubjectIdOrderByNumber(subject);
    return rows.stream()
        .map(
            row ->
                new Line<>(
                    new Entry<>(
                        row.id(),
                        row.number(),
                        row.happenedAt(),
                        names.read(row.kind(), row.data(), json),
                        row.replaces()),
                    row.writtenBy(),
                    rows.stream().anyMatch(r -> row.id().equals(r.replaces()))))
        .toList();
  }

  /**
   * The log with an entry more, not written yet.
   *
   * @param at when it happened; now if null
   * @throws Refused at {@code at} if that is still to come, at {@code replaces} if there is no such
   *     entry or it was taken back before
   */
  public <E> List<Entry<E>> with(
      List<Entry<E>> before, E event, @Nullable Instant at, @Nullable UUID replaces) {
    Instant happened = (at == null ? clock.instant() : at).truncatedTo(ChronoUnit.MICROS);
    if (happened.isAfter(clock.instant().plus(CLOCK_DIFFERENCE))) {
      throw new Refused("at", "That has not happened yet.");
    }
    if (!before.isEmpty() && happened.isBefore(before.get(0).at())) {
      throw new Refused("at", "That was before it began.");
    }
    if (replaces != null
        && (before.stream().noneMatch(e -> e.id().equals(replaces))
            || before.stream().anyMatch(e -> replaces.equals(e.replaces())))) {
      throw new Refused("replaces", "There is no such entry, or it has been taken back already.");
    }
    List<Entry<E>> all = new ArrayList<>(before);
    all.add(new Entry<>(UUID.randomUUID(), before.size() + 1, happened, event, replaces));
    return all;
  }

  /** Writes the last entry of a log. */
  public <E> void write(UUID subject, List<Entry<E>> all, KindNames<E> names, String key) {
    Entry<E> last = all.get(all.size() - 1);
    database.persist(
        new LedgerEntry(
            subject,
            new StoredEntry.Happened(last.id(), last.number(), last.at(), last.replaces()),
            new StoredEntry.Written(
                names.nameOf(last.event()),
                json.writeValueAsString(last.event()),
                clock.instant(),
                current.name(),
                key)));
  }

  /** A state as it is stored. */
  public String json(Object state) {
    return json.writeValueAsString(state);
  }

  /** A state that was stored. */
  public <T> T read(String state, Class<T> type) {
    return json.readValue(state, type);
  }

  /** The time it is. */
  public Instant now() {
    return clock.instant();
  }
}
