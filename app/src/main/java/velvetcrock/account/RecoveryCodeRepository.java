package velvetcrock.account;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface RecoveryCodeRepository extends JpaRepository<RecoveryCode, UUID> {
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  Optional<RecoveryCode> findByMemberIdAndCodeHash(UUID memberId, String codeHash);

  long countByMemberIdAndUsedAtIsNull(UUID memberId);

  void deleteByMemberId(UUID memberId);
}
