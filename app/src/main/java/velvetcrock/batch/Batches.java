package velvetcrock.batch;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Struck;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.KeepingRange;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;

/**
 * The one door to the log. An entry is folded with all that came before and written only if that
 * could have happened; the state and the bottles kept for reading are written in the same
 * transaction. The batch's row is held meanwhile, so that two writers take turns.
 */
@Service
public class Batches {
  /** Keys of draws for a product begin so; only the product gives them back. */
  public static final String PRODUCT_KEY = "pot:";

  private final BatchRepository batches;
  private final Ledger ledger;
  private final BottleBook book;
  private final ReadingStore readings;
  private final Experience experience;
  private final BatchJournal journal;
  private final Households households;
  private final CurrentHousehold current;
  private final BatchStates states;
  private final Catalogues catalogues;
  private final AroundBatches surroundings;
  private final LotTaker lots;
  private final PromisedCodes promises;
  private final EntityManager entities;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Batches(
      BatchRepository batches,
      Ledger ledger,
      BottleBook book,
      ReadingStore readings,
      Experience experience,
      BatchJournal journal,
      Households households,
      CurrentHousehold current,
      BatchStates states,
      Catalogues catalogues,
      AroundBatches surroundings,
      LotTaker lots,
      PromisedCodes promises,
      EntityManager entities,
      ApplicationEventPublisher events,
      Clock clock) {
    this.batches = batches;
    this.ledger = ledger;
    this.book = book;
    this.readings = readings;
    this.experience = experience;
    this.journal = journal;
    this.households = households;
    this.current = current;
    this.states = states;
    this.catalogues = catalogues;
    this.surroundings = surroundings;
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
  public Written charge(Charged event, String key) {
    return charge(event, key, null);
  }

  /**
   * The same under a code that was promised to it.
   *
   * @param promised the code; null for a fresh one
   */
  @Transactional
  public Written charge(Charged event, String key, @Nullable String promised) {
    Household household = households.lockCurrent();
    Optional<Ledger.Before> before = ledger.before(key, BatchStorage.BOOK, null, event);
    if (before.isPresent()) {
      return repeated(before.get(), code(before.get().subjectId()));
    }
    Charged known = (Charged) event.in(surroundings);
    Instant at = chargedAt(event.chargedOn(), household);
    Log<BatchEvent> log = ledger.with(Log.empty(), new Log.Draft<>(known, at, null));
    BatchState state = BatchLog.fold(log);
    reckonable(state);
    Batch batch =
        new Batch(
            UUID.randomUUID(),
            promised == null || batches.existsByCode(promised) ? freshCode() : promised,
            state,
            ledger.keep(BatchStorage.BOOK, state),
            clock.instant());
    entities.persist(batch);
    lots.keep(batch.id(), state);
    return write(batch, state, log, key);
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
   * Adds an entry to a batch's log, and to those of others that it happens to as well: the one door
   * for whatever is done to a batch, by page, round, stove or JSON.
   *
   * @param code the code on the lid, in either case
   * @param at when it happened; now if null
   * @param replaces the entry that it corrects, if any
   * @param key names this entry, so that a repeat of it is not written twice
   * @throws NotFound if there is no such batch here, or no such entry to replace
   * @throws Refused if the log could not have gone so, at the field that makes it so
   */
  @Transactional
  public Written append(
      String code, BatchEvent event, @Nullable Instant at, @Nullable UUID replaces, String key) {
    Written written = appendHere(code, event, at, replaces, key);
    if (replaces != null || !event.spreads()) {
      return written;
    }
    BatchState mine = find(written.code()).state();
    List<String> others =
        batches.standing().stream()
            .filter(row -> !row.code().equals(written.code()))
            .filter(row -> event.alsoHappensTo(mine, states.of(row)))
            .map(Batch::code)
            .sorted()
            .toList();
    others.forEach(other -> appendHere(other, event, at, null, key + ":" + other));
    return written.and(others);
  }

  private Written appendHere(
      String code, BatchEvent event, @Nullable Instant at, @Nullable UUID replaces, String key) {
    Batch batch = batches.lock(normal(code)).orElseThrow(() -> noBatch(code));
    Optional<Ledger.Before> before = ledger.before(key, BatchStorage.BOOK, batch.id(), event);
    if (before.isPresent()) {
      return repeated(before.get(), batch.code());
    }
    BatchEvent known = event.in(surroundings);
    BatchState was = states.of(batch);
    if (replaces != null && ledger.keyOf(replaces).startsWith(PRODUCT_KEY)) {
      throw new Refused("replaces", "That went into a product. Give it back there.");
    }
    Log<BatchEvent> log =
        ledger.with(
            ledger.log(batch.id(), BatchStorage.BOOK), new Log.Draft<>(known, at, replaces));
    BatchState state = BatchLog.fold(log);
    reckonable(state);
    batch.become(state, ledger.keep(BatchStorage.BOOK, state));
    Written written = write(batch, state, log, key);
    if (replaces != null) {
      lots.giveBack(replaces, state);
      lots.keep(batch.id(), state);
    }
    if (state.strained() != null) {
      book.keep(
          batch.id(),
          state,
          replaces == null ? known.movesDates(state) : "a correction in the log");
    }
    if (!teaches(was).equals(teaches(state)) || replaces != null && was.strained() != null) {
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
    return append(code, new Struck(), null, entryId, "undo:" + entryId);
  }

  /** Notes the dates of the carrier, which the keeping needs, as a correction of the charging. */
  @Transactional
  public void supplyOilDates(String code, List<OilIn> carriers) {
    BatchRecord batch = find(code);
    Charged was = batch.state().charge();
    Charged now = was.with(carriers);
    Entry<BatchEvent> charging =
        ledger.log(batch.id(), BatchStorage.BOOK).beginning().orElseThrow();
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
    return ledger.lines(batch.id(), BatchStorage.BOOK).stream()
        .map(
            line ->
                new LoggedEntry(
                    line.entry(),
                    line.entry().event().kind(),
                    line.by(),
                    line.writtenAt(),
                    line.key(),
                    line.replaced()))
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
    book.keep(row.id(), states.of(row), "readings of its infusing came in");
  }

  /** What of a state teaches how much oil a marc keeps. */
  private static List<Object> teaches(BatchState state) {
    return state.strained() == null ? List.of() : List.of(state.strained(), state.toppedUpMl());
  }

  /** Takes from lots what the last entry puts in, and writes it with what they lacked. */
  private Written write(Batch batch, BatchState state, Log<BatchEvent> log, String key) {
    Entry<BatchEvent> entry = log.last();
    List<Written.Short> shorts =
        entry.replaces() == null
            ? lots.take(batch.code(), entry.id(), entry.event(), state)
            : List.of();
    Ledger.Before written =
        ledger.write(
            batch.id(), log, BatchStorage.BOOK, key, shorts.isEmpty() ? null : new Answer(shorts));
    journal.tell(batch.code(), state, entry, current.name());
    events.publishEvent(
        new BatchChanged(
            current.id(), batch.id(), batch.code(), BatchChanged.Change.LOG, List.of()));
    return new Written(
        written.entryId(),
        batch.code(),
        written.number(),
        false,
        written.by(),
        written.writtenAt(),
        shorts,
        List.of());
  }

  /** What is answered besides what is known of every entry. */
  private record Answer(List<Written.Short> shorts) {}

  private Written repeated(Ledger.Before before, String code) {
    return new Written(
        before.entryId(),
        code,
        before.number(),
        true,
        before.by(),
        before.writtenAt(),
        ledger.answered(before, Answer.class).map(Answer::shorts).orElse(List.of()),
        List.of());
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
    return states.record(batch);
  }

  private String code(UUID batchId) {
    return batches.findById(batchId).map(Batch::code).orElseThrow();
  }

  private static String normal(String code) {
    return Objects.requireNonNull(code).strip().toUpperCase(Locale.ROOT);
  }

  private static NotFound noBatch(String code) {
    return new NotFound("There is no batch " + code + " on your shelf or in your cellar.");
  }
}
