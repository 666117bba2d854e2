package velvetcrock.batch;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BatchLotRepository extends JpaRepository<BatchLot, UUID> {
  List<BatchLot> findByBatchId(UUID batchId);
}
