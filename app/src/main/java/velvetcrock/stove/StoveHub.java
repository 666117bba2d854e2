package velvetcrock.stove;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.Formats;
import velvetcrock.web.InHousehold;

/**
 * Tells every page that looks at the stove what has changed: four times a second at most, all pots
 * that changed in one message, and every few seconds all of them, so that silence and countdowns
 * are seen. A slow page misses steps in between but never the latest.
 */
@Component
class StoveHub {
  private static final Logger LOG = LoggerFactory.getLogger(StoveHub.class);
  private static final long TICK_MS = 250;
  private static final int ALL_EVERY = 20;
  private static final int WRITERS = 4;

  private final StoveRows rows;
  private final LivePots pots;
  private final Households households;
  private final CurrentHousehold current;
  private final JsonMapper json;
  private final Map<UUID, Set<Page>> pages = new ConcurrentHashMap<>();
  private final Map<UUID, Set<String>> changed = new ConcurrentHashMap<>();
  private final ScheduledExecutorService ticker =
      Executors.newSingleThreadScheduledExecutor(r -> daemon(r, "stove-ticker"));
  private final ExecutorService writers =
      Executors.newFixedThreadPool(WRITERS, r -> daemon(r, "stove-writer"));
  private int tick;
  private volatile boolean closing;

  StoveHub(
      StoveRows rows,
      LivePots pots,
      Households households,
      CurrentHousehold current,
      JsonMapper json) {
    this.rows = rows;
    this.pots = pots;
    this.households = households;
    this.current = current;
    this.json = json;
    ticker.scheduleWithFixedDelay(this::tick, TICK_MS, TICK_MS, TimeUnit.MILLISECONDS);
  }

  private static Thread daemon(Runnable work, String name) {
    Thread thread = new Thread(work, name);
    thread.setDaemon(true);
    return thread;
  }

  private record Looker(UUID householdId, String displayName) implements InHousehold {}

  /** A page that listens. */
  private final class Page {
    private final SseEmitter emitter;
    private final Map<String, PotRow> waiting = new LinkedHashMap<>();
    private boolean busy;

    Page(SseEmitter emitter) {
      this.emitter = emitter;
    }

    synchronized void offer(List<PotRow> news) {
      news.forEach(row -> waiting.put(row.code(), row));
      if (!busy) {
        busy = true;
        writers.execute(this::write);
      }
    }

    private void write() {
      while (true) {
        List<PotRow> now;
        synchronized (this) {
          if (waiting.isEmpty()) {
            busy = false;
            return;
          }
          now = List.copyOf(waiting.values());
          waiting.clear();
        }
        try {
          emitter.send(
              SseEmitter.event()
                  .name("pots")
                  .data(json.writeValueAsString(now), MediaType.TEXT_PLAIN));
        } catch (IOException | RuntimeException gone) {
          LOG.debug("A page of the stove has left", gone);
          emitter.complete();
          return;
        }
      }
    }
  }

  /** Lets a page of the current household listen. */
  SseEmitter listen() {
    UUID household = current.id();
    SseEmitter emitter = new SseEmitter(0L);
    if (closing) {
      emitter.complete();
      return emitter;
    }
    Page page = new Page(emitter);
    Set<Page> all = pages.computeIfAbsent(household, id -> ConcurrentHashMap.newKeySet());
    all.add(page);
    Runnable leave = () -> all.remove(page);
    emitter.onCompletion(leave);
    emitter.onTimeout(leave);
    emitter.onError(e -> leave.run());
    page.offer(rows.all(households.formats(households.current())));
    return emitter;
  }

  /** Something about a batch changed. */
  void changed(UUID household, String code) {
    changed.computeIfAbsent(household, id -> ConcurrentHashMap.newKeySet()).add(code);
  }

  private void tick() {
    try {
      boolean all = ++tick % ALL_EVERY == 0;
      for (Map.Entry<UUID, Set<Page>> entry : pages.entrySet()) {
        Set<String> codes = changed.remove(entry.getKey());
        if (!entry.getValue().isEmpty() && (all || codes != null)) {
          List<PotRow> news = rows(entry.getKey(), all ? Set.of() : codes, all);
          entry.getValue().forEach(page -> page.offer(news));
        }
      }
    } catch (RuntimeException e) {
      LOG.warn("The stove's pages were not told", e);
    }
  }

  private List<PotRow> rows(UUID household, Set<String> codes, boolean all) {
    return current.actingAs(
        new Looker(household, "The stove"),
        () -> {
          Formats fmt = households.formats(households.current());
          return all
              ? rows.all(fmt)
              : codes.stream().map(pots::held).map(pot -> rows.row(pot, fmt)).toList();
        });
  }

  /** Lets the pages go before the server waits for its last answers. */
  @EventListener(ContextClosedEvent.class)
  void close() {
    closing = true;
    ticker.shutdownNow();
    pages.values().forEach(all -> all.forEach(page -> page.emitter.complete()));
    writers.shutdownNow();
  }
}
