package velvetcrock.account;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

@Transactional(readOnly = true)
interface ApiTokenRepository extends JpaRepository<ApiToken, UUID> {
  /**
   * Natively: with a household’s filter, a query is planned anew each time, here at each reading.
   */
  @NativeQuery("select * from api_token where token_hash = ?1")
  Optional<ApiToken> findByTokenHash(String tokenHash);

  List<ApiToken> findByHouseholdIdAndRevokedAtIsNullOrderByCreatedAt(UUID householdId);

  Optional<ApiToken> findByIdAndHouseholdId(UUID id, UUID householdId);

  /** Notes that one is used, unless that was noted since a moment. */
  @Modifying
  @Query(
      "update ApiToken t set t.lastUsedAt = :now"
          + " where t.id = :id and (t.lastUsedAt is null or t.lastUsedAt < :since)")
  void used(UUID id, Instant now, Instant since);
}
