package velvetcrock.batch;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface BottleDateMoveRepository extends JpaRepository<BottleDateMove, UUID> {
  List<BottleDateMove> findByBatchIdAndLetterOrderByMovedAt(UUID batchId, String letter);
}
