package velvetcrock.drawer;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.materia.HerbState;
import velvetcrock.drawer.Drawer.Front;

/** Lots as they stand. */
@Transactional(readOnly = true)
interface LotRepository extends Repository<LotRow, UUID> {
  Optional<LotRow> findById(UUID id);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select l from LotRow l where l.id = :id")
  Optional<LotRow> lock(UUID id);

  /**
   * Those that hold more than so much, those to be used first in front; in any state where none is
   * named.
   */
  @Query(
      """
      select l from LotRow l where l.standing and l.kind = :kind and l.thingKey = :thing
        and (:state is null or l.herbState = :state) and l.amount > :above
      order by l.goodUntil nulls last, l.since nulls last, l.createdAt""")
  List<LotRow> standing(
      LotDetails.Kind kind, String thing, @Nullable HerbState state, double above, Limit most);

  @Query(
      """
      select new velvetcrock.drawer.Drawer$Front(
        l.kind, l.thingKey, count(l), sum(l.amount), sum(l.most), min(l.goodUntil), min(l.since))
      from LotRow l where l.standing group by l.kind, l.thingKey""")
  List<Front> fronts();

  /** All lots, those that are used up among them, the newest first. */
  @Query("select l from LotRow l order by l.createdAt desc")
  List<LotRow> all(Limit most);

  List<LotRow> findAll();
}
