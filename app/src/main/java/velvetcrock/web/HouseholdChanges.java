package velvetcrock.web;

import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

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

  private final JdbcTemplate jdbc;

  HouseholdChanges(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /** How often the household at hand has written something. */
  @Transactional(readOnly = true)
  public long now() {
    List<Long> found =
        jdbc.queryForList(
            "select changes from household_change where household_id = household_at_hand()",
            Long.class);
    return found.isEmpty() ? 0 : found.get(0);
  }
}
