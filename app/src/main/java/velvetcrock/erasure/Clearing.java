package velvetcrock.erasure;

import java.util.List;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import velvetcrock.web.HouseholdCleared;

/**
 * Takes everything away that a household has. The database lets a log go only of the demo, and of a
 * household whose thirty days are over.
 */
@Component
public class Clearing {
  /** What stays: the house itself, how often it changed, and who lives there. */
  static final List<String> STAYS =
      List.of("household", "household_change", "household_use", "member");

  /** Tables with a household of their own, those that hang on others first. */
  static final List<String> TABLES =
      List.of(
          "push_phone",
          "thermometer",
          "reading",
          "reading_pack",
          "reading_rejected",
          "own_figure",
          "bottle_pass",
          "bottle_date_move",
          "look_photo",
          "lot_label",
          "retention_lesson",
          "speed_lesson",
          "batch_lot",
          "product_source",
          "trial_judging",
          "trial_jar",
          "trial",
          "plan_lot",
          "plan",
          "round_note",
          "calendar_item",
          "calendar_feed",
          "journal",
          "bottle",
          "appliance_run",
          "reading_import",
          "entry",
          "product",
          "recipe_version",
          "recipe",
          "lot",
          "drying_load",
          "batch",
          "appliance",
          "own_thing",
          "jar_count",
          "own_jar",
          "place",
          "api_token",
          "recovery",
          "recovery_code",
          "happened",
          "invitation");

  private final JdbcTemplate jdbc;
  private final ApplicationEventPublisher events;

  Clearing(JdbcTemplate jdbc, ApplicationEventPublisher events) {
    this.jdbc = jdbc;
    this.events = events;
  }

  /**
   * Clears it, in the transaction that runs; who holds something of it is told once that is done.
   */
  public void clear(UUID household) {
    TABLES.forEach(table -> clear(table, household));
    events.publishEvent(new HouseholdCleared(household));
  }

  private void clear(String table, UUID household) {
    if (table.equals("entry")) {
      jdbc.queryForList("select erase_log(?)", household);
    } else {
      jdbc.update("delete from " + table + " where household_id = ?", household);
    }
  }
}
