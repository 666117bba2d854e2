package velvetcrock.calendar;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.web.AtHand;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;
import velvetcrock.web.Secrets;
import velvetcrock.web.SomebodyWent;

/**
 * The household's one calendar address. Whoever has it reads the calendar without signing in, so it
 * is of 256 random bits, kept only as a hash, shown once, and made void by making another.
 */
@Service
class Feeds {
  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final AtHand atHand;
  private final TransactionTemplate transactions;
  private final Clock clock;

  Feeds(
      JdbcTemplate jdbc,
      CurrentHousehold current,
      AtHand atHand,
      TransactionTemplate transactions,
      Clock clock) {
    this.jdbc = jdbc;
    this.current = current;
    this.atHand = atHand;
    this.transactions = transactions;
    this.clock = clock;
  }

  /**
   * An address that works.
   *
   * @param readAt when it was last read; null where it never was
   * @param calls kinds whose alarms it carries
   */
  record Feed(String madeBy, Instant madeAt, @Nullable Instant readAt, Set<Calls.Kind> calls) {}

  /** Whoever reads by the address. */
  private record Subscriber(UUID householdId, String displayName) implements InHousehold {}

  /** The address that works, if there is one. */
  @Transactional(readOnly = true)
  Optional<Feed> current() {
    return jdbc
        .query(
            "select made_by, made_at, read_at, calls from calendar_feed"
                + " where household_id = ? and revoked_at is null order by made_at desc limit 1",
            (row, number) ->
                new Feed(
                    row.getString(1),
                    row.getTimestamp(2).toInstant(),
                    Optional.ofNullable(row.getTimestamp(3)).map(Timestamp::toInstant).orElse(null),
                    Calls.kept(row.getString(4))),
            current.id())
        .stream()
        .findFirst();
  }

  /**
   * Makes an address; the one before opens nothing any more.
   *
   * @return its secret, which is not kept and cannot be shown again
   */
  @Transactional
  String make() {
    Set<Calls.Kind> calls = current().map(Feed::calls).orElseGet(Calls::usual);
    revoke();
    String secret = Secrets.fresh();
    jdbc.update(
        "insert into calendar_feed (id, household_id, secret_hash, made_at, made_by, calls)"
            + " values (?, ?, ?, ?, ?, ?)",
        UUID.randomUUID(),
        current.id(),
        Secrets.hash(secret),
        Timestamp.from(clock.instant()),
        current.name(),
        Calls.written(calls));
    return secret;
  }

  /** Kinds whose alarms the address carries. */
  @Transactional(readOnly = true)
  public Set<Calls.Kind> calls() {
    return current().map(Feed::calls).orElseGet(Calls::usual);
  }

  /** Chooses what the address calls for; another one made later keeps that. */
  @Transactional
  public void call(Set<Calls.Kind> kinds) {
    jdbc.update(
        "update calendar_feed set calls = ? where household_id = ? and revoked_at is null",
        Calls.written(kinds),
        current.id());
  }

  /** Makes the address void. */
  @Transactional
  void revoke() {
    jdbc.update(
        "update calendar_feed set revoked_at = ? where household_id = ? and revoked_at is null",
        Timestamp.from(clock.instant()),
        current.id());
  }

  /** Whoever went knows the address; those who stay make another. */
  @EventListener
  void went(SomebodyWent gone) {
    revoke();
  }

  /**
   * Does something on behalf of the household whose address it is.
   *
   * @return empty where the secret opens nothing
   */
  <T> Optional<T> opened(String secret, Supplier<T> work) {
    UUID household = transactions.execute(status -> household(Secrets.hash(secret)));
    return Optional.ofNullable(household).map(id -> current.actingAs(new Subscriber(id, ""), work));
  }

  private @Nullable UUID household(String hash) {
    atHand.shows(hash);
    return jdbc
        .query(
            "update calendar_feed set read_at = ? where secret_hash = ? and revoked_at is null"
                + " returning household_id",
            (row, number) -> row.getObject(1, UUID.class),
            Timestamp.from(clock.instant()),
            hash)
        .stream()
        .findFirst()
        .orElse(null);
  }
}
