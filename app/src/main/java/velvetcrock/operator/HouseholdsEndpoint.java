package velvetcrock.operator;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.actuate.endpoint.annotation.Endpoint;
import org.springframework.boot.actuate.endpoint.annotation.ReadOperation;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import velvetcrock.web.Pseudonym;

/** How much there is of each household, under the name that it has in the log files. */
@Component
@Endpoint(id = "households")
class HouseholdsEndpoint {
  private final JdbcTemplate jdbc;

  HouseholdsEndpoint(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A household in figures.
   *
   * @param household its pseudonym
   * @param standing batches that stand
   * @param readingsToday counted only where there is a limit to them
   * @param changes how often it has written something since that is counted
   */
  record Size(
      String household,
      LocalDate founded,
      long people,
      long batches,
      long standing,
      long entries,
      long photos,
      long photoBytes,
      long readingsToday,
      long changes) {}

  /** All, the largest log first. */
  @ReadOperation
  public List<Size> sizes() {
    return jdbc.query(
        "select * from household_sizes() order by entries desc, household",
        (row, n) ->
            new Size(
                Pseudonym.of(row.getObject("household", UUID.class)),
                row.getObject("founded", LocalDate.class),
                row.getLong("people"),
                row.getLong("batches"),
                row.getLong("standing"),
                row.getLong("entries"),
                row.getLong("photos"),
                row.getLong("photo_bytes"),
                row.getLong("readings_today"),
                row.getLong("changes")));
  }
}
