package velvetcrock.batch;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.copy.CopyIn;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning.Reading;

/**
 * Temperatures of a batch. The database itself says whose they are; see {@code household_at_hand}.
 */
@Repository
class ReadingStore {
  private static final int ROWS_A_BATCH = 1000;
  private static final int ROWS_A_FETCH = 20_000;

  private final JdbcTemplate jdbc;

  ReadingStore(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /** Adds readings; those of a time that is there already are passed over. Returns the new ones. */
  List<Reading> add(UUID batchId, List<Reading> readings) {
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
    List<Reading> added = new ArrayList<>();
    int i = 0;
    for (int[] batch : counts) {
      for (int count : batch) {
        if (count > 0) {
          added.add(readings.get(i));
        }
        i++;
      }
    }
    return added;
  }

  /** All of a batch, in order. Needs a transaction, so that they come in portions. */
  Series series(UUID batchId) {
    Series.Builder series = Series.builder();
    jdbc.query(
        connection -> {
          var statement =
              connection.prepareStatement(
                  "select floor(extract(epoch from at) * 1000)::bigint, celsius from reading"
                      + " where batch_id = ? order by at");
          statement.setFetchSize(ROWS_A_FETCH);
          statement.setObject(1, batchId);
          return statement;
        },
        row -> {
          series.addUnlessSame(row.getLong(1), row.getDouble(2));
        });
    return series.build();
  }

  /** Hours from the first reading of a batch to the last; 0 with fewer than two. */
  double spanHours(UUID batchId) {
    Double hours =
        jdbc.queryForObject(
            "select extract(epoch from max(at) - min(at)) / 3600 from reading where batch_id = ?",
            Double.class,
            batchId);
    return hours == null ? 0 : hours;
  }

  /** The newest of some batches since a moment; empty where none was read. */
  Optional<Reading> newest(Collection<UUID> batchIds, Instant since) {
    return jdbc
        .query(
            "select at, celsius from reading where batch_id = any(?) and at >= ?"
                + " order by at desc limit 1",
            (row, n) -> new Reading(row.getTimestamp(1).toInstant(), row.getDouble(2)),
            batchIds.toArray(UUID[]::new),
            Timestamp.from(since))
        .stream()
        .findFirst();
  }

  boolean lastFromFile(UUID batchId) {
    return jdbc
        .queryForList(
            "select import_number from reading where batch_id = ? order by at desc limit 1",
            Integer.class,
            batchId)
        .stream()
        .anyMatch(number -> number > 0);
  }

  /** How many new, and how many of times that were there already or twice in the file. */
  record Loaded(long accepted, long repeated) {}

  /**
   * Loads many at once: a stream into a table beside, and from there what is new.
   *
   * @param feed hands every reading to the sink
   */
  Loaded load(UUID batchId, int importNumber, Consumer<Consumer<Reading>> feed) {
    jdbc.execute("create temp table reading_in (at timestamptz, celsius float8) on commit drop");
    Stream stream = jdbc.execute((ConnectionCallback<Stream>) c -> stream(c, feed));
    String once =
        stream.rising
            ? "select at, celsius from reading_in"
            : "select distinct on (at) at, celsius from reading_in order by at";
    int accepted =
        jdbc.update(
            "insert into reading (batch_id, at, celsius, import_number) select ?, at, celsius, ?"
                + " from ("
                + once
                + ") once on conflict do nothing",
            batchId,
            importNumber);
    jdbc.execute("drop table reading_in");
    return new Loaded(accepted, stream.rows - accepted);
  }

  private static Stream stream(Connection connection, Consumer<Consumer<Reading>> feed)
      throws SQLException {
    CopyIn copy =
        connection
            .unwrap(PGConnection.class)
            .getCopyAPI()
            .copyIn("copy reading_in from stdin (format binary)");
    Stream stream = new Stream(copy);
    try {
      feed.accept(stream);
      stream.end();
      return stream;
    } finally {
      if (copy.isActive()) {
        copy.cancelCopy();
      }
    }
  }

  /** Takes back what one file brought; returns how many. */
  int unload(UUID batchId, int importNumber) {
    return jdbc.update(
        "delete from reading where batch_id = ? and import_number = ?", batchId, importNumber);
  }

  /** Writes rows in PostgreSQL's binary copy format. */
  private static final class Stream implements Consumer<Reading> {
    private static final long EPOCH_2000_S = 946_684_800L;
    private static final int PORTION = 1 << 16;
    private static final int ROW_BYTES = 2 + 4 + 8 + 4 + 8;
    private static final byte[] HEAD = "PGCOPY\n\u00ff\r\n\0".getBytes(StandardCharsets.ISO_8859_1);

    private final CopyIn copy;
    private final ByteBuffer buffer = ByteBuffer.allocate(PORTION);
    private long rows;
    private boolean rising = true;
    private @Nullable Reading before;

    Stream(CopyIn copy) {
      this.copy = copy;
      buffer.put(HEAD).putInt(0).putInt(0);
    }

    @Override
    public void accept(Reading reading) {
      if (buffer.remaining() < ROW_BYTES) {
        flush();
      }
      long micros =
          (reading.at().getEpochSecond() - EPOCH_2000_S) * 1_000_000
              + reading.at().getNano() / 1000;
      buffer.putShort((short) 2).putInt(8).putLong(micros).putInt(8).putDouble(reading.celsius());
      rising &= before == null || reading.at().isAfter(before.at());
      before = reading;
      rows++;
    }

    private void flush() {
      try {
        copy.writeToCopy(buffer.array(), 0, buffer.position());
        buffer.clear();
      } catch (SQLException e) {
        throw new UncheckedIOException(new IOException(e));
      }
    }

    void end() throws SQLException {
      if (buffer.remaining() < 2) {
        flush();
      }
      buffer.putShort((short) -1);
      flush();
      copy.endCopy();
    }
  }
}
