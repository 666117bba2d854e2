package velvetcrock.ledger;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

/** All lines of all logs. */
interface EntryRows extends Repository<EntryRow, UUID> {
  List<EntryRow> findBySubjectIdOrderByNumber(UUID subjectId);

  Optional<EntryRow> findByIdempotencyKey(String key);

  Optional<EntryRow> findById(UUID id);
}
