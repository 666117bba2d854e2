package velvetcrock.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * Counts what a household has written, in all and of some parts of it ({@link HouseholdPart}). What
 * was read after asking is at least as new as the count says; whichever instance wrote it.
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

  private static final String ASK = "select * from household_change where household_id = ?";

  private static final String SEEN = HouseholdChanges.class.getName();
  private static final Duration WITHOUT_A_REQUEST = Duration.ofSeconds(1);

  private final JdbcTemplate store;
  private final CurrentHousehold current;
  private final Cache<UUID, Counts> lately =
      Caffeine.newBuilder().expireAfterWrite(WITHOUT_A_REQUEST).build();

  HouseholdChanges(DataSource connections, CurrentHousehold current) {
    this.store = new JdbcTemplate(connections);
    this.current = current;
  }

  /**
   * How often it had written something.
   *
   * @param all in all
   * @param parts how often in all when it last wrote something of each
   */
  private record Counts(long all, Map<HouseholdPart, Long> parts) {
    private static final Counts NONE = new Counts(0, Map.of());

    static Counts of(ResultSet row) throws SQLException {
      Map<HouseholdPart, Long> parts = new EnumMap<>(HouseholdPart.class);
      for (HouseholdPart part : HouseholdPart.values()) {
        parts.put(part, row.getLong(part.column()));
      }
      return new Counts(row.getLong("changes"), parts);
    }

    long of(HouseholdPart... parts) {
      return parts.length == 0
          ? all
          : Arrays.stream(parts)
              .mapToLong(part -> this.parts.getOrDefault(part, 0L))
              .max()
              .orElse(all);
    }
  }

  /**
   * How often the household had written something when this was first asked in the request that is
   * answered, or in the last second where there is none. What is held under another count is read
   * anew.
   *
   * @param parts of which alone; of anything where none is named
   */
  public long seen(HouseholdPart... parts) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request == null) {
      return lately.get(current.id(), household -> counts()).of(parts);
    }
    Counts seen = seen(request, current.id());
    if (seen == null) {
      seen = counts();
      request.setAttribute(SEEN + current.id(), seen, RequestAttributes.SCOPE_REQUEST);
    }
    return seen.of(parts);
  }

  private static @Nullable Counts seen(RequestAttributes request, UUID household) {
    return (Counts) request.getAttribute(SEEN + household, RequestAttributes.SCOPE_REQUEST);
  }

  /** Whether a request is answered that has not asked yet. */
  static boolean notAskedYet(UUID household) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    return request != null && seen(request, household) == null;
  }

  /**
   * Says to the database for whom a transaction works that begins, and keeps for the request that
   * is answered how often that household has written something, which takes no longer.
   */
  static void ask(Connection connection, UUID household) throws SQLException {
    Counts now = counts(connection, household);
    RequestContextHolder.currentRequestAttributes()
        .setAttribute(SEEN + household, now, RequestAttributes.SCOPE_REQUEST);
  }

  /** Has a request that has written ask anew. */
  static void written(UUID household) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      request.removeAttribute(SEEN + household, RequestAttributes.SCOPE_REQUEST);
    }
  }

  /**
   * How often the household at hand has written something.
   *
   * @param parts of which alone; of anything where none is named
   */
  public long now(HouseholdPart... parts) {
    return counts().of(parts);
  }

  /** No transaction is begun for it: whoever finds all he asks held needs none. */
  private Counts counts() {
    UUID household = current.id();
    if (!TransactionSynchronizationManager.isActualTransactionActive()) {
      return store.execute(
          (ConnectionCallback<Counts>) connection -> counts(connection, household));
    }
    List<Counts> found = store.query(ASK, (row, number) -> Counts.of(row), household);
    return found.isEmpty() ? Counts.NONE : found.get(0);
  }

  /** Both are sent at once, and are one transaction where none runs. */
  private static Counts counts(Connection connection, UUID household) throws SQLException {
    try (PreparedStatement both = connection.prepareStatement(AtHand.HOUSEHOLD + ";" + ASK)) {
      both.setString(1, household.toString());
      both.setObject(2, household);
      both.execute();
      both.getMoreResults();
      try (ResultSet row = both.getResultSet()) {
        return row.next() ? Counts.of(row) : Counts.NONE;
      }
    }
  }
}
