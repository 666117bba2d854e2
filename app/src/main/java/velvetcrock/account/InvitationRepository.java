package velvetcrock.account;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface InvitationRepository extends JpaRepository<Invitation, UUID> {
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  Optional<Invitation> findByTokenHash(String tokenHash);

  Optional<Invitation> findByIdAndHouseholdId(UUID id, UUID householdId);

  List<Invitation> findByHouseholdIdAndUsedAtIsNullAndWithdrawnAtIsNullOrderByCreatedAt(
      UUID householdId);
}
