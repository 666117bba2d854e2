package velvetcrock.batch;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.KeepingRange;
import velvetcrock.core.keeping.OwnShelfLife;
import velvetcrock.core.keeping.Store;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.NotFound;

/**
 * The bottles as they stand, kept beside the log for reading: their dates, how those moved and why,
 * and what the ones that came to their end teach.
 */
@Service
public class BottleBook {
  private static final int MOST_WANTING = 200;
  private static final int MOST_TO_PRINT = 24;

  /** So many bottles of an oil in a place say how long it keeps there; older ones no more. */
  private static final int TEACH = 40;

  private final BottleRepository bottles;
  private final BottleDateMoveRepository moves;
  private final ReadingStore readings;
  private final BatchStates states;
  private final Households households;
  private final Catalogues catalogues;
  private final EntityManager entities;
  private final Clock clock;

  BottleBook(
      BottleRepository bottles,
      BottleDateMoveRepository moves,
      ReadingStore readings,
      BatchStates states,
      Households households,
      Catalogues catalogues,
      EntityManager entities,
      Clock clock) {
    this.bottles = bottles;
    this.moves = moves;
    this.readings = readings;
    this.states = states;
    this.households = households;
    this.catalogues = catalogues;
    this.entities = entities;
    this.clock = clock;
  }

  /** A carrier in a place. */
  public record Shelf(String carrier, Store.Place place) {}

  /**
   * Which bottles are meant.
   *
   * @param herb key of their first herb; null for any
   * @param carrier key of their first carrier; null for any
   */
  public record Which(@Nullable String herb, @Nullable String carrier) {
    /** All. */
    public static final Which ALL = new Which(null, null);
  }

  /** Bottles that are not gone, those to be used first in front. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<BottleRecord> standing(Which which, int most) {
    return bottles.standing(which.herb(), which.carrier(), Limit.of(most)).stream()
        .map(this::record)
        .toList();
  }

  /** How much there is in all. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public Hoard hoard(Which which, LocalDate today) {
    return bottles.hoard(which.herb(), which.carrier(), today);
  }

  /** What there is by first carrier and date, the earliest date in front. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<DatedOil> byCarrier() {
    return bottles.byCarrier();
  }

  /** What there is by first herb and date, the earliest date in front. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<DatedOil> byHerb() {
    return bottles.byHerb();
  }

  /**
   * Bottles that may want something done: near or past their date, open, spoiled, or of a kind that
   * has turned here before.
   */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<BottleRecord> wanting(LocalDate until, Map<Shelf, OwnShelfLife> own) {
    List<String> turning =
        own.entrySet().stream()
            .filter(e -> e.getValue().turned() > 0)
            .map(e -> e.getKey().carrier() + " " + e.getKey().place())
            .toList();
    return bottles.wanting(until, turning, Limit.of(MOST_WANTING)).stream()
        .map(this::record)
        .toList();
  }

  /** How long the household's own bottles kept, the latest of each carrier and place. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public Map<Shelf, OwnShelfLife> ownShelfLives() {
    return bottles.ended(TEACH).stream()
        .collect(
            Collectors.groupingBy(
                e -> new Shelf(e.carrierKey(), Store.Place.valueOf(e.place())),
                Collectors.collectingAndThen(
                    Collectors.mapping(BottleBook::ended, Collectors.toList()), OwnShelfLife::of)));
  }

  private static OwnShelfLife.Ended ended(BottleRepository.Ended row) {
    int days = (int) Math.max(0, ChronoUnit.DAYS.between(row.strainedOn(), row.goneOn()));
    return new OwnShelfLife.Ended(days, !row.because().equals(Ending.USED_UP.name()));
  }

  /**
   * The day from which to smell at a bottle by how others like it did.
   *
   * @return null where none has turned
   */
  public @Nullable LocalDate smellFrom(BottleRecord bottle, Map<Shelf, OwnShelfLife> own) {
    OwnShelfLife life = own.get(shelf(bottle));
    OptionalInt days = life == null ? OptionalInt.empty() : life.smellFromDays();
    LocalDate strained =
        Objects.requireNonNull(bottle.batch().state().strainedAt())
            .atZone(households.current().zone())
            .toLocalDate();
    return days.isEmpty() ? null : strained.plusDays(days.getAsInt());
  }

  /** The carrier and place of a bottle. */
  public static Shelf shelf(BottleRecord bottle) {
    return new Shelf(
        bottle.batch().state().charge().carriers().get(0).carrier(),
        bottle.bottle().store().place());
  }

  /** A batch's bottles, gone ones and all, by their letters. */
  @Transactional(readOnly = true)
  public List<BottleRecord> of(BatchRecord batch) {
    Map<String, Bottle> rows =
        bottles.findByBatchId(batch.id()).stream()
            .collect(Collectors.toMap(Bottle::letter, b -> b));
    List<BottleRecord> records = new ArrayList<>();
    for (BottleState bottle : batch.state().bottles()) {
      Bottle row = Objects.requireNonNull(rows.get(bottle.letter()));
      records.add(record(batch, bottle, row));
    }
    return records;
  }

  /**
   * One of a batch's bottles.
   *
   * @throws NotFound if there is none such
   */
  @Transactional(readOnly = true)
  public BottleRecord one(BatchRecord batch, String letter) {
    return of(batch).stream()
        .filter(bottle -> bottle.bottle().letter().equals(letter))
        .findFirst()
        .orElseThrow(
            () -> new NotFound("There is no bottle " + letter + " of " + batch.code() + "."));
  }

  /**
   * Bottles whose labels say a later date than they have now.
   *
   * @param codes those that have to be gone first
   * @param more how many there are besides
   */
  public record ToPrintAgain(List<String> codes, long more) {}

  /** Bottles that are still good and whose label says a later date than they have now. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public ToPrintAgain toPrintAgain(LocalDate today) {
    List<String> codes = bottles.toPrintAgain(today, Limit.of(MOST_TO_PRINT));
    long more = codes.size() < MOST_TO_PRINT ? 0 : bottles.countToPrintAgain(today) - codes.size();
    return new ToPrintAgain(codes, more);
  }

  /** The labels of bottles were printed, with their dates as they are. */
  @Transactional
  public void labelled(List<BottleRecord> printed) {
    for (BottleRecord record : printed) {
      bottles.findByBatchId(record.batch().id()).stream()
          .filter(row -> row.letter().equals(record.bottle().letter()))
          .forEach(Bottle::labelled);
    }
  }

  /** How a bottle's date moved, the first move first. */
  @Transactional(readOnly = true)
  public List<BottleDateMove> moves(BatchRecord batch, String letter) {
    return moves.findByBatchIdAndLetterOrderByMovedAt(batch.id(), letter);
  }

  private BottleRecord record(BottleRepository.WithBatch row) {
    BatchRecord batch = states.record(row.batch());
    BottleState bottle = batch.state().bottle(row.bottle().letter()).orElseThrow();
    return record(batch, bottle, row.bottle());
  }

  private static BottleRecord record(BatchRecord batch, BottleState bottle, Bottle row) {
    return new BottleRecord(batch, bottle, row.bestBefore(), row.bestBeforeLate(), row.decidedBy());
  }

  /**
   * Brings the bottles kept for reading in line with a state.
   *
   * @param why what may have moved their dates
   * @return whether it moved any
   */
  boolean keep(UUID batchId, BatchState state, String why) {
    ZoneId zone = households.current().zone();
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    Series read = state.bottles().isEmpty() ? Series.none() : readings.series(batchId);
    Bottle.Origin origin = origin(batchId, state, zone);
    Map<String, Bottle> rows = new HashMap<>();
    bottles.findByBatchId(batchId).forEach(b -> rows.put(b.letter(), b));
    boolean moved = false;
    for (BottleState bottle : state.bottles()) {
      KeepingRange keeping = reckoning.keeping(bottle, zone, read);
      Bottle row = rows.remove(bottle.letter());
      if (row == null) {
        entities.persist(new Bottle(origin, bottle, zone, keeping));
      } else {
        LocalDate before = row.bestBefore();
        row.become(origin, bottle, zone, keeping);
        moved |= moved(row, before, why);
      }
    }
    bottles.deleteAll(rows.values());
    return moved;
  }

  /** What is kept of a batch's bottles that its log does not say, a line each. */
  List<String> differences(UUID batchId, String code, BatchState state) {
    ZoneId zone = households.current().zone();
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    Series read = state.bottles().isEmpty() ? Series.none() : readings.series(batchId);
    Map<String, Bottle> rows = new HashMap<>();
    bottles.findByBatchId(batchId).forEach(b -> rows.put(b.letter(), b));
    List<String> differences = new ArrayList<>();
    for (BottleState bottle : state.bottles()) {
      Bottle row = rows.remove(bottle.letter());
      String name = "Bottle " + code + "-" + bottle.letter() + ": ";
      if (row == null) {
        differences.add(name + "it is missing");
        continue;
      }
      KeepingRange keeping = reckoning.keeping(bottle, zone, read);
      String difference =
          row.difference(new Bottle(origin(batchId, state, zone), bottle, zone, keeping), keeping);
      if (!difference.isEmpty()) {
        differences.add(name + difference);
      }
    }
    rows.keySet().forEach(l -> differences.add("Bottle " + code + "-" + l + ": no log fills it"));
    return differences;
  }

  private static Bottle.Origin origin(UUID batchId, BatchState state, ZoneId zone) {
    return new Bottle.Origin(
        batchId,
        state.charge().herbs().get(0).herb(),
        state.charge().carriers().get(0).carrier(),
        Objects.requireNonNull(state.strainedAt()).atZone(zone).toLocalDate());
  }

  private boolean moved(Bottle row, LocalDate from, String why) {
    boolean moved = !row.bestBefore().equals(from);
    if (moved) {
      entities.persist(
          new BottleDateMove(
              row.batchId(), row.letter(), clock.instant(), from, row.bestBefore(), why));
    }
    return moved;
  }
}
