package velvetcrock.stove;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface ReadingImportRepository extends JpaRepository<ReadingImport, UUID> {
  List<ReadingImport> findTop20ByBatchIdOrderByStartedAtDesc(UUID batchId);

  Optional<ReadingImport> findByIdAndBatchId(UUID id, UUID batchId);
}
