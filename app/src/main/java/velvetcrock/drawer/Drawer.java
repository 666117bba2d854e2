package velvetcrock.drawer;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotAdded;
import velvetcrock.core.drawer.LotDescribed;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.drawer.LotGivenBack;
import velvetcrock.core.drawer.LotLog;
import velvetcrock.core.drawer.LotStruck;
import velvetcrock.core.drawer.LotTaken;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.stock.StockAhead;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.CatchUp;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;
import velvetcrock.web.MovedIn;
import velvetcrock.web.NotFound;

/**
 * The lots on hand. A change is folded with all that came before and written only if that could
 * have happened; the lot's row is held meanwhile, so that two who take from it take turns.
 */
@Service
public class Drawer {
  private static final int MOST_CHOICES = 20;
  private static final int MOST_OF_ALL = 2000;

  /** Below every amount: an empty lot counts too. */
  private static final double ANY = -1;

  private final LotRepository lots;
  private final Ledger log;
  private final Catalogues catalogues;
  private final DrawerJournal journal;
  private final CatchUp catchUp;
  private final EntityManager database;

  Drawer(
      LotRepository lots,
      Ledger log,
      Catalogues catalogues,
      DrawerJournal journal,
      CatchUp catchUp,
      EntityManager database) {
    this.lots = lots;
    this.log = log;
    this.catalogues = catalogues;
    this.journal = journal;
    this.catchUp = catchUp;
    this.database = database;
  }

  /** Folds anew what was folded by other rules, and tells the journal of what it does not know. */
  @EventListener({ApplicationReadyEvent.class, MovedIn.class})
  void catchUp() {
    catchUp.each(
        "select id from lot where state_version <> ?",
        id ->
            lots.findById(id)
                .ifPresent(
                    row -> {
                      Lot lot = LotLog.fold(log.log(id, LotStorage.BOOK));
                      row.become(lot, log.keep(LotStorage.BOOK, lot), catalogues.current());
                    }),
        LotStorage.BOOK.version());
    catchUp.each(
        "select id from lot l where not exists"
            + " (select 1 from journal j where j.link = '/drawer/lots/' || l.id)",
        id -> {
          Lot lot = lot(id).lot();
          log(id).forEach(line -> journal.tell(id, lot, line.entry(), line.by()));
        });
  }

  /**
   * A drawer's front: all lots of one thing together.
   *
   * @param lots how many there are
   * @param amount what they hold together, in the unit of the kind
   * @param most what they held when they were fullest
   * @param goodUntil the earliest date among them
   * @param since the earliest gathering or buying among them
   */
  public record Front(
      Kind kind,
      String thing,
      long lots,
      double amount,
      double most,
      @Nullable LocalDate goodUntil,
      @Nullable LocalDate since) {}

  /** The fronts of all drawers that hold anything. */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  public List<Front> fronts() {
    return lots.fronts();
  }

  /** The lots of a thing that there are, those to be used first in front. */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  public List<LotRecord> of(Kind kind, String thing) {
    return lots.standing(kind, thing, null, ANY, Limit.unlimited()).stream()
        .map(this::record)
        .toList();
  }

  /**
   * Lots that there are, and those that were taken from since a moment; the newest where there are
   * very many.
   */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  public List<LotRecord> since(Instant since) {
    return lots.since(since, Limit.of(MOST_OF_ALL)).stream().map(this::record).toList();
  }

  /** A thing that lots are of. */
  record Thing(Kind kind, String key) {}

  /** Since when there has been any of each thing. */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  Map<Thing, LocalDate> firsts(LocalDate today) {
    return lots.firsts().stream()
        .collect(
            Collectors.toMap(
                f -> new Thing(f.kind(), f.thing()),
                f -> StockAhead.Thing.since(f.first(), f.unknown() > 0, today)));
  }

  /** Lots of some kinds with something in them, those to be used first in front. */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  public List<LotRecord> filled(Kind... kinds) {
    return lots.filled(List.of(kinds), Limit.of(MOST_OF_ALL)).stream().map(this::record).toList();
  }

  /** Some by their ids; those that are no more are left out. */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  public Map<UUID, LotRecord> among(Collection<UUID> ids) {
    return ids.isEmpty()
        ? Map.of()
        : lots.among(ids).stream()
            .map(this::record)
            .collect(Collectors.toMap(LotRecord::id, Function.identity()));
  }

  /**
   * The lots to choose from, those to be used first in front.
   *
   * @param state of a herb; null for anything else
   */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  public List<LotRecord> choices(Kind kind, String thing, @Nullable HerbState state) {
    return lots.standing(kind, thing, state, ANY, Limit.of(MOST_CHOICES)).stream()
        .map(this::record)
        .toList();
  }

  /**
   * The lot that is meant: the one of that id if it is of this thing and in this state, else the
   * one to be used first of those that hold any.
   *
   * @param id a lot's id; anything else names none
   */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  public Optional<LotRecord> meant(Kind kind, String thing, @Nullable HerbState state, String id) {
    return uuid(id)
        .flatMap(this::find)
        .filter(l -> l.lot().standing())
        .filter(l -> l.lot().details().kind() == kind)
        .filter(l -> l.lot().details().thing().equals(thing))
        .filter(l -> l.lot().details().plant().state() == state)
        .or(
            () ->
                lots.standing(kind, thing, state, 0, Limit.of(1)).stream()
                    .findFirst()
                    .map(this::record));
  }

  private static Optional<UUID> uuid(String id) {
    try {
      return Optional.of(UUID.fromString(id));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** A lot, if there is one of that id here. */
  @Transactional(readOnly = true)
  public Optional<LotRecord> find(UUID id) {
    return lots.findById(id).map(this::record);
  }

  /**
   * A lot.
   *
   * @throws NotFound if there is none of that id here
   */
  @Transactional(readOnly = true)
  public LotRecord lot(UUID id) {
    return find(id).orElseThrow(Drawer::noLot);
  }

  @Transactional(readOnly = true)
  List<Ledger.Line<LotEvent>> log(UUID id) {
    return log.lines(id, LotStorage.BOOK);
  }

  /**
   * Puts a lot into the drawer.
   *
   * @param key names this putting, so that a repeat of it makes no second lot
   * @return its id
   * @throws Refused at the field that cannot be
   */
  @Transactional
  public UUID add(
      LotDetails details, double amount, String text, @Nullable Instant at, String key) {
    LotAdded added = new LotAdded(details, amount, text);
    Optional<Ledger.Before> before = log.before(key, LotStorage.BOOK, null, added);
    if (before.isPresent()) {
      return before.get().subjectId();
    }
    known(details);
    UUID id = UUID.randomUUID();
    Log<LotEvent> all = log.with(Log.empty(), new Log.Draft<>(added, at, null));
    Lot lot = LotLog.fold(all);
    database.persist(
        new LotRow(id, lot, log.keep(LotStorage.BOOK, lot), catalogues.current(), log.now()));
    write(id, lot, all, key);
    return id;
  }

  /** When a lot was put away from a load that dried; empty for any other. */
  @Transactional(readOnly = true)
  public Optional<Instant> putAwayAt(UUID lot) {
    return log.last("put-away", "lot", lot.toString());
  }

  /** The lot that was put into the drawer under a key, if one was. */
  @Transactional(readOnly = true)
  public Optional<UUID> addedUnder(String key) {
    return log.subjectUnder(key, LotStorage.BOOK);
  }

  /**
   * Adds an entry to a lot's log.
   *
   * @param replaces the entry that it takes back, if any
   * @throws NotFound if there is no such lot here
   * @throws Refused if the log could not have gone so, at the field that makes it so
   */
  @Transactional
  public Lot append(
      UUID id, LotEvent event, @Nullable Instant at, @Nullable UUID replaces, String key) {
    LotRow row = lots.lock(id).orElseThrow(Drawer::noLot);
    if (log.before(key, LotStorage.BOOK, id, event).isPresent()) {
      return record(row).lot();
    }
    if (event instanceof LotDescribed e) {
      known(e.details());
    }
    Log<LotEvent> all =
        log.with(log.log(id, LotStorage.BOOK), new Log.Draft<>(event, at, replaces));
    Lot lot = LotLog.fold(all);
    write(id, lot, all, key);
    row.become(lot, log.keep(LotStorage.BOOK, lot), catalogues.current());
    return lot;
  }

  private void write(UUID id, Lot lot, Log<LotEvent> all, String key) {
    log.write(id, all, LotStorage.BOOK, key, null);
    journal.tell(id, lot, all.last());
  }

  /** Takes an entry back by adding one that replaces it. */
  @Transactional
  public void undo(UUID id, UUID entryId) {
    append(id, new LotStruck(), null, entryId, "undo:" + entryId);
  }

  /**
   * Takes what there is, up to what is wanted.
   *
   * @param what the code of the batch that it goes into
   * @return what was taken, in the unit of the lot; less than wanted where there was less, and
   *     nothing where the lot is no more
   */
  @Transactional
  public double take(UUID id, double wanted, String what, String key) {
    LotRow row = lots.lock(id).orElseThrow(Drawer::noLot);
    Lot lot = record(row).lot();
    double taken = lot.standing() ? Math.min(wanted, lot.amount()) : 0;
    if (taken < LotEvent.LEAST) {
      return 0;
    }
    LotTaken taking = new LotTaken(taken, what);
    if (log.before(key, LotStorage.BOOK, id, taking).isPresent()) {
      return 0;
    }
    append(id, taking, null, null, key);
    return taken;
  }

  /**
   * Gives back what was taken under a key; nothing where nothing was.
   *
   * @param takenUnder the key of the taking
   */
  @Transactional
  public void giveBack(UUID id, String takenUnder) {
    log.under(takenUnder, LotStorage.BOOK)
        .map(Entry::event)
        .filter(LotTaken.class::isInstance)
        .map(LotTaken.class::cast)
        .ifPresent(
            taken ->
                append(
                    id,
                    new LotGivenBack(taken.amount(), taken.what()),
                    null,
                    null,
                    "back:" + takenUnder));
  }

  private void known(LotDetails details) {
    switch (details.kind()) {
      case HERB -> catalogues.current().herb(details.thing());
      case CARRIER -> catalogues.current().carrier(details.thing());
      case WAX -> catalogues.current().wax(details.thing());
      case SPIRIT -> {
        // any spirit will do
      }
    }
  }

  private LotRecord record(LotRow row) {
    return new LotRecord(row.id(), log.state(row.id(), LotStorage.BOOK, row.kept()));
  }

  private static NotFound noLot() {
    return new NotFound("There is no such lot in your drawer.");
  }
}
