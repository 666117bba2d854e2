package velvetcrock.drawer;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;
import velvetcrock.core.drawer.Entry;
import velvetcrock.core.drawer.Lot;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.core.materia.HerbState;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.CatchUp;
import velvetcrock.web.KindNames;
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

  private static final KindNames<LotEvent> NAMES = new KindNames<>(names());

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

  /** Tells the journal of what was written before there was one. */
  @EventListener(ApplicationReadyEvent.class)
  void catchUp() {
    catchUp.each(
        "select household_id, id from lot l where not exists"
            + " (select 1 from journal j where j.link = '/drawer/lots/' || l.id)",
        id -> {
          Lot lot = lot(id).lot();
          log(id).forEach(line -> journal.tell(id, lot, line.entry(), line.by()));
        });
  }

  private static Map<String, Class<? extends LotEvent>> names() {
    Map<String, Class<? extends LotEvent>> names = new LinkedHashMap<>();
    names.put("added", LotEvent.Added.class);
    names.put("picked", LotEvent.Picked.class);
    names.put("taken", LotEvent.Taken.class);
    names.put("given-back", LotEvent.GivenBack.class);
    names.put("counted", LotEvent.Counted.class);
    names.put("described", LotEvent.Described.class);
    names.put("opened", LotEvent.Opened.class);
    names.put("ended", LotEvent.Ended.class);
    names.put("struck", LotEvent.Struck.class);
    return names;
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
  @Transactional(readOnly = true)
  public List<Front> fronts() {
    return lots.fronts();
  }

  /** The lots of a thing that there are, those to be used first in front. */
  @Transactional(readOnly = true)
  public List<LotRecord> of(Kind kind, String thing) {
    return lots.standing(kind, thing, null, ANY, Limit.unlimited()).stream()
        .map(this::record)
        .toList();
  }

  /** All lots, those that are used up among them; the newest where there are very many. */
  @Transactional(readOnly = true)
  public List<LotRecord> all() {
    return lots.all(Limit.of(MOST_OF_ALL)).stream().map(this::record).toList();
  }

  /**
   * The lots to choose from, those to be used first in front.
   *
   * @param state of a herb; null for anything else
   */
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
  @Transactional(readOnly = true)
  public Optional<LotRecord> meant(Kind kind, String thing, @Nullable HerbState state, String id) {
    return uuid(id)
        .flatMap(this::find)
        .filter(l -> l.lot().standing())
        .filter(l -> l.lot().details().kind() == kind)
        .filter(l -> l.lot().details().thing().equals(thing))
        .filter(l -> l.lot().details().state() == state)
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
    return log.lines(id, NAMES);
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
    Optional<UUID> before = log.subjectOf(key);
    if (before.isPresent()) {
      return before.get();
    }
    known(details);
    UUID id = UUID.randomUUID();
    List<Entry<LotEvent>> all =
        log.with(List.of(), new LotEvent.Added(details, amount, text), at, null);
    Lot lot = Lot.fold(all);
    database.persist(new LotRow(id, lot, log.json(lot), catalogues.current(), log.now()));
    log.write(id, all, NAMES, key);
    journal.tell(id, lot, all.get(all.size() - 1));
    return id;
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
    if (log.subjectOf(key).isPresent()) {
      return record(row).lot();
    }
    if (event instanceof LotEvent.Described e) {
      known(e.details());
    }
    List<Entry<LotEvent>> all = log.with(log.of(id, NAMES), event, at, replaces);
    Lot lot = Lot.fold(all);
    log.write(id, all, NAMES, key);
    journal.tell(id, lot, all.get(all.size() - 1));
    row.become(lot, log.json(lot), catalogues.current());
    return lot;
  }

  /** Takes an entry back by adding one that replaces it. */
  @Transactional
  public void undo(UUID id, UUID entryId) {
    boolean taking =
        log.of(id, NAMES).stream()
            .filter(e -> e.id().equals(entryId))
            .anyMatch(e -> e.event() instanceof LotEvent.Taken t && LotView.intoBatch(t));
    if (taking) {
      throw new Refused(
          "replaces", "That went into a batch. Count the lot instead if it is not right.");
    }
    append(id, new LotEvent.Struck(), null, entryId, "undo:" + entryId);
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
    if (taken < LotEvent.LEAST || log.subjectOf(key).isPresent()) {
      return 0;
    }
    append(id, new LotEvent.Taken(taken, what), null, null, key);
    return taken;
  }

  /**
   * Gives back what was taken under a key; nothing where nothing was.
   *
   * @param takenUnder the key of the taking
   */
  @Transactional
  public void giveBack(UUID id, String takenUnder) {
    log.event(takenUnder, NAMES)
        .filter(LotEvent.Taken.class::isInstance)
        .map(LotEvent.Taken.class::cast)
        .ifPresent(
            taken ->
                append(
                    id,
                    new LotEvent.GivenBack(taken.amount(), taken.what()),
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
    return new LotRecord(row.id(), log.read(row.state(), Lot.class));
  }

  private static NotFound noLot() {
    return new NotFound("There is no such lot in your drawer.");
  }
}
