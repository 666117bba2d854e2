package velvetcrock.stove;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.batch.BatchChanged;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.StoreLine;
import velvetcrock.web.ThisInstance;

/**
 * Tells the other instances on the same database what changed at a pot, in the transaction that
 * changed it, and hears it of them. Who was deaf for a moment trusts nothing that it holds.
 */
@Component
class OtherInstances implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(OtherInstances.class);
  private static final String CHANNEL = "velvetcrock_pots";
  private static final int PATIENCE_SECONDS = 5;
  private static final int LISTEN_MS = 1000;

  /** The database carries 8,000 bytes; what is longer is told without its readings. */
  private static final int MOST_BYTES = 7900;

  private final ThisInstance me;
  private final StoreLine store;
  private final JdbcTemplate jdbc;
  private final JsonMapper json;
  private final LivePots pots;
  private final StoveHub hub;
  private final CurrentHousehold current;
  private volatile @Nullable Thread ear;

  OtherInstances(
      ThisInstance me,
      StoreLine store,
      JdbcTemplate jdbc,
      JsonMapper json,
      LivePots pots,
      StoveHub hub,
      CurrentHousehold current) {
    this.me = me;
    this.store = store;
    this.jdbc = jdbc;
    this.json = json;
    this.pots = pots;
    this.hub = hub;
    this.current = current;
  }

  /** What one instance tells the others. */
  private record News(UUID by, BatchChanged change) {}

  @EventListener
  void tell(BatchChanged change) {
    String news = json.writeValueAsString(new News(me.id(), change));
    if (news.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
      BatchChanged all =
          new BatchChanged(
              change.householdId(),
              change.batchId(),
              change.code(),
              BatchChanged.Change.FILE,
              List.of());
      news = json.writeValueAsString(new News(me.id(), all));
    }
    jdbc.queryForList("select pg_notify(?, ?)", CHANNEL, news);
  }

  private void listen() {
    while (running()) {
      try (Connection line = store.open(me.line(), PATIENCE_SECONDS);
          Statement statement = line.createStatement()) {
        statement.execute("listen " + CHANNEL);
        pots.forgetAll();
        PGConnection heard = line.unwrap(PGConnection.class);
        while (running()) {
          PGNotification[] news = heard.getNotifications(LISTEN_MS);
          if (news == null || news.length == 0) {
            statement.execute("select 1");
          } else {
            for (PGNotification one : news) {
              hear(one.getParameter());
            }
          }
        }
      } catch (SQLException gone) {
        LOG.debug("The other instances cannot be heard", gone);
        rest();
      }
    }
  }

  private void hear(String told) {
    try {
      News news = json.readValue(told, News.class);
      if (!news.by().equals(me.id())) {
        BatchChanged change = news.change();
        current.actingAs(
            new Settling.Watcher(change.householdId()),
            () -> {
              pots.storedElsewhere(change);
              return null;
            });
        hub.changed(change.householdId(), change.code());
      }
    } catch (JacksonException strange) {
      // Another version said it in its own way: whatever it was, it is read anew.
      LOG.warn("Another instance said something that is not understood: {}", told, strange);
      pots.forgetAll();
    } catch (RuntimeException failed) {
      LOG.warn("What another instance said could not be followed", failed);
      pots.forgetAll();
    }
  }

  private static void rest() {
    try {
      Thread.sleep(LISTEN_MS);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
    }
  }

  private boolean running() {
    return Thread.currentThread() == ear && !Thread.currentThread().isInterrupted();
  }

  @Override
  public void start() {
    Thread thread = new Thread(this::listen, "other instances");
    thread.setDaemon(true);
    ear = thread;
    thread.start();
  }

  @Override
  public void stop() {
    Thread thread = ear;
    ear = null;
    if (thread != null) {
      thread.interrupt();
    }
  }

  @Override
  public boolean isRunning() {
    return ear != null;
  }
}
