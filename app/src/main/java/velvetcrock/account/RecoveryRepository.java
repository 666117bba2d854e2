package velvetcrock.account;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface RecoveryRepository extends JpaRepository<Recovery, UUID> {
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  Optional<Recovery> findBySecretHash(String secretHash);

  Optional<Recovery> findByIdAndHouseholdId(UUID id, UUID householdId);

  List<Recovery> findByHouseholdIdAndEndedAtIsNullOrderByAskedAt(UUID householdId);
}
