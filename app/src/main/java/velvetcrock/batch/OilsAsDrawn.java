package velvetcrock.batch;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.DrawnUnbottled;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.KeepingRange;
import velvetcrock.core.keeping.Keeping;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Ledger;

/** Oils as they were when some of them left their bottle, by what is known now. */
@Service
public class OilsAsDrawn {
  private final BatchRepository batches;
  private final Ledger ledger;
  private final ReadingStore readings;
  private final Households households;
  private final Catalogues catalogues;

  OilsAsDrawn(
      BatchRepository batches,
      Ledger ledger,
      ReadingStore readings,
      Households households,
      Catalogues catalogues) {
    this.batches = batches;
    this.ledger = ledger;
    this.readings = readings;
    this.households = households;
    this.catalogues = catalogues;
  }

  /**
   * An oil as it was.
   *
   * @param until the cautious end of its date
   * @param ageing whether only age decides that, and not water or whether it is eaten
   */
  public record AsDrawn(LocalDate until, boolean ageing, Set<Hazard> hazards) {
    /** The same for what was made of it on a day: that was over at once where its oil was. */
    public AsDrawn notBefore(LocalDate made) {
      return new AsDrawn(until.isBefore(made) ? made : until, ageing, hazards);
    }
  }

  /** The code of a batch. */
  @Transactional(readOnly = true)
  public Optional<String> code(UUID batchId) {
    return batches.findById(batchId).map(Batch::code);
  }

  /**
   * An oil of a batch as it was at a moment.
   *
   * @param letter its bottle; null for oil straight from the cloth
   * @return empty where by what is known now there was none
   */
  @Transactional(readOnly = true)
  public Optional<AsDrawn> at(String code, @Nullable String letter, Instant at) {
    Batch row = batches.findByCode(code).orElse(null);
    if (row == null) {
      return Optional.empty();
    }
    Log<BatchEvent> log = ledger.log(row.id(), BatchStorage.BOOK);
    try {
      BatchState state =
          BatchLog.fold(new Log<>(log.counting().stream().filter(e -> isBefore(e, at)).toList()));
      if (state.strained() == null) {
        return Optional.empty();
      }
      return asDrawn(state, letter, readings.series(row.id()));
    } catch (Refused refused) {
      return Optional.empty();
    }
  }

  /** Whether it had happened by then; what was drawn just then is what is asked about. */
  private static boolean isBefore(Entry<BatchEvent> entry, Instant at) {
    boolean draws = entry.event() instanceof Drawn || entry.event() instanceof DrawnUnbottled;
    return draws ? entry.at().isBefore(at) : !entry.at().isAfter(at);
  }

  private Optional<AsDrawn> asDrawn(BatchState state, @Nullable String letter, Series read) {
    ZoneId zone = households.current().zone();
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), state);
    KeepingRange keeping;
    if (letter == null) {
      keeping = reckoning.keepingUnbottled(zone, read);
    } else {
      Optional<BottleState> bottle = state.bottle(letter);
      if (bottle.isEmpty()) {
        return Optional.empty();
      }
      keeping = reckoning.keeping(bottle.get(), zone, read);
    }
    return Optional.of(
        new AsDrawn(
            keeping.earliest(),
            keeping.early().decidedBy() == Keeping.Rule.AGEING,
            reckoning.hazards()));
  }
}
