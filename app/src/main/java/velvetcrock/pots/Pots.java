package velvetcrock.pots;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.batch.LidCodes;
import velvetcrock.core.Learned;
import velvetcrock.core.Refused;
import velvetcrock.core.drawer.Entry;
import velvetcrock.core.melt.PartIn;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.core.melt.PotLog;
import velvetcrock.core.melt.PotRules;
import velvetcrock.core.melt.PotState;
import velvetcrock.core.pot.Whipping;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.NotFound;

/**
 * The pots. An entry is folded with all that came before and written only if that could have
 * happened and holds every rule; what it takes is taken in the same transaction.
 */
@Service
public class Pots {
  private static final int MOST_STANDING = 60;
  private static final int MOST_PAST = 40;
  private static final int MOST_LESSONS = 60;

  private final PotRepository pots;
  private final Ledger ledger;
  private final PotTaker taker;
  private final Traces traces;
  private final PotJournal journal;
  private final Households households;
  private final Catalogues catalogues;
  private final EntityManager database;

  Pots(
      PotRepository pots,
      Ledger ledger,
      PotTaker taker,
      Traces traces,
      PotJournal journal,
      Households households,
      Catalogues catalogues,
      EntityManager database) {
    this.pots = pots;
    this.ledger = ledger;
    this.taker = taker;
    this.traces = traces;
    this.journal = journal;
    this.households = households;
    this.catalogues = catalogues;
    this.database = database;
  }

  /**
   * What was written.
   *
   * @param lacked what lots held less of than went in
   * @param repeated whether it had been written before
   */
  public record Done(String code, UUID entry, List<String> lacked, boolean repeated) {}

  /**
   * Weighs a pot in, taking what goes into it.
   *
   * @param at when; now if null
   * @param key names this, so that a repeat of it makes no second pot and takes nothing twice
   * @throws Refused at the field that cannot be
   */
  @Transactional
  public Done begin(PotEvent.Begun begun, @Nullable Instant at, String key) {
    Household house = households.lockCurrent();
    Optional<UUID> before = ledger.subjectOf(key);
    if (before.isPresent()) {
      PotRow row = pots.findById(before.get()).orElseThrow(Pots::noPot);
      return new Done(row.code(), row.id(), List.of(), true);
    }
    UUID id = UUID.randomUUID();
    String code = LidCodes.freshForPots(pots::existsByCode);
    List<Entry<PotEvent>> all = ledger.with(List.<Entry<PotEvent>>of(), begun, at, null);
    PotRow row = new PotRow(id, code, ledger.now());
    PotState state = become(row, all, house);
    database.persist(row);
    database.flush();
    traces.keep(id, state.parts());
    UUID entry = last(all).id();
    List<String> lacked = taker.take(code, last(all), begun.parts());
    ledger.write(id, all, PotKinds.NAMES, key);
    journal.tell(code, state, last(all));
    return new Done(code, entry, lacked, false);
  }

  /**
   * Adds an entry to a pot's log.
   *
   * @param replaces the entry that it takes back, if any
   * @throws NotFound if there is no such pot here
   * @throws Refused at the field that cannot be
   */
  @Transactional
  public Done append(
      String code, PotEvent event, @Nullable Instant at, @Nullable UUID replaces, String key) {
    PotRow row = pots.lock(normal(code)).orElseThrow(Pots::noPot);
    if (ledger.subjectOf(key).isPresent()) {
      return new Done(row.code(), row.id(), List.of(), true);
    }
    List<Entry<PotEvent>> before = ledger.of(row.id(), PotKinds.NAMES);
    List<Entry<PotEvent>> all = ledger.with(before, event, at, replaces);
    PotState state = become(row, all, households.current());
    UUID entry = last(all).id();
    List<String> lacked = List.of();
    if (event instanceof PotEvent.Added added) {
      lacked = taker.take(row.code(), last(all), added.parts());
    } else if (event instanceof PotEvent.Abandoned abandoned && abandoned.givenBack()) {
      Entry.counting(before).forEach(e -> taker.giveBack(row.code(), e.id(), partsOf(e.event())));
    } else if (replaces != null) {
      before.stream()
          .filter(e -> e.id().equals(replaces))
          .forEach(e -> taker.giveBack(row.code(), e.id(), partsOf(e.event())));
    }
    if (event instanceof PotEvent.Added || replaces != null) {
      traces.keep(row.id(), state.parts());
    }
    ledger.write(row.id(), all, PotKinds.NAMES, key);
    journal.tell(row.code(), state, last(all));
    return new Done(row.code(), entry, lacked, false);
  }

  /**
   * Takes an entry back by adding one that replaces it; what it took is given back.
   *
   * @throws Refused if later entries stand on it
   */
  @Transactional
  public Done undo(String code, UUID entry) {
    return append(code, new PotEvent.Struck(), null, entry, "undo:" + entry);
  }

  private PotState become(PotRow row, List<Entry<PotEvent>> all, Household house) {
    PotState state = PotLog.fold(all);
    new PotRules(catalogues.current()).check(state, last(all).event());
    LocalDate made = state.begunAt().atZone(house.zone()).toLocalDate();
    row.become(state, ledger.json(state), made, firstOver(state, made));
    return state;
  }

  private static LocalDate firstOver(PotState state, LocalDate made) {
    try {
      return PotRules.firstOver(state, made);
    } catch (Refused refused) {
      throw new Refused("parts", refused.problems().get(0).message());
    }
  }

  private static List<PartIn> partsOf(PotEvent event) {
    if (event instanceof PotEvent.Begun e) {
      return e.parts();
    }
    return event instanceof PotEvent.Added e ? e.parts() : List.of();
  }

  private static Entry<PotEvent> last(List<Entry<PotEvent>> all) {
    return all.get(all.size() - 1);
  }

  /**
   * A pot by its code, in either case.
   *
   * @throws NotFound if there is none here
   */
  @Transactional(readOnly = true)
  public PotRecord find(String code) {
    return record(pots.findByCode(normal(code)).orElseThrow(Pots::noPot));
  }

  /** Pots in the pan and with tins left, those to be used first in front. */
  @Transactional(readOnly = true)
  public List<PotRecord> standing() {
    return standing(MOST_STANDING);
  }

  /** The same, so many at most. */
  @Transactional(readOnly = true)
  public List<PotRecord> standing(int most) {
    return pots.standing(Limit.of(most)).stream().map(this::record).toList();
  }

  /** Pots in the pan, and those with tins left that should be gone by a day. */
  @Transactional(readOnly = true)
  public List<PotRecord> wanting(LocalDate until) {
    return pots.wanting(until, Limit.of(MOST_STANDING)).stream().map(this::record).toList();
  }

  /** Pots that are gone or came to nothing, the newest first. */
  @Transactional(readOnly = true)
  public List<PotRecord> past() {
    return pots.past(Limit.of(MOST_PAST)).stream().map(this::record).toList();
  }

  /** Pots by their ids, in the order of these. */
  @Transactional(readOnly = true)
  public List<PotRecord> of(List<UUID> ids) {
    if (ids.isEmpty()) {
      return List.of();
    }
    Map<UUID, PotRow> rows = new HashMap<>();
    pots.among(ids).forEach(row -> rows.put(row.id(), row));
    return ids.stream().map(rows::get).map(this::record).toList();
  }

  /** Pots from which a skin reacted. */
  @Transactional(readOnly = true)
  List<PotRecord> troubled() {
    return pots.troubled(Limit.of(MOST_PAST)).stream().map(this::record).toList();
  }

  /** The newest pots. */
  @Transactional(readOnly = true)
  List<PotRecord> newest(int most) {
    return pots.newest(Limit.of(most)).stream().map(this::record).toList();
  }

  /** How much harder than usual the household likes what it makes with a wax. */
  @Transactional(readOnly = true)
  public Learned taste(String wax) {
    return new PotRules(catalogues.current())
        .taste(states(pots.testedWith(wax, Limit.of(MOST_LESSONS))), wax);
  }

  /** By how much whipping makes a melt grow here. */
  @Transactional(readOnly = true)
  public Learned overrun() {
    return Whipping.overrun(
        states(pots.whipped(Limit.of(MOST_LESSONS))).stream()
            .flatMap(p -> p.overrun(catalogues.current()).stream())
            .mapToDouble(Double::doubleValue)
            .toArray());
  }

  private List<PotState> states(List<PotRow> rows) {
    List<PotState> states = new ArrayList<>();
    rows.forEach(row -> states.add(ledger.read(row.state(), PotState.class)));
    return states;
  }

  /** A pot's log as it is shown. */
  @Transactional(readOnly = true)
  List<Ledger.Line<PotEvent>> log(PotRecord pot) {
    return ledger.lines(pot.id(), PotKinds.NAMES);
  }

  private PotRecord record(PotRow row) {
    return new PotRecord(
        row.id(),
        row.code(),
        ledger.read(row.state(), PotState.class),
        row.madeOn(),
        row.bestBefore());
  }

  private static String normal(String code) {
    return code.strip().toUpperCase(Locale.ROOT);
  }

  private static NotFound noPot() {
    return new NotFound("There is no such pot here.");
  }
}
