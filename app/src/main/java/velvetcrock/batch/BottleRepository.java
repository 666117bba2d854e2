package velvetcrock.batch;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface BottleRepository extends JpaRepository<Bottle, UUID> {
  List<Bottle> findByBatchId(UUID batchId);

  /** A bottle with its batch. */
  record WithBatch(Bottle bottle, Batch batch) {}

  @Query(
      "select new velvetcrock.batch.BottleRepository$WithBatch(b, x) from Bottle b join Batch x on x.id = b.batchId"
          + " where not b.gone and (:herb is null or b.herbKey = :herb)"
          + " and (:carrier is null or b.carrierKey = :carrier)"
          + " order by b.bestBefore, x.code, b.letter")
  List<WithBatch> standing(@Nullable String herb, @Nullable String carrier, Limit most);

  @Query(
      "select new velvetcrock.batch.BottleRepository$WithBatch(b, x) from Bottle b join Batch x on x.id = b.batchId"
          + " where not b.gone and (b.bestBefore <= :until or b.spoiled or not b.capped"
          + " or concat(b.carrierKey, ' ', b.place) in :turning)"
          + " order by b.bestBefore, x.code, b.letter")
  List<WithBatch> wanting(LocalDate until, Collection<String> turning, Limit most);

  @Query(
      "select concat(x.code, '-', b.letter) from Bottle b join Batch x on x.id = b.batchId"
          + " where not b.gone and b.labelledUntil > b.bestBefore and b.bestBefore >= :today"
          + " order by b.bestBefore, x.code, b.letter")
  List<String> toPrintAgain(LocalDate today, Limit most);

  @Query(
      "select count(b) from Bottle b"
          + " where not b.gone and b.labelledUntil > b.bestBefore and b.bestBefore >= :today")
  long countToPrintAgain(LocalDate today);

  @Query(
      "select new velvetcrock.batch.Hoard(count(b), coalesce(sum(b.leftMl), 0.0),"
          + " coalesce(sum(case when b.bestBefore >= :today then b.leftMl else 0.0 end), 0.0))"
          + " from Bottle b where not b.gone and (:herb is null or b.herbKey = :herb)"
          + " and (:carrier is null or b.carrierKey = :carrier)")
  Hoard hoard(@Nullable String herb, @Nullable String carrier, LocalDate today);

  @Query(
      "select new velvetcrock.batch.DatedOil(b.carrierKey, b.bestBefore, sum(b.leftMl), count(b))"
          + " from Bottle b where not b.gone group by b.carrierKey, b.bestBefore"
          + " order by b.bestBefore, b.carrierKey")
  List<DatedOil> byCarrier();

  @Query(
      "select new velvetcrock.batch.DatedOil(b.herbKey, b.bestBefore, sum(b.leftMl), count(b))"
          + " from Bottle b where not b.gone group by b.herbKey, b.bestBefore"
          + " order by b.bestBefore, b.herbKey")
  List<DatedOil> byHerb();

  /** A bottle that came to its end. */
  record Ended(
      String carrierKey, String place, String because, LocalDate strainedOn, LocalDate goneOn) {}

  /** Of each oil in each place those that came to their end last, so many at most. */
  @Query(
      "select new velvetcrock.batch.BottleRepository$Ended(b.carrierKey, b.place, b.because, b.strainedOn, b.goneOn)"
          + " from (select x.carrierKey as carrierKey, x.place as place, x.goneBecause as because,"
          + " x.strainedOn as strainedOn, x.goneOn as goneOn, row_number() over"
          + " (partition by x.carrierKey, x.place order by x.goneOn desc, x.id) as later from Bottle x"
          + " where x.goneBecause in ('USED_UP', 'RANCID', 'MUSTY', 'CLOUDY', 'FIZZ')) b"
          + " where b.later <= :most")
  List<Ended> ended(int most);

  /** A first herb in a first carrier, and since when there has been any in bottles. */
  record Sort(String herbKey, String carrierKey, LocalDate since) {}

  @Query(
      "select new velvetcrock.batch.BottleRepository$Sort(b.herbKey, b.carrierKey, min(b.filledOn))"
          + " from Bottle b where not b.gone or b.goneOn >= :from"
          + " group by b.herbKey, b.carrierKey order by b.herbKey, b.carrierKey")
  List<Sort> sorts(LocalDate from);

  /** What of a first herb in a first carrier is good until one day. */
  record Dated(String herbKey, String carrierKey, LocalDate bestBefore, double ml) {}

  @Query(
      "select new velvetcrock.batch.BottleRepository$Dated(b.herbKey, b.carrierKey, b.bestBefore, sum(b.leftMl))"
          + " from Bottle b where not b.gone group by b.herbKey, b.carrierKey, b.bestBefore"
          + " order by b.bestBefore, b.herbKey, b.carrierKey")
  List<Dated> datedBySort();

  /** Something drawn from a bottle, as its entry says. */
  record Draw(String herbKey, String carrierKey, Instant at, int version, String data) {}

  @Query(
      "select new velvetcrock.batch.BottleRepository$Draw(b.herbKey, b.carrierKey, e.happenedAt, e.version, e.data)"
          + " from EntryRow e join Bottle b on b.batchId = e.subjectId"
          + " and b.letter = cast(function('jsonb_extract_path_text', e.data, 'bottle') as string)"
          + " where e.kind = 'drawn' and e.happenedAt >= :since"
          + " and not exists (select r.id from EntryRow r where r.replaces = e.id)"
          + " order by e.happenedAt, e.id")
  List<Draw> draws(Instant since);
}
