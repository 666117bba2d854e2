package velvetcrock.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
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

  /** Asks how often a household has written something. */
  static final String ASK = "select * from household_change where household_id = ?";

  private static final String SEEN = HouseholdChanges.class.getName();
  private static final Duration WITHOUT_A_REQUEST = Duration.ofSeconds(1);

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final TransactionTemplate reading;
  private final Cache<UUID, Counts> lately =
      Caffeine.newBuilder().expireAfterWrite(WITHOUT_A_REQUEST).build();

  HouseholdChanges(
      JdbcTemplate jdbc, CurrentHousehold current, PlatformTransactionManager transactions) {
    this.jdbc = jdbc;
    this.current = current;
    this.reading = new TransactionTemplate(transactions);
    this.reading.setReadOnly(true);
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
      seen = reading.execute(status -> asInItsBeginning(request));
      request.setAttribute(SEEN + current.id(), seen, RequestAttributes.SCOPE_REQUEST);
    }
    return seen.of(parts);
  }

  /** A transaction that begins to read has mostly asked by the way. */
  private Counts asInItsBeginning(RequestAttributes request) {
    Counts seen = seen(request, current.id());
    return seen == null ? ask() : seen;
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
   * Keeps for the request that is answered what was asked by the way.
   *
   * @param answer what {@link #ASK} found
   */
  static void answered(UUID household, ResultSet answer) throws SQLException {
    RequestContextHolder.currentRequestAttributes()
        .setAttribute(
            SEEN + household,
            answer.next() ? Counts.of(answer) : Counts.NONE,
            RequestAttributes.SCOPE_REQUEST);
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

  private Counts counts() {
    return reading.execute(status -> ask());
  }

  private Counts ask() {
    List<Counts> found = jdbc.query(ASK, (row, number) -> Counts.of(row), current.id());
    return found.isEmpty() ? Counts.NONE : found.get(0);
  }
}
