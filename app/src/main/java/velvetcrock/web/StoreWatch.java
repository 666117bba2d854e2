package velvetcrock.web;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Asks the database every second whether it is there, over a line of its own, so that pages can say
 * that it is away instead of waiting for it, and go on by themselves once it is back.
 */
@Component("store")
class StoreWatch implements SmartLifecycle, HealthIndicator {
  private static final int PATIENCE_SECONDS = 1;

  /** It answered that all its lines are taken: those that the pool holds are as good as before. */
  private static final String NONE_TO_SPARE = "53300";

  private final StoreLine store;
  private @Nullable ScheduledExecutorService clock;
  private @Nullable Connection line;
  private volatile boolean away;

  StoreWatch(StoreLine store) {
    this.store = store;
  }

  /** Whether the last look found no database; one without a line to spare is there. */
  boolean away() {
    return away;
  }

  /** Looks once, and remembers what it found. */
  synchronized void look() {
    try {
      if (line == null || !line.isValid(PATIENCE_SECONDS)) {
        hangUp();
        line = store.open("velvetcrock watch", PATIENCE_SECONDS);
      }
      away = false;
    } catch (SQLException gone) {
      hangUp();
      away = !NONE_TO_SPARE.equals(gone.getSQLState());
    }
  }

  private void hangUp() {
    try {
      if (line != null) {
        line.close();
      }
    } catch (SQLException broken) {
      // it is gone either way
    }
    line = null;
  }

  @Override
  public Health health() {
    return away ? Health.down().build() : Health.up().build();
  }

  @Override
  public void start() {
    clock =
        Executors.newSingleThreadScheduledExecutor(
            work -> {
              Thread thread = new Thread(work, "store watch");
              thread.setDaemon(true);
              return thread;
            });
    clock.scheduleWithFixedDelay(this::look, 1, 1, TimeUnit.SECONDS);
  }

  @Override
  public synchronized void stop() {
    if (clock != null) {
      clock.shutdownNow();
      clock = null;
    }
    hangUp();
  }

  @Override
  public boolean isRunning() {
    return clock != null;
  }
}
