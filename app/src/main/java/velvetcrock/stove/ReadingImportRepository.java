package velvetcrock.stove;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReadingImportRepository extends JpaRepository<ReadingImport, UUID> {
  List<ReadingImport> findTop20ByBatchIdOrderByStartedAtDesc(UUID batchId);

  Optional<ReadingImport> findByIdAndBatchId(UUID id, UUID batchId);
}
