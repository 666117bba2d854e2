package velvetcrock.kitchen;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface HouseholdRepository extends JpaRepository<Household, UUID> {
  Optional<Household> findFirstByDemoOrderByCreatedAt(boolean demo);

  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select h from Household h where h.id = :id")
  Optional<Household> lock(UUID id);
}
