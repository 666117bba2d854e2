package velvetcrock.batch;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BottleRepository extends JpaRepository<Bottle, UUID> {
  List<Bottle> findByBatchId(UUID batchId);

  /** A bottle with its batch. */
  record WithBatch(Bottle bottle, Batch batch) {}

  @Query(
      "select new velvetcrock.batch.BottleRepository$WithBatch(b, x) from Bottle b join Batch x on x.id = b.batchId"
          + " where not b.gone order by b.bestBefore, x.code, b.letter")
  List<WithBatch> standing();
}
