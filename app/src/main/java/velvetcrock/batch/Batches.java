package velvetcrock.batch;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.BatchReckoning.KeepingRange;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.ledger.Ledger;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.NotFound;

/** The batches of the household, to be read; what is done to them goes by {@link BatchActs}. */
@Service
public class Batches {
  private final BatchRepository batches;
  private final Ledger ledger;
  private final BatchStates states;
  private final ReadingStore readings;
  private final Households households;
  private final Catalogues catalogues;

  Batches(
      BatchRepository batches,
      Ledger ledger,
      BatchStates states,
      ReadingStore readings,
      Households households,
      Catalogues catalogues) {
    this.batches = batches;
    this.ledger = ledger;
    this.states = states;
    this.readings = readings;
    this.households = households;
    this.catalogues = catalogues;
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
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<BatchRecord> standing() {
    return batches.standing().stream().map(this::record).toList();
  }

  /** Strained batches of which oil may be in no bottle yet, or whose marc is still there. */
  @HeldUntilChanged
  @Transactional(readOnly = true)
  public List<BatchRecord> strained(int most) {
    return batches.strained(Limit.of(most)).stream().map(this::record).toList();
  }

  /** The newest batches, newest first. */
  @HeldUntilChanged
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
        .earliest();
  }

  private BatchRecord record(Batch batch) {
    return states.record(batch);
  }

  static String normal(String code) {
    return Objects.requireNonNull(code).strip().toUpperCase(Locale.ROOT);
  }

  static NotFound noBatch(String code) {
    return new NotFound("There is no batch " + code + " on your shelf or in your cellar.");
  }
}
