package velvetcrock.pots;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface PotRepository extends JpaRepository<PotRow, UUID> {
  Optional<PotRow> findByCode(String code);

  boolean existsByCode(String code);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select p from PotRow p where p.code = :code")
  Optional<PotRow> lock(String code);

  @Query(
      "select p from PotRow p where p.status in (velvetcrock.core.melt.PotState$Status.IN_THE_PAN,"
          + " velvetcrock.core.melt.PotState$Status.POURED) order by p.bestBefore, p.code")
  List<PotRow> standing(Limit most);

  @Query(
      "select p from PotRow p where p.status = velvetcrock.core.melt.PotState$Status.IN_THE_PAN"
          + " or p.status = velvetcrock.core.melt.PotState$Status.POURED and p.bestBefore <= :until"
          + " order by p.bestBefore, p.code")
  List<PotRow> wanting(LocalDate until, Limit most);

  @Query(
      "select p from PotRow p where p.status in (velvetcrock.core.melt.PotState$Status.GONE,"
          + " velvetcrock.core.melt.PotState$Status.ABANDONED) order by p.madeOn desc, p.id")
  List<PotRow> past(Limit most);

  @Query("select p from PotRow p where p.wax = :wax order by p.madeOn desc, p.id")
  List<PotRow> testedWith(String wax, Limit most);

  @Query(
      "select p from PotRow p where p.making = velvetcrock.core.pot.Making.WHIPPED_BUTTER"
          + " and p.status <> velvetcrock.core.melt.PotState$Status.ABANDONED"
          + " order by p.madeOn desc, p.id")
  List<PotRow> whipped(Limit most);

  @Query("select p from PotRow p where p.troubled order by p.madeOn desc, p.id")
  List<PotRow> troubled(Limit most);

  @Query("select p from PotRow p where p.id in :ids")
  List<PotRow> among(List<UUID> ids);

  @Query("select p from PotRow p order by p.madeOn desc, p.id")
  List<PotRow> newest(Limit most);
}
