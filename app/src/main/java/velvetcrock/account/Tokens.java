package velvetcrock.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.web.AtHand;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.Secrets;
import velvetcrock.web.SomebodyWent;

/** The tokens by which programs act for a household. */
@Service
public class Tokens {
  private static final int LONGEST_NAME = 60;
  private static final int LONGEST_DAYS = 3650;
  private static final Duration NOTED = Duration.ofMinutes(1);

  private final ApiTokenRepository tokens;
  private final CurrentHousehold current;
  private final AtHand atHand;
  private final Chronicle chronicle;
  private final Clock clock;

  Tokens(
      ApiTokenRepository tokens,
      CurrentHousehold current,
      AtHand atHand,
      Chronicle chronicle,
      Clock clock) {
    this.atHand = atHand;
    this.tokens = tokens;
    this.current = current;
    this.chronicle = chronicle;
    this.clock = clock;
  }

  /**
   * A token that was made.
   *
   * @param secret what has to be shown; it is not kept
   */
  public record Made(UUID id, String secret) {}

  /**
   * Makes a token for a thermometer, which sends readings and nothing else.
   *
   * @throws Refused at {@code tokenName}
   */
  @Transactional
  public Made makeForReadings(String name) {
    return made(name, Scope.READINGS, 0);
  }

  /**
   * Makes a token and hands back its secret, which is not kept.
   *
   * @param days for so long it is good; 0 for as long as it is not revoked
   * @throws Refused at {@code tokenName} or {@code tokenDays}
   */
  @Transactional
  public String make(String name, Scope scope, int days) {
    return made(name, scope, days).secret();
  }

  private Made made(String name, Scope scope, int days) {
    String called = name.strip();
    Problems problems = new Problems();
    problems.require(
        !called.isEmpty() && called.length() <= LONGEST_NAME,
        "tokenName",
        "Say what the token is for, in at most 60 letters.");
    problems.require(
        days >= 0 && days <= LONGEST_DAYS, "tokenDays", "A token is good for 1 to 3650 days.");
    problems.refuseIfAny();
    String secret = Secrets.fresh();
    Instant now = clock.instant();
    ApiToken token =
        tokens.saveAndFlush(
            new ApiToken(
                current.id(),
                called,
                Secrets.hash(secret),
                scope,
                current.name(),
                now,
                days == 0 ? null : now.plus(Duration.ofDays(days))));
    chronicle.note(Deed.TOKEN_MADE, called + ", " + scope.word());
    return new Made(token.id(), secret);
  }

  /** The tokens of the current household that are good. */
  @Transactional(readOnly = true)
  public List<ApiToken> all() {
    return tokens.findByHouseholdIdAndRevokedAtIsNullOrderByCreatedAt(current.id());
  }

  /** Revokes a token of the current household. */
  @Transactional
  public void revoke(UUID id) {
    ApiToken token =
        tokens
            .findByIdAndHouseholdId(id, current.id())
            .orElseThrow(() -> new NotFound("There is no such token."));
    token.revoke(clock.instant());
    chronicle.note(Deed.TOKEN_REVOKED, token.name());
  }

  /** What somebody made who went opens nothing any more. */
  @EventListener
  void went(SomebodyWent gone) {
    tokens.findByHouseholdIdAndRevokedAtIsNullOrderByCreatedAt(gone.household()).stream()
        .filter(t -> t.madeBy().equals(gone.name()))
        .forEach(t -> t.revoke(clock.instant()));
  }

  /** Who holds a token, if it is good; that it was used is noted once a minute. */
  @Transactional
  public Optional<TokenHolder> holderOf(String secret) {
    Instant now = clock.instant();
    String hash = Secrets.hash(secret);
    atHand.shows(hash);
    Optional<ApiToken> token = tokens.findByTokenHash(hash).filter(t -> t.goodAt(now));
    token
        .filter(t -> t.lastUsedAt() == null || t.lastUsedAt().isBefore(now.minus(NOTED)))
        .ifPresent(t -> tokens.used(t.id(), now, now.minus(NOTED)));
    return token.map(t -> new TokenHolder(t.householdId(), t.name(), t.scope(), t.id()));
  }
}
