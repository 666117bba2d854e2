package velvetcrock.batch;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.log.BatchLog;
import velvetcrock.core.log.BatchReckoning;
import velvetcrock.core.log.BatchReckoning.KeepingRange;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.log.BottleEvent;
import velvetcrock.core.log.BottleState;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Event;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.StoredEntry;

/**
 * The one door to the log. An entry is folded with all that came before and written only if that
 * could have happened; the state and the bottles kept for reading are written in the same
 * transaction. The batch's row is held meanwhile, so that two writers take turns.
 */
@Service
public class Batches {
  /** Keys of draws by a pot begin so; only the pot gives them back. */
  public static final String POT_KEY = "pot:";

  private static final Duration CLOCK_DIFFERENCE = Duration.ofMinutes(2);
  private static final int LONGEST_KEY = 120;

  private final BatchRepository batches;
  private final LogEntryRepository log;
  private final BottleBook book;
  private final ReadingStore readings;
  private final Experience experience;
  private final BatchJournal journal;
  private final Households households;
  private final CurrentHousehold current;
  private final EventKinds kinds;
  private final Catalogues catalogues;
  private final LotTaker lots;
  private final PromisedCodes promises;
  private final EntityManager entities;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Batches(
      BatchRepository batches,
      LogEntryRepository log,
      BottleBook book,
      ReadingStore readings,
      Experience experience,
      BatchJournal journal,
      Households households,
      CurrentHousehold current,
      EventKinds kinds,
      Catalogues catalogues,
      LotTaker lots,
      PromisedCodes promises,
      EntityManager entities,
      ApplicationEventPublisher events,
      Clock clock) {
    this.batches = batches;
    this.log = log;
    this.book = book;
    this.readings = readings;
    this.experience = experience;
    this.journal = journal;
    this.households = households;
    this.current = current;
    this.kinds = kinds;
    this.catalogues = catalogues;
    this.lots = lots;
    this.promises = promises;
    this.entities = entities;
    this.events = events;
    this.clock = clock;
  }

  /**
   * Makes a batch of a charged jar.
   *
   * @param key names this charging, so that a repeat of it makes no second batch
   * @throws Refused if it cannot be
   */
  @Transactional
  public Written charge(Event.Charged event, String key) {
    return charge(event, key, null);
  }

  /**
   * The same under a code that was promised to it.
   *
   * @param promised the code; null for a fresh one
   */
  @Transactional
  public Written charge(Event.Charged event, String key, @Nullable String promised) {
    Household household = households.lockCurrent();
    checkKey(key);
    Optional<LogEntry> before = log.findByIdempotencyKey(key);
    if (before.isPresent()) {
      return repeated(before.get(), code(before.get().batchId()));
    }
    Event.Charged known = (Event.Charged) known(event);
    Instant at = chargedAt(event.chargedOn(), household).truncatedTo(ChronoUnit.MICROS);
    Entry entry = new Entry(UUID.randomUUID(), 1, at, known, null);
    BatchState state = BatchLog.fold(List.of(entry));
    reckonable(state);
    Batch batch =
        new Batch(
            UUID.randomUUID(),
            promised == null || batches.existsByCode(promised) ? freshCode() : promised,
            state,
            kinds.write(state),
            clock.instant());
    entities.persist(batch);
    lots.keep(batch.id(), state);
    Written written = write(batch, state, entry, key);
    return written.with(lots.take(batch.code(), entry.id(), known, state));
  }

  /** A code for a lid that nothing has and nothing waits for. */
  @Transactional(readOnly = true)
  public String freshCode() {
    return LidCodes.fresh(code -> batches.existsByCode(code) || promises.promised(code));
  }

  /** Refuses what no page could reckon. */
  private void reckonable(BatchState state) {
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    reckoning.charge();
    reckoning.leaving();
  }

  /**
   * An event in this household's terms: its place by its id, where a script may have named it.
   *
   * @throws Refused if it names a herb, an oil or a place that this household does not know
   */
  private Event known(Event event) {
    Catalogue catalogue = catalogues.current();
    Problems problems = new Problems();
    Event known = event;
    if (event instanceof Event.Charged e) {
      for (int i = 0; i < e.herbs().size(); i++) {
        String herb = e.herbs().get(i).herb();
        problems.attempt("herbs[" + i + "].herb", () -> catalogue.herb(herb));
      }
      for (int i = 0; i < e.carriers().size(); i++) {
        String carrier = e.carriers().get(i).carrier();
        problems.attempt("carriers[" + i + "].carrier", () -> catalogue.carrier(carrier));
      }
      lots.check(e, problems);
      known = problems.attempt("stand.place", () -> e.standing(stand(e.stand())));
    } else if (event instanceof Event.ToppedUp e) {
      problems.attempt("carrier", () -> catalogue.carrier(e.carrier()));
    } else if (event instanceof Event.Moved e) {
      known = problems.attempt("stand.place", () -> new Event.Moved(stand(e.stand())));
    }
    problems.refuseIfAny();
    return Objects.requireNonNull(known);
  }

  private Event.Stand stand(Event.Stand named) {
    return households.place(named.place()).stand();
  }

  /**
   * Adds an entry to a batch's log.
   *
   * @param code the code on the lid, in either case
   * @param at when it happened; now if null
   * @param replaces the entry that it corrects, if any
   * @param key names this entry, so that a repeat of it is not written twice
   * @throws NotFound if there is no such batch here
   * @throws Refused if the log could not have gone so, at the field that makes it so
   */
  @Transactional
  public Written append(
      String code, Event event, @Nullable Instant at, @Nullable UUID replaces, String key) {
    checkKey(key);
    Batch batch = batches.lock(normal(code)).orElseThrow(() -> noBatch(code));
    Optional<LogEntry> before = log.findByIdempotencyKey(key);
    if (before.isPresent()) {
      if (!before.get().batchId().equals(batch.id())) {
        throw new Refused("key", "This key has been used for another batch.");
      }
      return repeated(before.get(), batch.code());
    }
    Event known = known(event);
    List<Entry> entries =
        new ArrayList<>(
            log.findByBatchIdOrderByNumber(batch.id()).stream().map(kinds::entry).toList());
    BatchState was = kinds.state(batch.state());
    Entry entry =
        new Entry(
            UUID.randomUUID(),
            entries.size() + 1,
            (at == null ? clock.instant() : at).truncatedTo(ChronoUnit.MICROS),
            known,
            replaces);
    check(entry, was, entries);
    if (replaces != null && inAPot(replaces)) {
      throw new Refused("replaces", "That went into a pot. Give it back there.");
    }
    entries.add(entry);
    BatchState state = BatchLog.fold(entries);
    reckonable(state);
    Written written = write(batch, state, entry, key);
    batch.become(state, kinds.write(state));
    if (replaces == null) {
      written = written.with(lots.take(batch.code(), entry.id(), known, state));
    } else {
      lots.giveBack(replaces, state);
      lots.keep(batch.id(), state);
    }
    if (state.strained() != null) {
      book.keep(
          batch.id(), state, replaces == null ? why(event, state) : "a correction in the log");
    }
    boolean straining = event instanceof Event.Strained || event instanceof Event.ToppedUp;
    if (straining || replaces != null && was.strained() != null) {
      experience.learn(batch.id(), state);
    }
    return written;
  }

  /**
   * Takes an entry back by adding one that replaces it.
   *
   * @throws NotFound if there is no such entry
   * @throws Refused if later entries stand on it
   */
  @Transactional
  public Written undo(String code, UUID entryId) {
    return append(code, new Event.Struck(), null, entryId, "undo:" + entryId);
  }

  /** Notes the dates of the carrier, which the keeping needs, as a correction of the charging. */
  @Transactional
  public void supplyOilDates(String code, List<Event.OilIn> carriers) {
    BatchRecord batch = find(code);
    Event.Charged was = batch.state().charge();
    Event.Charged now = was.with(carriers);
    Entry charging =
        log.findByBatchIdOrderByNumber(batch.id()).stream()
            .map(kinds::entry)
            .filter(e -> e.event() instanceof Event.Charged)
            .reduce((first, last) -> last)
            .orElseThrow();
    append(code, now, charging.at(), charging.id(), "oil-dates:" + charging.id());
  }

  /**
   * A batch by the code on its lid, in either case.
   *
   * @throws NotFound if there is none here
   */
  @Transactional(readOnly = true)
  public BatchRecord find(String code) {
    return record(batches.findByCode(normal(code)).orElseThrow(() -> noBatch(code)));
  }

  /** The batches that stand on the shelf, the oldest first. */
  @Transactional(readOnly = true)
  public List<BatchRecord> standing() {
    return batches.standing().stream().map(this::record).toList();
  }

  /** Strained batches of which oil may be in no bottle yet, or whose marc is still there. */
  @Transactional(readOnly = true)
  public List<BatchRecord> strained(int most) {
    return batches.strained(Limit.of(most)).stream().map(this::record).toList();
  }

  /** The newest batches, newest first. */
  @Transactional(readOnly = true)
  public List<BatchRecord> newest(int most) {
    return batches.newest(Limit.of(most)).stream().map(this::record).toList();
  }

  /** A batch's log in the order in which it was written. */
  @Transactional(readOnly = true)
  public List<LoggedEntry> log(BatchRecord batch) {
    List<LogEntry> rows = log.findByBatchIdOrderByNumber(batch.id());
    Set<UUID> replaced = new HashSet<>();
    rows.forEach(r -> Optional.ofNullable(r.replaces()).ifPresent(replaced::add));
    return rows.stream()
        .map(
            r ->
                new LoggedEntry(
                    kinds.entry(r),
                    r.kind(),
                    r.writtenBy(),
                    r.writtenAt(),
                    replaced.contains(r.id())))
        .toList();
  }

  /**
   * Until when a bottle is good, with its reckoning.
   *
   * @throws NotFound if there is no such bottle
   */
  @Transactional(readOnly = true)
  public KeepingRange keeping(BatchRecord batch, String letter) {
    BottleState bottle =
        batch
            .state()
            .bottle(letter)
            .orElseThrow(
                () -> new NotFound("There is no bottle " + letter + " of " + batch.code() + "."));
    ZoneId zone = households.current().zone();
    return new BatchReckoning(catalogues.current(), batch.state())
        .keeping(bottle, zone, readings.series(batch.id()));
  }

  /** Until when strained oil is good that is in no bottle yet. */
  @Transactional(readOnly = true)
  public LocalDate unbottledGoodUntil(BatchRecord batch) {
    return new BatchReckoning(catalogues.current(), batch.state())
        .keepingUnbottled(households.current().zone(), readings.series(batch.id()))
        .early()
        .bestBefore();
  }

  /** Reckons a batch's bottles anew, after readings of its infusing came in. */
  void keepBottles(String code) {
    Batch row = batches.lock(code).orElseThrow();
    book.keep(row.id(), kinds.state(row.state()), "readings of its infusing came in");
  }

  private void check(Entry entry, BatchState was, List<Entry> entries) {
    if (entry.at().isAfter(clock.instant().plus(CLOCK_DIFFERENCE))) {
      throw new Refused("at", "That has not happened yet.");
    }
    ZoneId zone = households.current().zone();
    LocalDate day = entry.at().atZone(zone).toLocalDate();
    if (day.isBefore(was.charge().chargedOn().minusDays(was.charge().aboutDays()))) {
      throw new Refused(
          "at", "That was before the jar was charged on " + was.charge().chargedOn() + ".");
    }
    UUID replaces = entry.replaces();
    if (replaces != null) {
      checkReplaces(replaces, entries);
    } else if (entry.event() instanceof Event.Struck) {
      throw new Refused("replaces", "Name the entry to be taken back.");
    }
  }

  private boolean inAPot(UUID entry) {
    return log.findById(entry).filter(row -> row.key().startsWith(POT_KEY)).isPresent();
  }

  private static void checkReplaces(UUID replaces, List<Entry> entries) {
    if (entries.stream().noneMatch(e -> e.id().equals(replaces))) {
      throw new NotFound("There is no such entry in this log.");
    }
    if (entries.stream().anyMatch(e -> replaces.equals(e.replaces()))) {
      throw new Refused("replaces", "That entry has been taken back already.");
    }
  }

  private Written write(Batch batch, BatchState state, Entry entry, String key) {
    String by = current.name();
    Instant now = clock.instant();
    entities.persist(
        new LogEntry(
            batch.id(),
            new StoredEntry.Happened(entry.id(), entry.number(), entry.at(), entry.replaces()),
            new StoredEntry.Written(
                EventKinds.nameOf(entry.event()), kinds.write(entry.event()), now, by, key)));
    journal.tell(batch.code(), state, entry, by);
    events.publishEvent(
        new BatchChanged(current.id(), batch.id(), batch.code(), BatchChanged.What.LOG, List.of()));
    return new Written(entry.id(), batch.code(), entry.number(), false, by, now, List.of());
  }

  private static Written repeated(LogEntry row, String code) {
    return new Written(
        row.id(), code, row.number(), true, row.writtenBy(), row.writtenAt(), List.of());
  }

  /** What about an event may move a bottle's date. */
  private static String why(Event event, BatchState state) {
    if (event instanceof Event.Drawn e) {
      return "drawn from: " + state.bottle(e.bottle()).orElseThrow().store().words();
    } else if (event instanceof BottleEvent.Stood e) {
      return "stands "
          + state.bottle(e.bottle()).orElseThrow().store().words()
          + e.antioxidant().after(", ");
    } else if (event instanceof BottleEvent.Opened) {
      return "opened";
    }
    return "more is known of its batch";
  }

  private Instant chargedAt(LocalDate day, Household household) {
    Instant now = clock.instant();
    LocalDate today = LocalDate.ofInstant(now, household.zone());
    if (day.isAfter(today)) {
      throw new Refused(
          "chargedOn", "A jar is charged today or earlier; " + day + " is still to come.");
    }
    return day.equals(today) ? now : day.atTime(12, 0).atZone(household.zone()).toInstant();
  }

  private BatchRecord record(Batch batch) {
    return new BatchRecord(batch.id(), batch.code(), kinds.state(batch.state()));
  }

  private String code(UUID batchId) {
    return batches.findById(batchId).map(Batch::code).orElseThrow();
  }

  private static void checkKey(String key) {
    if (key.isBlank() || key.length() > LONGEST_KEY) {
      throw new Refused("key", "An idempotency key has 1 to " + LONGEST_KEY + " characters.");
    }
  }

  private static String normal(String code) {
    return Objects.requireNonNull(code).strip().toUpperCase(Locale.ROOT);
  }

  private static NotFound noBatch(String code) {
    return new NotFound("There is no batch " + code + " on your shelf or in your cellar.");
  }
}
