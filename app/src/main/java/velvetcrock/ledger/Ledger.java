package velvetcrock.ledger;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Refused;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Event;
import velvetcrock.core.log.Log;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.Waited;

/**
 * The one store of all logs: of batches, lots, loads and products.
 *
 * <ol>
 *   <li>A key names one writing in a household. A repeat of it is answered as the first was and
 *       writes nothing; for something else it is refused with {@link KeyUsed}.
 *   <li>Clocks, corrections and order are those of {@link Log}, for every kind of log.
 *   <li>Whoever appends holds the subject's row until the end of the transaction, so that two
 *       writers take turns.
 *   <li>A state kept beside its subject is a cache: one of another version is folded anew.
 * </ol>
 */
@Component
@Transactional(propagation = Propagation.SUPPORTS)
public class Ledger {
  private static final int LONGEST_KEY = 120;

  /** States that were read lately, by the very letters: those of some hundreds of jars. */
  private static final long MOST_LETTERS = 3_000_000;

  private record Read(Class<?> type, String state) {}

  private final Cache<Read, Object> read =
      Caffeine.newBuilder()
          .maximumWeight(MOST_LETTERS)
          .weigher((Read kept, Object state) -> kept.state().length())
          .build();

  private final EntryRows rows;
  private final CurrentHousehold current;
  private final Households households;
  private final EntityManager database;
  private final JsonMapper json;
  private final Clock clock;

  Ledger(
      EntryRows rows,
      CurrentHousehold current,
      Households households,
      EntityManager database,
      JsonMapper json,
      Clock clock) {
    this.rows = rows;
    this.current = current;
    this.households = households;
    this.database = database;
    this.json = json;
    this.clock = clock;
  }

  /**
   * A line as it is shown.
   *
   * @param key what names its writing
   * @param replaced whether a later one takes it out of the state
   */
  public record Line<E extends Event<?>>(
      Entry<E> entry, String by, Instant writtenAt, String key, boolean replaced) {}

  /**
   * What was written under a key.
   *
   * @param answer what was answered then, as JSON; null for entries that are older than answers
   */
  public record Before(
      UUID subjectId,
      UUID entryId,
      int number,
      String by,
      Instant writtenAt,
      @Nullable String answer) {}

  /**
   * What a repeat of this writing would repeat; empty if it is the first.
   *
   * @param subjectId the subject that is written to; null where it is still to be made
   * @param event what is to be written
   * @throws Refused at {@code key} if that cannot be one
   * @throws KeyUsed if the key names something else: another subject or another kind of entry
   */
  public <E extends Event<?>> Optional<Before> before(
      String key, Book<E, ?> book, @Nullable UUID subjectId, E event) {
    checkKey(key);
    Optional<EntryRow> row = rows.findByIdempotencyKey(key);
    row.ifPresent(
        r -> {
          boolean same =
              r.subject() == book.subject()
                  && r.kind().equals(event.kind())
                  && (subjectId == null || subjectId.equals(r.subjectId()));
          if (!same) {
            throw new KeyUsed(key, "“" + r.kind() + "” of a " + r.subject().word());
          }
          Waited.writtenBefore(r.writtenBy());
        });
    return row.map(Ledger::before);
  }

  /** What was written under a key, whatever it was. */
  public <E extends Event<?>> Optional<Entry<E>> under(String key, Book<E, ?> book) {
    return rows.findByIdempotencyKey(key)
        .filter(row -> row.subject() == book.subject())
        .map(row -> entry(row, book));
  }

  /** The subject that a key was used for, if it is of such a log. */
  public Optional<UUID> subjectUnder(String key, Book<?, ?> book) {
    return rows.findByIdempotencyKey(key)
        .filter(row -> row.subject() == book.subject())
        .map(EntryRow::subjectId);
  }

  private static Before before(EntryRow row) {
    return new Before(
        row.subjectId(), row.id(), row.number(), row.writtenBy(), row.writtenAt(), row.answer());
  }

  /** The log of a subject, as it was written. */
  public <E extends Event<?>> Log<E> log(UUID subjectId, Book<E, ?> book) {
    return new Log<>(
        rows.findBySubjectIdOrderByNumber(subjectId).stream().map(r -> entry(r, book)).toList());
  }

  /** The same as it is shown. */
  public <E extends Event<?>> List<Line<E>> lines(UUID subjectId, Book<E, ?> book) {
    List<EntryRow> found = rows.findBySubjectIdOrderByNumber(subjectId);
    Log<E> log = new Log<>(found.stream().map(r -> entry(r, book)).toList());
    Set<UUID> replaced = log.replaced();
    return found.stream()
        .map(
            row ->
                new Line<>(
                    entry(row, book),
                    row.writtenBy(),
                    row.writtenAt(),
                    row.key(),
                    replaced.contains(row.id())))
        .toList();
  }

  /** When an entry of a kind last told of something by a name in its data; empty if none did. */
  public Optional<Instant> last(String kind, String field, String value) {
    return rows.last(kind, field, value);
  }

  /** Who wrote each entry of a log. */
  public Map<UUID, String> writers(UUID subjectId) {
    return rows.findBySubjectIdOrderByNumber(subjectId).stream()
        .collect(Collectors.toMap(EntryRow::id, EntryRow::writtenBy));
  }

  /** The key under which an entry was written; empty if there is no such entry. */
  public String keyOf(UUID entryId) {
    return rows.findById(entryId).map(EntryRow::key).orElse("");
  }

  private static <E extends Event<?>> Entry<E> entry(EntryRow row, Book<E, ?> book) {
    return new Entry<>(
        row.id(),
        row.number(),
        row.happenedAt(),
        book.storage().read(row.kind(), row.version(), row.data()),
        row.replaces());
  }

  /**
   * A log with one entry more, not written yet.
   *
   * @throws NotFound if it replaces an entry that is not in this log
   * @throws Refused as {@link Log#with} does
   */
  public <E extends Event<?>> Log<E> with(Log<E> log, Log.Draft<E> draft) {
    UUID replaces = draft.replaces();
    if (replaces != null && log.entries().stream().noneMatch(e -> e.id().equals(replaces))) {
      throw new NotFound("There is no such entry in this log.");
    }
    return log.with(draft, new Log.Now(clock.instant(), households.current().zone()));
  }

  /**
   * Writes the last entry of a log.
   *
   * @param key names the writing
   * @param answer what whoever writes it is answered, besides what is known of every entry; null
   *     for nothing
   * @return what a repeat would be answered
   */
  public <E extends Event<?>> Before write(
      UUID subjectId, Log<E> log, Book<E, ?> book, String key, @Nullable Object answer) {
    checkKey(key);
    Entry<E> last = log.last();
    EntryRow row =
        new EntryRow(
            book.subject(),
            subjectId,
            last,
            new EntryRow.Content(
                last.event().kind(),
                book.storage().version(last.event()),
                book.storage().json(last.event())),
            new EntryRow.Written(
                clock.instant(),
                current.name(),
                key,
                answer == null ? null : json.writeValueAsString(answer)));
    database.persist(row);
    return before(row);
  }

  /** An answer that was given before. */
  public <T> Optional<T> answered(Before before, Class<T> type) {
    return Optional.ofNullable(before.answer()).map(a -> json.readValue(a, type));
  }

  /** A state as it is kept beside its subject. */
  public <S> Kept keep(Book<?, S> book, S state) {
    return new Kept(json.writeValueAsString(state), book.version());
  }

  /** Whether a state is kept as it is, under the present version. */
  public <S> boolean isKept(Book<?, S> book, S state, Kept kept) {
    return kept.version().equals(book.version())
        && json.readValue(kept.state(), book.state()).equals(state);
  }

  /**
   * The state of a subject: as it was kept, or folded anew where that was done by other rules or in
   * another shape.
   */
  public <E extends Event<?>, S> S state(UUID subjectId, Book<E, S> book, Kept kept) {
    return kept.version().equals(book.version())
        ? book.state().cast(read.get(new Read(book.state(), kept.state()), this::read))
        : book.fold().apply(log(subjectId, book));
  }

  private Object read(Read kept) {
    return json.readValue(kept.state(), kept.type());
  }

  /** The time it is. */
  public Instant now() {
    return clock.instant();
  }

  private static void checkKey(String key) {
    if (key.isBlank() || key.length() > LONGEST_KEY) {
      throw new Refused("key", "An idempotency key has 1 to " + LONGEST_KEY + " characters.");
    }
  }
}
