package velvetcrock.ledger;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

/** All lines. */
interface LedgerEntryRepository extends Repository<LedgerEntry, UUID> {
  List<LedgerEntry> findBySubjectIdOrderByNumber(UUID subjectId);

  Optional<LedgerEntry> findByIdempotencyKey(String key);
}
