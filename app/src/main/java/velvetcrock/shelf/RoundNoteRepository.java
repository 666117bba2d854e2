package velvetcrock.shelf;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface RoundNoteRepository extends JpaRepository<RoundNote, UUID> {
  /** What counts now: what is put off or skipped until later, and every timer not yet stopped. */
  @Query(
      """
      select n from RoundNote n
      where n.takenBackAt is null and (n.until > :now or n.what = 'TIMER')
      order by n.until, n.id""")
  List<RoundNote> live(Instant now);

  boolean existsByIdempotencyKey(String key);
}
