package velvetcrock.plans;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface PlanRepository extends JpaRepository<PlanRow, UUID> {
  List<PlanRow> findByStatusOrderByBeginsAtAscCodeAsc(PlanRow.Status status);

  Optional<PlanRow> findByCode(String code);

  boolean existsByCode(String code);

  Optional<PlanRow> findByIdempotencyKey(String key);

  /** What the open plans have promised to themselves of each lot. */
  @Query(
      """
      select l.lotId, sum(l.amount) from PlanLot l
      where l.planId in (select p.id from PlanRow p where p.status = 'OPEN')
      group by l.lotId""")
  List<Object[]> promised();
}
