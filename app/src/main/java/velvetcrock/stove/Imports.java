package velvetcrock.stove;

import jakarta.annotation.PreDestroy;
import java.io.BufferedInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.batch.BatchReadings;
import velvetcrock.batch.BatchRecord;
import velvetcrock.core.Refused;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.web.CatchUp;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.StoreTrouble;
import velvetcrock.web.ThisInstance;

/**
 * Reads loggers' files, one after another, while their senders go on. A file is taken in one
 * transaction: what it brought is all there or not at all, and can be taken back as a whole.
 */
@Service
class Imports {
  private static final Duration AGAIN = Duration.ofSeconds(3);
  private static final Logger LOG = LoggerFactory.getLogger(Imports.class);

  /** So many bad lines are kept word by word; beyond that they are only counted. */
  static final int MOST_REJECTED_KEPT = 20_000;

  private static final int LONGEST_NAME = 120;

  private final ReadingImportRepository imports;
  private final BatchReadings readings;
  private final CurrentHousehold current;
  private final TransactionTemplate transactions;
  private final JdbcTemplate jdbc;
  private final CatchUp households;
  private final Clock clock;
  private final ThisInstance me;
  private final Map<UUID, Waiting> waiting = new ConcurrentHashMap<>();
  private final Map<UUID, Progress> progress = new ConcurrentHashMap<>();
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(
          work -> {
            Thread thread = new Thread(work, "imports");
            thread.setDaemon(true);
            return thread;
          });

  Imports(
      ReadingImportRepository imports,
      BatchReadings readings,
      CurrentHousehold current,
      TransactionTemplate transactions,
      JdbcTemplate jdbc,
      CatchUp households,
      Clock clock,
      ThisInstance me) {
    this.me = me;
    this.imports = imports;
    this.readings = readings;
    this.current = current;
    this.transactions = transactions;
    this.jdbc = jdbc;
    this.households = households;
    this.clock = clock;
  }

  /** A file that waits to be read, with what has to be asked and what was said. */
  private record Waiting(
      Path file, LoggerFile logger, Set<LoggerFile.Question> questions, LoggerFile.Choices said) {}

  /** A bad line. */
  record Rejected(long line, String why) {}

  private record Sender(UUID householdId, String displayName) implements InHousehold {}

  /** How far the reading is. */
  static final class Progress {
    private volatile long bytesRead;
    private volatile long lines;
    private volatile long rejected;

    long bytesRead() {
      return bytesRead;
    }

    long lines() {
      return lines;
    }

    long rejected() {
      return rejected;
    }
  }

  /**
   * What was being read when its instance went down was not taken: its readings and the word that
   * they were taken are stored together or not at all. What another instance reads is its own.
   */
  @EventListener(ApplicationReadyEvent.class)
  void forgetInterrupted() {
    households.atStart(
        () ->
            households.inThese(
                jdbc.queryForList("select households_with_open_imports()", UUID.class),
                () ->
                    transactions.executeWithoutResult(
                        status ->
                            jdbc.update(
                                """
                        update reading_import set status = 'REFUSED', finished_at = now(),
                          message = 'It was interrupted, and nothing was taken. Send it again.'
                        where status in ('READING', 'ASKED') and not exists (select from
                          pg_stat_activity where application_name = 'velvetcrock ' || held_by)"""))));
  }

  /**
   * Takes a file in and begins to read it, if it says all that has to be known.
   *
   * @param name as its sender calls it
   * @param file its content
   * @param choices for what it does not say; {@code UNKNOWN} to be asked
   * @return the import
   */
  UUID send(BatchRecord batch, String name, InputStream file, LoggerFile.Choices choices) {
    String called = name.isBlank() ? "readings.csv" : name.strip();
    String shortened = called.length() > LONGEST_NAME ? called.substring(0, LONGEST_NAME) : called;
    String by = current.name();
    Path kept = keep(file);
    ReadingImport row =
        new ReadingImport(batch.id(), shortened, size(kept), by, me.id(), clock.instant());
    try {
      imports.save(row);
    } catch (RuntimeException away) {
      delete(kept);
      throw away;
    }
    try (InputStream in = Files.newInputStream(kept)) {
      LoggerFile logger = LoggerFile.of(in);
      Set<LoggerFile.Question> open = open(logger, choices);
      waiting.put(row.id(), new Waiting(kept, logger, open, choices));
      if (open.isEmpty()) {
        begin(batch, row.id(), choices);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (Refused refused) {
      delete(kept);
      finish(row.id(), r -> r.refused(message(refused), 0, 0, clock.instant()));
    }
    return row.id();
  }

  private static String message(Refused refused) {
    return refused.problems().get(0).message();
  }

  private static Set<LoggerFile.Question> open(LoggerFile logger, LoggerFile.Choices choices) {
    Set<LoggerFile.Question> open = logger.questions();
    if (choices.scale() != LoggerFile.Scale.UNKNOWN) {
      open.remove(LoggerFile.Question.SCALE);
    }
    if (choices.monthFirst() != null) {
      open.remove(LoggerFile.Question.ORDER);
    }
    return open;
  }

  /** What a file has to be asked before it can be read; empty if nothing. */
  Set<LoggerFile.Question> questions(UUID id) {
    return Optional.ofNullable(waiting.get(id)).map(Waiting::questions).orElse(Set.of());
  }

  /** Reads a file that was asked about, as it was answered. */
  void answer(BatchRecord batch, UUID id, LoggerFile.Choices choices) {
    find(batch, id);
    if (waiting.containsKey(id)) {
      begin(batch, id, choices);
    }
  }

  private void begin(BatchRecord batch, UUID id, LoggerFile.Choices answered) {
    Waiting file = waiting.remove(id);
    LoggerFile.Choices choices = answered.over(file.said());
    progress.put(id, new Progress());
    finish(id, row -> row.reading(file.logger().readAs(choices)));
    Sender sender = new Sender(current.id(), current.name());
    worker.execute(
        () ->
            current.actingAs(
                sender,
                () -> {
                  read(batch, id, file, choices);
                  return null;
                }));
  }

  private void read(BatchRecord batch, UUID id, Waiting file, LoggerFile.Choices choices) {
    Progress far = progress.get(id);
    Rejections bad = new Rejections(far);
    boolean askedAgain = false;
    try {
      int number = imports.findById(id).orElseThrow().number();
      Instant earliest = readings.earliest(batch);
      transactions.executeWithoutResult(
          status -> {
            BatchReadings.Loaded loaded =
                readings.load(
                    batch,
                    number,
                    sink -> feed(file, choices, far, bad, at -> at.isBefore(earliest), sink));
            keepRejected(id, bad.kept);
            imports
                .findById(id)
                .orElseThrow()
                .taken(far.lines, loaded.accepted(), loaded.repeated(), bad.count, clock.instant());
          });
    } catch (Refused refused) {
      askedAgain = refused.names(LoggerFile.CLOCK_FIELD);
      if (askedAgain) {
        waiting.put(
            id,
            new Waiting(
                file.file(), file.logger(), EnumSet.of(LoggerFile.Question.CLOCK), choices));
        finish(id, ReadingImport::askAgain);
      } else {
        refuse(id, message(refused), far, bad);
      }
    } catch (RuntimeException e) {
      LOG.warn("A file of readings was not taken", e);
      refuse(id, "It could not be read to its end, and nothing was taken.", far, bad);
    } finally {
      progress.remove(id);
      if (!askedAgain) {
        delete(file.file());
      }
    }
  }

  /** Where the store is away, it waits: until it is back no other file could be taken either. */
  private void refuse(UUID id, String why, Progress far, Rejections bad) {
    while (!worker.isShutdown()) {
      try {
        transactions.executeWithoutResult(
            status -> {
              keepRejected(id, bad.kept);
              imports
                  .findById(id)
                  .orElseThrow()
                  .refused(why, far.lines, bad.count, clock.instant());
            });
        return;
      } catch (RuntimeException failed) {
        if (StoreTrouble.of(failed).isEmpty()) {
          throw failed;
        }
        LOG.info("That a file was not taken is said later: {}", failed.getMessage());
        LockSupport.parkNanos(AGAIN.toNanos());
      }
    }
  }

  private static void feed(
      Waiting file,
      LoggerFile.Choices choices,
      Progress far,
      Rejections bad,
      Predicate<Instant> tooEarly,
      Consumer<Reading> sink) {
    long[] good = {0};
    try (InputStream in =
        new Counting(new BufferedInputStream(Files.newInputStream(file.file())), far)) {
      file.logger()
          .read(
              in,
              choices,
              new LoggerFile.Sink() {
                @Override
                public void reading(long line, Reading reading) {
                  far.lines++;
                  if (tooEarly.test(reading.at())) {
                    bad.add(line, "That was before the jar was charged.");
                    return;
                  }
                  good[0]++;
                  sink.accept(reading);
                }

                @Override
                public void rejected(long line, String why) {
                  far.lines++;
                  bad.add(line, why);
                }
              });
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    if (good[0] == 0) {
      throw new Refused(
          "file",
          bad.count == 0
              ? "There is no line below its header."
              : "Not one line could be read. The first: " + bad.kept.get(0).why());
    }
  }

  /** Bad lines: all counted, the first of them kept. */
  private static final class Rejections {
    private final List<Rejected> kept = new ArrayList<>();
    private final Progress far;
    private long count;

    Rejections(Progress far) {
      this.far = far;
    }

    void add(long line, String why) {
      count++;
      far.rejected = count;
      if (kept.size() < MOST_REJECTED_KEPT) {
        kept.add(new Rejected(line, why));
      }
    }
  }

  /** Counts what is read of a file. */
  private static final class Counting extends FilterInputStream {
    private final Progress far;

    Counting(InputStream in, Progress far) {
      super(in);
      this.far = far;
    }

    @Override
    public int read(byte[] bytes, int from, int length) throws IOException {
      int read = super.read(bytes, from, length);
      far.bytesRead += Math.max(0, read);
      return read;
    }
  }

  private void keepRejected(UUID id, List<Rejected> bad) {
    jdbc.batchUpdate(
        "insert into reading_rejected (import_id, line, why) values (?, ?, ?)"
            + " on conflict do nothing",
        bad,
        1000,
        (row, rejected) -> {
          row.setObject(1, id);
          row.setLong(2, rejected.line());
          row.setString(3, rejected.why());
        });
  }

  private void finish(UUID id, Consumer<ReadingImport> change) {
    transactions.executeWithoutResult(status -> change.accept(imports.findById(id).orElseThrow()));
  }

  /** How far a file that is being read is. */
  Optional<Progress> progress(UUID id) {
    return Optional.ofNullable(progress.get(id));
  }

  /**
   * One of a batch.
   *
   * @throws NotFound if there is none
   */
  ReadingImport find(BatchRecord batch, UUID id) {
    return imports
        .findByIdAndBatchId(id, batch.id())
        .orElseThrow(() -> new NotFound("There is no such file of " + batch.code() + "."));
  }

  /** The newest of a batch. */
  List<ReadingImport> of(BatchRecord batch) {
    return imports.findTop20ByBatchIdOrderByStartedAtDesc(batch.id());
  }

  /** The first bad lines of one. */
  @Transactional(readOnly = true)
  List<Rejected> rejected(UUID id, int most) {
    return jdbc.query(
        "select line, why from reading_rejected where import_id = ? order by line limit ?",
        (row, i) -> new Rejected(row.getLong(1), row.getString(2)),
        id,
        most);
  }

  /**
   * Takes back what a file brought.
   *
   * @return how many readings went
   * @throws Refused if it brought none
   */
  int undo(BatchRecord batch, UUID id) {
    ReadingImport row = find(batch, id);
    if (row.status() != ReadingImport.Status.TAKEN) {
      throw new Refused("import", "There is nothing of it to take back.");
    }
    Integer gone =
        transactions.execute(
            status -> {
              imports.findById(id).orElseThrow().undone();
              return readings.unload(batch, row.number());
            });
    return gone == null ? 0 : gone;
  }

  private static Path keep(InputStream file) {
    Path kept = null;
    try {
      kept = Files.createTempFile("readings", ".csv");
      Files.copy(file, kept, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
      return kept;
    } catch (IOException e) {
      if (kept != null) {
        delete(kept);
      }
      throw new UncheckedIOException(e);
    }
  }

  private static long size(Path file) {
    try {
      return Files.size(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void delete(Path file) {
    try {
      Files.deleteIfExists(file);
    } catch (IOException e) {
      LOG.info("A file that was read stays: {}", e.getMessage());
    }
  }

  @PreDestroy
  void close() {
    worker.shutdown();
    waiting.values().forEach(w -> delete(w.file()));
  }
}
