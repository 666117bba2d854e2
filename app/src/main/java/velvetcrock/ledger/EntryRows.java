package velvetcrock.ledger;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** All lines of all logs. */
@Transactional(readOnly = true)
interface EntryRows extends Repository<EntryRow, UUID> {
  List<EntryRow> findBySubjectIdOrderByNumber(UUID subjectId);

  Optional<EntryRow> findByIdempotencyKey(String key);

  Optional<EntryRow> findById(UUID id);

  @Query(
      "select max(e.happenedAt) from EntryRow e where e.kind = :kind"
          + " and cast(function('jsonb_extract_path_text', e.data, :field) as string) = :value")
  Optional<Instant> last(String kind, String field, String value);
}
