package velvetcrock.batch;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javax.sql.DataSource;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.stereotype.Repository;
import velvetcrock.core.FigureRow;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.web.CurrentHousehold;

/**
 * Temperatures of a batch. The database itself says whose they are; see {@code household_at_hand}.
 * What has been there for long lies packed besides, so that a million come back within a second: a
 * pack holds all until a moment, and is believed only while the table has as many until then.
 */
@Repository
class ReadingStore {
  private static final int ROWS_A_FETCH = 20_000;

  /** So few read back row by row are felt by whoever waits for a page. */
  private static final int FELT = 2_000;

  /**
   * All are packed anew each time: where they are many, that waits for a tenth more, or for as many
   * as are long to read back.
   */
  private static final int TENTH = 10;

  static final String SPAN_HOURS =
      """
      select extract(epoch from
        (select at from reading where batch_id = ? order by at desc limit 1)
        - (select at from reading where batch_id = ? order by at limit 1)) / 3600""";

  private static final String PACKED =
      """
      select packed, upto, readings, thinned from reading_pack p where batch_id = ? and readings =
        (select count(*) from reading r where r.batch_id = p.batch_id and r.at <= p.upto)""";

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final ApplicationEventPublisher events;

  ReadingStore(JdbcTemplate jdbc, CurrentHousehold current, ApplicationEventPublisher events) {
    this.jdbc = jdbc;
    this.current = current;
    this.events = events;
  }

  /**
   * Adds readings; those of a time that is there already are passed over. Needs a transaction.
   *
   * @param importNumber names the file that they came in; 0 for none
   * @param feed hands every reading to the sink
   */
  ReadingLoad.Loaded load(UUID batchId, int importNumber, Consumer<Consumer<Reading>> feed) {
    DataSource store = Objects.requireNonNull(jdbc.getDataSource());
    Connection ours = DataSourceUtils.getConnection(store);
    try {
      return new ReadingLoad(ours, batchId, importNumber).of(feed);
    } finally {
      DataSourceUtils.releaseConnection(ours, store);
    }
  }

  /** Takes back what one file brought; returns how many. */
  int unload(UUID batchId, int importNumber) {
    unpack(batchId);
    return jdbc.update(
        "delete from reading where batch_id = ? and import_number = ?", batchId, importNumber);
  }

  /**
   * All of a batch, in order.
   *
   * @param rows how many the table has, those of one millisecond counted each
   * @param unpacked how many of them no pack held
   * @param upto when the last was taken
   * @param thinned whether they were thinned
   */
  private record All(Series series, int rows, int unpacked, OffsetDateTime upto, boolean thinned) {
    boolean worthPacking() {
      return unpacked >= Math.min(BatchReadings.MANY, Math.max(FELT, rows / TENTH));
    }
  }

  /**
   * All of a batch, in order. Needs a transaction, so that they come in portions. Where that was
   * long, they are packed a moment later.
   */
  Series series(UUID batchId) {
    All all = all(batchId);
    if (all.worthPacking()) {
      events.publishEvent(new PackReadings.Unpacked(current.id(), batchId));
    }
    return all.series();
  }

  private All all(UUID batchId) {
    Rows rows =
        jdbc.query(PACKED, (row, n) -> new Rows(row), batchId).stream()
            .findFirst()
            .orElseGet(Rows::new);
    int packed = rows.count;
    jdbc.query(
        connection -> {
          var statement =
              connection.prepareStatement(
                  "select floor(extract(epoch from at) * 1000)::bigint, celsius, at from reading"
                      + " where batch_id = ? and at > ? order by at");
          statement.setFetchSize(ROWS_A_FETCH);
          statement.setObject(1, batchId);
          statement.setObject(2, rows.upto);
          return statement;
        },
        rows::add);
    return new All(rows.series.build(), rows.count, rows.count - packed, rows.upto, rows.thinned);
  }

  /** Rows as they are read back, on what a pack held. */
  private static final class Rows {
    private final Series.Builder series;
    private final boolean thinned;
    private OffsetDateTime upto;
    private int count;

    Rows() {
      series = Series.builder();
      thinned = false;
      upto = OffsetDateTime.MIN;
    }

    Rows(ResultSet pack) throws SQLException {
      series = PackedSeries.unpacked(pack.getBytes(1));
      upto = pack.getObject(2, OffsetDateTime.class);
      count = pack.getInt(3);
      thinned = pack.getBoolean(4);
    }

    void add(ResultSet row) throws SQLException {
      series.addUnlessSame(row.getLong(1), row.getDouble(2));
      upto = row.getObject(3, OffsetDateTime.class);
      count++;
    }
  }

  /** Packs what is not packed yet, where there is much of it. Returns whether it did. */
  boolean pack(UUID batchId) {
    All all = all(batchId);
    if (all.worthPacking()) {
      keepPacked(batchId, all, false);
    }
    return all.worthPacking();
  }

  private void keepPacked(UUID batchId, All all, boolean thinned) {
    jdbc.update(
        """
        insert into reading_pack (batch_id, upto, readings, thinned, packed) values (?, ?, ?, ?, ?)
        on conflict (household_id, batch_id) do update set upto = excluded.upto,
          readings = excluded.readings, thinned = excluded.thinned, packed = excluded.packed""",
        batchId,
        all.upto(),
        all.rows(),
        thinned,
        PackedSeries.of(all.series()));
  }

  /** Has the database count those of a batch and of whoever's lie beside them, to plan by. */
  void countAnew(UUID batchId) {
    jdbc.query("select count_readings_anew(?)", row -> {}, batchId);
  }

  /** What was kept besides a pack of what it comes to. */
  Optional<FigureRow> outline(UUID batchId) {
    return jdbc
        .queryForList(
            "select outline from reading_pack where batch_id = ? and outline is not null",
            byte[].class,
            batchId)
        .stream()
        .findFirst()
        .map(PackedFigures::unpacked);
  }

  /** Keeps that; nothing where nothing is packed. */
  void keepOutline(UUID batchId, FigureRow outline) {
    byte[] packed = PackedFigures.of(outline);
    jdbc.update("update reading_pack set outline = ? where batch_id = ?", packed, batchId);
  }

  /** Readings of a batch after a moment, in order; so many at most. */
  List<Reading> after(UUID batchId, Instant moment, int most) {
    return jdbc.query(
        "select at, celsius from reading where batch_id = ? and at > ? order by at limit ?",
        (row, n) -> new Reading(row.getTimestamp(1).toInstant(), row.getDouble(2)),
        batchId,
        Timestamp.from(moment),
        most);
  }

  private void unpack(UUID batchId) {
    jdbc.update("delete from reading_pack where batch_id = ?", batchId);
  }

  /** Codes of batches that are done, with readings all older than a moment and not thinned yet. */
  List<String> toThin(Instant before) {
    return jdbc.queryForList(
        """
        select code from batch b where status in ('FINISHED', 'THROWN_OUT')
          and not exists (select from reading_pack where batch_id = b.id and thinned)
          and exists (select from reading where batch_id = b.id)
          and not exists (select from reading where batch_id = b.id and at >= ?)""",
        String.class,
        Timestamp.from(before));
  }

  /**
   * Lets all go of a batch but some of its readings.
   *
   * @param rule which ones stay
   * @return how many went
   */
  int thin(UUID batchId, UnaryOperator<Series> rule) {
    Series kept = rule.apply(all(batchId).series());
    Long[] millis = new Long[kept.size()];
    for (int i = 0; i < millis.length; i++) {
      millis[i] = kept.millis(i);
    }
    unpack(batchId);
    int gone =
        jdbc.update(
            """
            delete from reading where batch_id = ? and not exists (select from unnest(?::bigint[])
              as kept (millis) where millis = floor(extract(epoch from at) * 1000)::bigint)""",
            batchId,
            millis);
    keepPacked(batchId, all(batchId), true);
    return gone;
  }

  /**
   * Hours from the first reading of a batch to the last; 0 with fewer than two. Each is looked for
   * at its end of the key. By max and min all are read where the database believes that there is
   * one, as it does for a while if it counted as a million were being written.
   */
  double spanHours(UUID batchId) {
    Double hours = jdbc.queryForObject(SPAN_HOURS, Double.class, batchId, batchId);
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
}
