package velvetcrock.batch;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.DrawnUnbottled;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Struck;
import velvetcrock.core.batch.Visited;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.NotFound;

/**
 * Whatever is done to a batch: the one door to its log. An entry is folded with all that came
 * before and written only if that could have happened; the state and the bottles kept for reading
 * are written in the same transaction. The batch's row is held meanwhile, so that two writers take
 * turns.
 */
@Service
public class BatchActs {
  /** Keys of draws for a product begin so; only the product gives them back. */
  public static final String PRODUCT_KEY = "pot:";

  private final BatchRepository batches;
  private final Ledger ledger;
  private final BatchStates states;
  private final AroundBatches surroundings;
  private final LotTaker lots;
  private final BatchFollowers followers;
  private final BatchCodes codes;
  private final Households households;

  BatchActs(
      BatchRepository batches,
      Ledger ledger,
      BatchStates states,
      AroundBatches surroundings,
      LotTaker lots,
      BatchFollowers followers,
      BatchCodes codes,
      Households households) {
    this.batches = batches;
    this.ledger = ledger;
    this.states = states;
    this.surroundings = surroundings;
    this.lots = lots;
    this.followers = followers;
    this.codes = codes;
    this.households = households;
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
    Instant at = chargedAt(event.begun().chargedOn(), household);
    Log<BatchEvent> log = ledger.with(Log.empty(), new Log.Draft<>(known, at, null));
    BatchState state = BatchLog.fold(log);
    surroundings.reckonable(state);
    Batch batch = states.begin(codes.promisedOr(promised), state);
    lots.keep(batch.id(), state);
    Written written = write(batch, state, log, key);
    Earlier earlier = known.manner().earlier();
    if (earlier != null) {
      poured(earlier, known.oil().oilMl().middle(), batch.code(), key);
    }
    return written;
  }

  /** Infused oil that is charged again leaves its bottle, or what is in none. */
  private void poured(Earlier earlier, double ml, String into, String key) {
    String what = "charged again as " + into;
    BatchEvent drawn =
        earlier.bottle() == null
            ? new DrawnUnbottled(ml, "", what)
            : new Drawn(earlier.bottle(), ml, "", what);
    appendHere(earlier.batch(), drawn, null, null, key + ":earlier");
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
    BatchState mine = states.of(batches.findByCode(written.code()).orElseThrow());
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
    Batch batch = batches.lock(Batches.normal(code)).orElseThrow(() -> Batches.noBatch(code));
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
    surroundings.reckonable(state);
    states.become(batch, state);
    Written written = write(batch, state, log, key);
    if (replaces != null) {
      lots.giveBack(replaces, state);
      lots.keep(batch.id(), state);
    }
    followers.learn(batch.id(), new BatchFollowers.Step(was, state, known, replaces != null));
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

  /**
   * Writes one visit to several jars, all or none.
   *
   * @param codes the jars
   * @param keys names the entry of each, in the same order
   * @throws Refused where one of them cannot be, or at {@code codes} where there are none
   */
  @Transactional
  public List<Written> visit(
      List<String> codes, Visited visit, @Nullable Instant at, List<String> keys) {
    Problems problems = new Problems();
    problems.require(
        !codes.isEmpty() && codes.size() == keys.size(), "codes", "Which jars were visited?");
    problems.refuseIfAny();
    List<Written> written = new ArrayList<>();
    for (int i = 0; i < codes.size(); i++) {
      written.add(append(codes.get(i), visit, at, null, keys.get(i)));
    }
    return written;
  }

  /**
   * Takes back what one tick wrote of several jars, all or none.
   *
   * @param entries each as code, colon, entry
   * @throws Refused if later entries stand on one of them
   */
  @Transactional
  public void undo(List<String> entries) {
    for (String entry : entries) {
      int colon = entry.indexOf(':');
      if (colon < 0) {
        throw new Refused("entries", "Say what is taken back.");
      }
      undo(entry.substring(0, colon), id(entry.substring(colon + 1)));
    }
  }

  private static UUID id(String typed) {
    try {
      return UUID.fromString(typed);
    } catch (IllegalArgumentException e) {
      throw new Refused("entries", "There is no such entry.");
    }
  }

  /** Notes the dates of the carrier, which the keeping needs, as a correction of the charging. */
  @Transactional
  public void supplyOilDates(String code, List<OilIn> carriers) {
    Batch batch = batches.findByCode(Batches.normal(code)).orElseThrow(() -> Batches.noBatch(code));
    Charged now = states.of(batch).charge().with(carriers);
    Entry<BatchEvent> charging =
        ledger.log(batch.id(), BatchStorage.BOOK).beginning().orElseThrow();
    append(code, now, charging.at(), charging.id(), "oil-dates:" + charging.id());
  }

  /** Reckons a batch's bottles anew, after readings of its infusing came in. */
  void keepBottles(String code) {
    Batch row = batches.lock(code).orElseThrow();
    followers.redate(row.id(), states.of(row), "readings of its infusing came in");
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
    followers.tell(batch, state, entry);
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
    Instant now = ledger.now();
    LocalDate today = LocalDate.ofInstant(now, household.zone());
    if (day.isAfter(today)) {
      throw new Refused(
          "chargedOn", "A jar is charged today or earlier; " + day + " is still to come.");
    }
    return day.equals(today) ? now : day.atTime(12, 0).atZone(household.zone()).toInstant();
  }

  private String code(UUID batchId) {
    return batches.findById(batchId).map(Batch::code).orElseThrow();
  }
}
