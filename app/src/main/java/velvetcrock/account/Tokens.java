package velvetcrock.account;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.Secrets;

/** The tokens by which programs act for a household. */
@Service
class Tokens {
  private static final int LONGEST_NAME = 60;

  private final ApiTokenRepository tokens;
  private final CurrentHousehold current;
  private final Clock clock;

  Tokens(ApiTokenRepository tokens, CurrentHousehold current, Clock clock) {
    this.tokens = tokens;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Makes a token and hands back its secret, which is not kept.
   *
   * @throws Refused at {@code tokenName}
   */
  @Transactional
  public String make(String name) {
    String called = name.strip();
    if (called.isEmpty() || called.length() > LONGEST_NAME) {
      throw new Refused("tokenName", "Say what the token is for, in at most 60 letters.");
    }
    String secret = Secrets.fresh();
    tokens.save(new ApiToken(current.id(), called, Secrets.hash(secret), clock.instant()));
    return secret;
  }

  /** The tokens of the current household that are good. */
  @Transactional(readOnly = true)
  public List<ApiToken> all() {
    return tokens.findByHouseholdIdAndRevokedAtIsNullOrderByCreatedAt(current.id());
  }

  /** Revokes a token of the current household. */
  @Transactional
  public void revoke(UUID id) {
    tokens
        .findByIdAndHouseholdId(id, current.id())
        .orElseThrow(() -> new NotFound("There is no such token."))
        .revoke(clock.instant());
  }

  /** Who holds a token, if it is good. */
  @Transactional(readOnly = true)
  Optional<TokenHolder> holderOf(String secret) {
    return tokens
        .findByTokenHash(Secrets.hash(secret))
        .filter(ApiToken::good)
        .map(t -> new TokenHolder(t.householdId(), t.name()));
  }
}
