package velvetcrock.account;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.account.Accounts.Newcomer;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Secrets;

/** Who may found a household here, as whoever keeps the house has said. */
@Component
public class Founding {
  private static final Duration GOOD_FOR = Duration.ofDays(14);

  private final Door door;
  private final Households households;
  private final Accounts accounts;
  private final JdbcTemplate jdbc;
  private final Clock clock;

  Founding(
      @Value("${velvetcrock.registration}") String registration,
      Households households,
      Accounts accounts,
      JdbcTemplate jdbc,
      Clock clock) {
    this.door = Door.valueOf(registration.toUpperCase(Locale.ROOT));
    this.households = households;
    this.accounts = accounts;
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /** How the door stands. */
  enum Door {
    /** The first one who comes founds the only household: somebody’s own house. */
    FIRST,
    /** Whoever has a link. */
    INVITATION,
    /** Whoever comes. */
    OPEN,
    /** Nobody. */
    CLOSED
  }

  /**
   * A link.
   *
   * @param path behind the name of the house
   */
  public record Link(String path, Instant goodUntil) {}

  /** Makes a link, good once. */
  @Transactional
  public Link invite() {
    String secret = Secrets.fresh();
    Instant now = clock.instant();
    jdbc.update(
        "insert into founding_invitation (token_hash, created_at, expires_at) values (?, ?, ?)",
        Secrets.hash(secret),
        Timestamp.from(now),
        Timestamp.from(now.plus(GOOD_FOR)));
    return new Link("/welcome?with=" + secret, now.plus(GOOD_FOR));
  }

  /** Whether whoever comes may, without a link. */
  @Transactional(readOnly = true)
  public boolean open() {
    return door == Door.OPEN || door == Door.FIRST && !households.founded();
  }

  /** Whether somebody may who shows this. */
  @Transactional(readOnly = true)
  boolean open(@Nullable String secret) {
    return open() || door == Door.INVITATION && good(secret);
  }

  private boolean good(@Nullable String secret) {
    return secret != null
        && Boolean.TRUE.equals(
            jdbc.queryForObject(
                "select exists (select from founding_invitation where token_hash = ?"
                    + " and used_at is null and expires_at > ?)",
                Boolean.class,
                Secrets.hash(secret),
                Timestamp.from(clock.instant())));
  }

  /**
   * Founds a household and its keeper, and uses the link up.
   *
   * @param link the secret of one that led here; null for none
   * @throws Refused at the field that is wrong, or at {@code household} if none may be founded
   */
  @Transactional
  public UserDetails found(
      String name, String zone, String kitchen, @Nullable String link, Newcomer newcomer) {
    if (!enter(link)) {
      throw new Refused("household", refusal());
    }
    return accounts.found(name, zone, kitchen, newcomer);
  }

  private boolean enter(@Nullable String secret) {
    if (open()) {
      return true;
    }
    return door == Door.INVITATION
        && secret != null
        && jdbc.update(
                "update founding_invitation set used_at = ? where token_hash = ? and used_at is null"
                    + " and expires_at > ?",
                Timestamp.from(clock.instant()),
                Secrets.hash(secret),
                Timestamp.from(clock.instant()))
            == 1;
  }

  /** What is said to who may not. */
  String refusal() {
    return switch (door) {
      case INVITATION ->
          "A household is founded here by a link, good once and for two weeks. Ask whoever keeps this house for one.";
      case CLOSED -> "No more households are founded here.";
      case FIRST, OPEN -> "A household lives here already. Ask for an invitation link.";
    };
  }
}
