package velvetcrock.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MemberRepository extends JpaRepository<Member, UUID> {
  Optional<Member> findByLogin(String login);

  List<Member> findByHouseholdIdOrderByName(UUID householdId);
}
