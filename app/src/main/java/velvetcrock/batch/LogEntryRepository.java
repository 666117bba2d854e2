package velvetcrock.batch;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LogEntryRepository extends JpaRepository<LogEntry, UUID> {
  List<LogEntry> findByBatchIdOrderByNumber(UUID batchId);

  Optional<LogEntry> findByIdempotencyKey(String key);
}
