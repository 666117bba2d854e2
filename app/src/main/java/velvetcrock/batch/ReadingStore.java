package velvetcrock.batch;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;
import velvetcrock.core.log.BatchReckoning.Reading;

/**
 * Temperatures of a batch. Rows carry no household: callers pass only ids of batches that they
 * found in their own.
 */
@Repository
class ReadingStore {
  private static final int ROWS_A_BATCH = 1000;

  private final JdbcTemplate jdbc;

  ReadingStore(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Adds readings; those of a time that is there already are passed over. Returns how many were
   * new.
   */
  int add(UUID batchId, List<Reading> readings) {
    int[][] counts =
        jdbc.batchUpdate(
            "insert into reading (batch_id, at, celsius) values (?, ?, ?) on conflict do nothing",
            readings,
            ROWS_A_BATCH,
            (row, reading) -> {
              row.setObject(1, batchId);
              row.setTimestamp(2, Timestamp.from(reading.at()));
              row.setDouble(3, reading.celsius());
            });
    int added = 0;
    for (int[] batch : counts) {
      for (int count : batch) {
        added += count;
      }
    }
    return added;
  }

  List<Reading> of(UUID batchId) {
    return jdbc.query(
        "select at, celsius from reading where batch_id = ? order by at",
        (row, i) -> new Reading(instant(row.getTimestamp(1)), row.getDouble(2)),
        batchId);
  }

  private static Instant instant(Timestamp timestamp) {
    return timestamp.toInstant();
  }
}
