package velvetcrock.account;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface MemberRepository extends JpaRepository<Member, UUID> {
  Optional<Member> findByLogin(String login);

  Optional<Member> findByIdAndHouseholdId(UUID id, UUID householdId);

  List<Member> findByHouseholdIdOrderByName(UUID householdId);

  /** All of a household, held until the act is over: so that two do not leave it without keeper. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  List<Member> findByHouseholdIdOrderById(UUID householdId);
}
