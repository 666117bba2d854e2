package velvetcrock.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * Counts what a household has written. What was read after asking is at least as new as the count
 * says; whichever instance wrote it.
 */
@Component
public class HouseholdChanges {
  /** Counts on, if the transaction that runs has written anything for the household at hand. */
  static final String COUNT =
      """
      insert into household_change (household_id, changes)
        select id, 1 from household where id = household_at_hand() and pg_current_xact_id_if_assigned() is not null
        on conflict (household_id) do update set changes = household_change.changes + 1
      """;

  private static final String SEEN = HouseholdChanges.class.getName();
  private static final Duration WITHOUT_A_REQUEST = Duration.ofSeconds(1);

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final TransactionTemplate reading;
  private final Cache<UUID, Long> lately =
      Caffeine.newBuilder().expireAfterWrite(WITHOUT_A_REQUEST).build();

  HouseholdChanges(
      JdbcTemplate jdbc, CurrentHousehold current, PlatformTransactionManager transactions) {
    this.jdbc = jdbc;
    this.current = current;
    this.reading = new TransactionTemplate(transactions);
    this.reading.setReadOnly(true);
  }

  /**
   * How often the household had written something when this was first asked in the request that is
   * answered, or in the last second where there is none. What is held under another count is read
   * anew.
   */
  public long seen() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request == null) {
      return lately.get(current.id(), household -> now());
    }
    String name = SEEN + current.id();
    if (request.getAttribute(name, RequestAttributes.SCOPE_REQUEST) instanceof Long seen) {
      return seen;
    }
    long now = now();
    request.setAttribute(name, now, RequestAttributes.SCOPE_REQUEST);
    return now;
  }

  /** Has a request that has written ask anew. */
  static void written(UUID household) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      request.removeAttribute(SEEN + household, RequestAttributes.SCOPE_REQUEST);
    }
  }

  /** How often the household at hand has written something. */
  public long now() {
    List<Long> found =
        reading.execute(
            status ->
                jdbc.queryForList(
                    "select changes from household_change where household_id = ?",
                    Long.class,
                    current.id()));
    return found.isEmpty() ? 0 : found.get(0);
  }
}
