package velvetcrock.batch;

import java.sql.Connection;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import velvetcrock.core.jar.BatchReckoning.Reading;

/**
 * Readings of a batch on their way into the store, by the connection of the transaction that runs.
 * While one portion is stored the next is read.
 */
final class ReadingLoad {
  private static final String ADD =
      """
      insert into reading (batch_id, at, celsius, import_number, household_id)
      select ?, 'epoch'::timestamptz + micros * interval '1 microsecond', celsius, ?,
        (select household_at_hand())
      from unnest(?::bigint[], ?::float8[]) as came (micros, celsius)""";

  private static final String UNLESS_THERE = ADD + " on conflict do nothing";

  private static final ExecutorService BESIDE =
      Executors.newCachedThreadPool(
          work -> {
            Thread thread = new Thread(work, "readings");
            thread.setDaemon(true);
            return thread;
          });

  private final JdbcTemplate line;
  private final UUID batchId;
  private final int importNumber;
  private CompletableFuture<Integer> putting = CompletableFuture.completedFuture(0);
  private Portion portion = new Portion();
  private Portion spare = new Portion();
  private long came;
  private long accepted;

  ReadingLoad(Connection ours, UUID batchId, int importNumber) {
    this.line = new JdbcTemplate(new SingleConnectionDataSource(ours, true));
    this.batchId = batchId;
    this.importNumber = importNumber;
  }

  /**
   * What became of readings.
   *
   * @param accepted how many are new
   * @param repeated how many are of times that were there already, or twice among them
   * @param few the new ones, in order, where they came in one portion; else empty
   */
  record Loaded(long accepted, long repeated, List<Reading> few) {}

  /** Takes whatever the feed hands over. */
  Loaded of(Consumer<Consumer<Reading>> feed) {
    try {
      feed.accept(this::take);
    } catch (RuntimeException | Error e) {
      putting.exceptionally(failed -> 0).join();
      throw e;
    }
    if (came > portion.size()) {
      putBeside();
      waitForIt();
      return new Loaded(accepted, came - accepted, List.of());
    }
    List<Reading> few = putFew();
    return new Loaded(few.size(), came - few.size(), few);
  }

  private void take(Reading reading) {
    if (portion.full()) {
      putBeside();
    }
    portion.add(reading);
    came++;
  }

  private void putBeside() {
    waitForIt();
    Portion full = portion;
    putting = CompletableFuture.supplyAsync(() -> put(full), BESIDE);
    portion = spare;
    portion.clear();
    spare = full;
  }

  private void waitForIt() {
    try {
      accepted += putting.join();
    } catch (CompletionException failed) {
      throw failed.getCause() instanceof RuntimeException known ? known : failed;
    }
    putting = CompletableFuture.completedFuture(0);
  }

  /**
   * To look for each reading whether it is there costs half as much again as to add it. Where
   * nothing is there of all that time they are added blindly; who did so at the same moment waits
   * for us or we for him, and then they are looked for after all.
   */
  private int put(Portion full) {
    if (full.rising() && none(full)) {
      line.execute("savepoint portion");
      try {
        int added = put(ADD, full);
        line.execute("release savepoint portion");
        return added;
      } catch (DuplicateKeyException atOnce) {
        line.execute("rollback to savepoint portion");
      }
    }
    return put(UNLESS_THERE, full);
  }

  private int put(String add, Portion full) {
    return line.update(add, batchId, importNumber, full.micros(), full.celsius());
  }

  private boolean none(Portion full) {
    return Boolean.TRUE.equals(
        line.queryForObject(
            "select not exists (select from reading where batch_id = ? and at between ? and ?)",
            Boolean.class,
            batchId,
            Timestamp.from(full.first()),
            Timestamp.from(full.last())));
  }

  private List<Reading> putFew() {
    return line.query(
        "with added as ("
            + UNLESS_THERE
            + " returning at, celsius) select at, celsius from added order by at",
        (row, n) -> new Reading(row.getTimestamp(1).toInstant(), row.getDouble(2)),
        batchId,
        importNumber,
        portion.micros(),
        portion.celsius());
  }

  /** Readings that go to the database together. */
  private static final class Portion {
    private static final int MOST = 10_000;

    private static final int MICROS = 1_000_000;

    private long[] micros = new long[1];
    private double[] celsius = new double[1];
    private int size;

    boolean full() {
      return size == MOST;
    }

    int size() {
      return size;
    }

    void add(Reading reading) {
      if (size == micros.length) {
        micros = Arrays.copyOf(micros, Math.min(MOST, size * 4));
        celsius = Arrays.copyOf(celsius, micros.length);
      }
      micros[size] = reading.at().getEpochSecond() * MICROS + reading.at().getNano() / 1000;
      celsius[size] = reading.celsius();
      size++;
    }

    void clear() {
      size = 0;
    }

    /** Whether each is later than the one before. */
    boolean rising() {
      for (int i = 1; i < size; i++) {
        if (micros[i] <= micros[i - 1]) {
          return false;
        }
      }
      return true;
    }

    Instant first() {
      return at(0);
    }

    Instant last() {
      return at(size - 1);
    }

    private Instant at(int i) {
      return Instant.EPOCH.plus(micros[i], ChronoUnit.MICROS);
    }

    long[] micros() {
      return Arrays.copyOf(micros, size);
    }

    double[] celsius() {
      return Arrays.copyOf(celsius, size);
    }
  }
}
