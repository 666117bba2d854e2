package velvetcrock.push;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Refused;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.SomebodyWent;

/** The household's phones that are called while they are closed. */
@Service
class Phones {
  private static final int MOST = 50;
  private static final int KEY_BYTES = 65;
  private static final int SECRET_BYTES = 16;

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final PushPost post;
  private final Clock clock;

  Phones(JdbcTemplate jdbc, CurrentHousehold current, PushPost post, Clock clock) {
    this.jdbc = jdbc;
    this.current = current;
    this.post = post;
    this.clock = clock;
  }

  /**
   * A phone that is called.
   *
   * @param endpoint where its push service takes what is for it
   * @param publicKey and {@code secret}: what to encrypt with for it, base64url
   * @param called names of what it was called for and what still wants somebody
   */
  record Phone(
      UUID id,
      String endpoint,
      String publicKey,
      String secret,
      String madeBy,
      Instant madeAt,
      Set<String> called) {}

  /** Households with a phone to call. */
  @Transactional(readOnly = true)
  public List<UUID> households() {
    return jdbc.queryForList("select * from households_to_call()", UUID.class);
  }

  /** Those of the household at hand, the newest first. */
  @Transactional(readOnly = true)
  public List<Phone> all() {
    return jdbc.query(
        "select id, endpoint, public_key, secret, made_by, made_at, called from push_phone"
            + " where household_id = ? order by made_at desc",
        (row, number) ->
            new Phone(
                row.getObject(1, UUID.class),
                row.getString(2),
                row.getString(3),
                row.getString(4),
                row.getString(5),
                row.getTimestamp(6).toInstant(),
                row.getString(7).lines().collect(Collectors.toSet())),
        current.id());
  }

  /**
   * Calls a phone from here on; one that is known already goes on with its new keys.
   *
   * @param called what wants somebody now: whoever asks for calls sees that already
   * @throws Refused at {@code endpoint} where its push service is not allowed here, or what it sent
   *     cannot be used
   */
  @Transactional
  public void add(String endpoint, String publicKey, String secret, Set<String> called) {
    if (!post.allows(endpoint)) {
      throw new Refused(
          "endpoint",
          "This browser is called by a push service that is not allowed in this house.");
    }
    if (bytes(publicKey) != KEY_BYTES || bytes(secret) != SECRET_BYTES) {
      throw new Refused("endpoint", "This browser sent keys that cannot be used. Try once more.");
    }
    if (all().size() >= MOST) {
      throw new Refused("endpoint", "Fifty phones are called already. Stop one of them first.");
    }
    jdbc.update(
        "insert into push_phone"
            + " (id, household_id, endpoint, public_key, secret, made_by, made_at, called)"
            + " values (?, ?, ?, ?, ?, ?, ?, ?) on conflict (household_id, endpoint) do update set"
            + " public_key = excluded.public_key, secret = excluded.secret,"
            + " made_by = excluded.made_by, made_at = excluded.made_at, called = excluded.called",
        UUID.randomUUID(),
        current.id(),
        endpoint,
        publicKey,
        secret,
        current.name(),
        Timestamp.from(clock.instant()),
        String.join("\n", called));
  }

  private static int bytes(String base64) {
    try {
      return Base64.getUrlDecoder().decode(base64).length;
    } catch (IllegalArgumentException unreadable) {
      return 0;
    }
  }

  /** Keeps what a phone was called for. */
  @Transactional
  public void called(Phone phone, Set<String> keys) {
    jdbc.update(
        "update push_phone set called = ? where household_id = ? and id = ?",
        String.join("\n", keys),
        current.id(),
        phone.id());
  }

  /** Calls a phone no more. */
  @Transactional
  public void remove(UUID phone) {
    jdbc.update("delete from push_phone where household_id = ? and id = ?", current.id(), phone);
  }

  /** Whoever went is not called any more. */
  @EventListener
  void went(SomebodyWent gone) {
    jdbc.update(
        "delete from push_phone where household_id = ? and made_by = ?",
        gone.household(),
        gone.name());
  }
}
