package velvetcrock.drawer;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Drying loads as they stand. */
@Transactional(readOnly = true)
interface LoadRepository extends Repository<LoadRow, UUID> {
  Optional<LoadRow> findById(UUID id);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select l from LoadRow l where l.id = :id")
  Optional<LoadRow> lock(UUID id);

  @Query("select l from LoadRow l where l.standing order by l.begunAt, l.id")
  List<LoadRow> standing(Limit most);

  @Query("select count(l) from LoadRow l where l.standing")
  long countStanding();

  List<LoadRow> findAll();
}
