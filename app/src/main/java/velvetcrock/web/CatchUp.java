package velvetcrock.web;

import jakarta.annotation.PreDestroy;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Does for what was stored by an earlier version what a newer one does as it stores. In somebody’s
 * own house before the doors open; where there are many households beside what goes on. Once all
 * are through, for an hour, in which an earlier version may still write, those that wrote since;
 * then not again.
 */
@Component
public class CatchUp {
  private static final Logger LOG = LoggerFactory.getLogger(CatchUp.class);

  private static final String DONE =
      "select exists (select from caught_up where what = ? and done_at < now() - interval '1 hour')";

  /** What comes after this moment, by the database's own count of what was begun. */
  private static final String NOW = "select pg_snapshot_xmin(pg_current_snapshot())::text";

  private static final String THROUGH =
      """
      insert into caught_up (what, done_at, since) values (?, now(), ?::xid8)
        on conflict (what) do update set since = excluded.since""";

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final TransactionTemplate transactions;
  private final int few;
  private final ExecutorService beside =
      Executors.newSingleThreadExecutor(
          work -> {
            Thread thread = new Thread(work, "catching up");
            thread.setDaemon(true);
            return thread;
          });

  CatchUp(
      JdbcTemplate jdbc,
      CurrentHousehold current,
      TransactionTemplate transactions,
      @Value("${velvetcrock.few-households}") int few) {
    this.few = few;
    this.jdbc = jdbc;
    this.current = current;
    this.transactions = transactions;
  }

  private record Scribe(UUID householdId, String displayName) implements InHousehold {}

  /**
   * Does something for each thing that a query finds in any household, on its behalf and in a
   * transaction of its own.
   *
   * @param sql finds a thing’s id a row; once it is done for that thing, no more
   * @param given what stands for the question marks in it
   */
  public void each(String sql, Consumer<UUID> work, Object... given) {
    Runnable ofOne =
        () -> {
          List<UUID> missing =
              transactions.execute(status -> jdbc.queryForList(sql, UUID.class, given));
          Objects.requireNonNull(missing)
              .forEach(id -> transactions.executeWithoutResult(status -> work.accept(id)));
        };
    String what = Secrets.hash(sql + Arrays.toString(given));
    if (current.who().isPresent()) {
      ofOne.run();
    } else if (households().size() <= few) {
      inEach(ofOne);
    } else if (!Boolean.TRUE.equals(jdbc.queryForObject(DONE, Boolean.class, what))) {
      atStart(
          () -> {
            String now = jdbc.queryForObject(NOW, String.class);
            inThese(behind(what), ofOne);
            jdbc.update(THROUGH, what, now);
          });
    }
  }

  /** Those in which something may be found: all, or who wrote since it was looked for. */
  private List<UUID> behind(String what) {
    return jdbc
        .queryForList(
            "select since::text from caught_up where what = ? and since is not null",
            String.class,
            what)
        .stream()
        .findFirst()
        .map(since -> jdbc.queryForList("select households_that_wrote(?::xid8)", UUID.class, since))
        .orElseGet(this::households);
  }

  /** Does something as the application starts: at once, or beside where it would take long. */
  public void atStart(Runnable work) {
    if (households().size() <= few) {
      work.run();
      return;
    }
    beside.execute(
        () -> {
          try {
            work.run();
          } catch (RuntimeException failed) {
            LOG.warn("Catching up ended; at the next start it goes on", failed);
          }
        });
  }

  /**
   * Does something on behalf of each household, one after another; of the one alone that somebody
   * acts for already.
   *
   * @return how many there are
   */
  public int inEach(Runnable work) {
    if (current.who().isPresent()) {
      work.run();
      return 1;
    }
    List<UUID> households = households();
    inThese(households, work);
    return households.size();
  }

  /** Does something on behalf of some households, one after another. */
  public void inThese(List<UUID> households, Runnable work) {
    for (UUID household : households) {
      current.actingAs(
          new Scribe(household, ""),
          () -> {
            work.run();
            return null;
          });
    }
  }

  private List<UUID> households() {
    return jdbc.queryForList("select id from household", UUID.class);
  }

  @PreDestroy
  void close() {
    beside.shutdownNow();
  }
}
