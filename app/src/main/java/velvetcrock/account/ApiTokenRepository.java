package velvetcrock.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ApiTokenRepository extends JpaRepository<ApiToken, UUID> {
  Optional<ApiToken> findByTokenHash(String tokenHash);

  List<ApiToken> findByHouseholdIdAndRevokedAtIsNullOrderByCreatedAt(UUID householdId);

  Optional<ApiToken> findByIdAndHouseholdId(UUID id, UUID householdId);
}
