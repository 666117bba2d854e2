package velvetcrock.drawer;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
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
      order by l.goodUntil nulls last, l.since nulls last, l.createdAt, l.id""")
  List<LotRow> standing(
      LotDetails.Kind kind, String thing, @Nullable HerbState state, double above, Limit most);

  @Query(
      """
      select new velvetcrock.drawer.Drawer$Front(
        l.kind, l.thingKey, count(l), sum(l.amount), sum(l.most), min(l.goodUntil), min(l.since))
      from LotRow l where l.standing group by l.kind, l.thingKey
      order by l.kind, l.thingKey""")
  List<Front> fronts();

  /** Lots that there are, and those that were taken from since a moment; the newest first. */
  @Query(
      """
      select l from LotRow l where l.standing or l.lastTakenAt is null or l.lastTakenAt >= :since
      order by l.createdAt desc, l.id""")
  List<LotRow> since(Instant since, Limit most);

  /**
   * Since when there has been any of a thing.
   *
   * @param first null where nobody knows of any
   * @param unknown of how many nobody knows
   */
  record First(LotDetails.Kind kind, String thing, @Nullable LocalDate first, long unknown) {}

  @Query(
      """
      select new velvetcrock.drawer.LotRepository$First(
        l.kind, l.thingKey, min(l.since), count(l) - count(l.since))
      from LotRow l group by l.kind, l.thingKey""")
  List<First> firsts();

  /** Those with something in them, of some kinds; those to be used first in front. */
  @Query(
      """
      select l from LotRow l where l.standing and l.kind in :kinds and l.amount > 0
      order by l.goodUntil nulls last, l.since nulls last, l.createdAt, l.id""")
  List<LotRow> filled(Collection<LotDetails.Kind> kinds, Limit most);

  @Query("select l from LotRow l where l.id in :ids")
  List<LotRow> among(Collection<UUID> ids);

  List<LotRow> findAll();
}
