package velvetcrock.drawer;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;
import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.DryingBegun;
import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.DryingLog;
import velvetcrock.core.drawer.DryingStruck;
import velvetcrock.core.drawer.LoadWeighed;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.PutAway;
import velvetcrock.core.log.Log;
import velvetcrock.core.materia.HerbState;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.CatchUp;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;
import velvetcrock.web.MovedIn;
import velvetcrock.web.NotFound;

/** The loads that dry; kept as {@link Drawer} keeps lots. */
@Service
public class Dryings {

  private final LoadRepository loads;
  private final Drawer drawer;
  private final Ledger log;
  private final Households households;
  private final Catalogues catalogues;
  private final DrawerJournal journal;
  private final CatchUp catchUp;
  private final EntityManager database;

  Dryings(
      LoadRepository loads,
      Drawer drawer,
      Ledger log,
      Households households,
      Catalogues catalogues,
      DrawerJournal journal,
      CatchUp catchUp,
      EntityManager database) {
    this.loads = loads;
    this.drawer = drawer;
    this.log = log;
    this.households = households;
    this.catalogues = catalogues;
    this.journal = journal;
    this.catchUp = catchUp;
    this.database = database;
  }

  /** Folds anew what was folded by other rules, and tells the journal of what it does not know. */
  @EventListener({ApplicationReadyEvent.class, MovedIn.class})
  void catchUp() {
    catchUp.each(
        "select id from drying_load where state_version <> ?",
        id ->
            loads
                .findById(id)
                .ifPresent(
                    row -> {
                      Drying drying = DryingLog.fold(log.log(id, DryingStorage.BOOK));
                      row.become(drying, log.keep(DryingStorage.BOOK, drying));
                    }),
        DryingStorage.BOOK.version());
    catchUp.each(
        "select id from drying_load l where not exists"
            + " (select 1 from journal j where j.link = '/drawer/drying/' || l.id)",
        id -> {
          Drying drying = load(id).drying();
          log(id).forEach(line -> journal.tell(id, drying, line.entry(), line.by()));
        });
  }

  /** The loads that dry, the longest there first. */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  public List<LoadRecord> standing(int most) {
    return loads.standing(Limit.of(most)).stream().map(this::record).toList();
  }

  /** How many loads dry. */
  @HeldUntilChanged(HouseholdPart.DRAWER)
  @Transactional(readOnly = true)
  public long count() {
    return loads.countStanding();
  }

  /**
   * A load.
   *
   * @throws NotFound if there is none of that id here
   */
  @Transactional(readOnly = true)
  public LoadRecord load(UUID id) {
    return record(loads.findById(id).orElseThrow(Dryings::noLoad));
  }

  @Transactional(readOnly = true)
  List<Ledger.Line<DryingEvent>> log(UUID id) {
    return log.lines(id, DryingStorage.BOOK);
  }

  /**
   * Hangs a load up or spreads it.
   *
   * @return its id
   * @throws Refused at the field that cannot be
   */
  @Transactional
  public UUID begin(DryingBegun begun, @Nullable Instant at, String key) {
    Optional<Ledger.Before> before = log.before(key, DryingStorage.BOOK, null, begun);
    if (before.isPresent()) {
      return before.get().subjectId();
    }
    catalogues.current().herb(begun.herb());
    UUID id = UUID.randomUUID();
    Log<DryingEvent> all = log.with(Log.empty(), new Log.Draft<>(begun, at, null));
    Drying drying = DryingLog.fold(all);
    database.persist(new LoadRow(id, drying, log.keep(DryingStorage.BOOK, drying), log.now()));
    write(id, drying, all, key);
    return id;
  }

  /**
   * Adds an entry to a load's log.
   *
   * @throws NotFound if there is no such load here
   * @throws Refused if the log could not have gone so: a weighing that rises or falls below dry
   *     matter is questioned at {@code amount}
   */
  @Transactional
  public Drying append(
      UUID id, DryingEvent event, @Nullable Instant at, @Nullable UUID replaces, String key) {
    LoadRow row = loads.lock(id).orElseThrow(Dryings::noLoad);
    if (log.before(key, DryingStorage.BOOK, id, event).isPresent()) {
      return record(row).drying();
    }
    if (!record(row).drying().standing() && replaces == null) {
      throw new Refused("kind", "It has been put away already.");
    }
    Log<DryingEvent> all =
        log.with(log.log(id, DryingStorage.BOOK), new Log.Draft<>(event, at, replaces));
    Drying drying = DryingLog.fold(all);
    write(id, drying, all, key);
    row.become(drying, log.keep(DryingStorage.BOOK, drying));
    return drying;
  }

  private void write(UUID id, Drying drying, Log<DryingEvent> all, String key) {
    log.write(id, all, DryingStorage.BOOK, key, null);
    journal.tell(id, drying, all.last());
  }

  /** Takes an entry back by adding one that replaces it. */
  @Transactional
  public void undo(UUID id, UUID entryId) {
    if (!load(id).drying().standing()) {
      throw new Refused("replaces", "It is a lot by now. Count the lot instead.");
    }
    append(id, new DryingStruck(), null, entryId, "undo:" + entryId);
  }

  /**
   * Puts a load away as a lot.
   *
   * @param massG what it weighs, g; the last weighing if null
   * @param state dried, or wilted on the way there
   * @param at when; null for now
   * @return the lot
   * @throws Refused at {@code snap} if it is to be dried and does not crumble, at {@code amount}
   *     for a weight that cannot be
   */
  @Transactional
  public UUID putAway(
      UUID id,
      @Nullable Double massG,
      String text,
      HerbState state,
      @Nullable Instant at,
      String key) {
    Optional<UUID> before = drawer.addedUnder("lot:" + key);
    if (before.isPresent()) {
      return before.get();
    }
    Drying drying =
        massG == null
            ? load(id).drying()
            : append(id, new LoadWeighed(massG, text), at, null, "weigh:" + key);
    double water = state == HerbState.WILTED ? drying.waterNow() : drying.waterWhenCrisp();
    DryingBegun begun = drying.begun();
    Household house = households.current();
    UUID lot =
        drawer.add(
            new LotDetails(
                LotDetails.Kind.HERB,
                begun.herb(),
                "",
                new LotDetails.Plant(begun.part(), begun.cut(), state, water),
                begun.origin(),
                begun.from(),
                new LotDetails.Dates(
                    drying.begunAt().atZone(house.zone()).toLocalDate(), null, null, null),
                null,
                begun.origin() == LotDetails.Origin.BOUGHT ? null : 0L),
            drying.massG(),
            text,
            at,
            "lot:" + key);
    append(id, new PutAway(drying.massG(), water, lot, state), at, null, key);
    return lot;
  }

  private LoadRecord record(LoadRow row) {
    return new LoadRecord(row.id(), log.state(row.id(), DryingStorage.BOOK, row.kept()));
  }

  private static NotFound noLoad() {
    return new NotFound("There is no such load in your drawer.");
  }
}
