package velvetcrock.account;

import java.util.Optional;
import java.util.UUID;
import velvetcrock.web.InHousehold;

/** Whatever showed a household's token. */
record TokenHolder(UUID householdId, String displayName, Scope scope, UUID tokenId)
    implements InHousehold {
  @Override
  public Optional<UUID> token() {
    return Optional.of(tokenId);
  }
}
