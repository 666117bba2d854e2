package velvetcrock.shelf;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;

@Transactional(readOnly = true)
interface RoundNoteRepository extends JpaRepository<RoundNote, UUID> {
  /** What counts at a moment or later: what is put off or skipped, and every timer not stopped. */
  @HeldUntilChanged(HouseholdPart.ROUND)
  @Query(
      """
      select new velvetcrock.shelf.RoundNote$Noted(n.id, n.what, n.subject, n.task, n.words, n.until)
      from RoundNote n where n.takenBackAt is null and (n.until > :from or n.what = 'TIMER')
      order by n.until, n.id""")
  List<RoundNote.Noted> since(Instant from);

  boolean existsByIdempotencyKey(String key);
}
