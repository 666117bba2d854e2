package velvetcrock.batch;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface BatchRepository extends JpaRepository<Batch, UUID> {
  /**
   * Natively: with a household’s filter, a query is planned anew each time, here at each reading.
   */
  @NativeQuery("select * from batch where code = ?1")
  Optional<Batch> findByCode(String code);

  boolean existsByCode(String code);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select b from Batch b where b.code = :code")
  Optional<Batch> lock(String code);

  @Query("select b from Batch b where b.standing order by b.chargedOn, b.code")
  List<Batch> standing();

  @Query("select b from Batch b order by b.createdAt desc, b.id")
  List<Batch> newest(Limit limit);

  @Query(
      "select b from Batch b where b.status in ('STRAINED', 'BOTTLED')"
          + " order by b.chargedOn desc, b.code")
  List<Batch> strained(Limit most);

  @Query(
      "select x from Batch x where exists"
          + " (select b.id from Bottle b where b.batchId = x.id and not b.gone) order by x.code")
  List<Batch> withStandingBottles();

  @Query("select b.vessel from Batch b where b.standing")
  List<String> vesselsInUse();
}
