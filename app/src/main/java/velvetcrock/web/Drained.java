package velvetcrock.web;

import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Before an instance stops it says for a while that it is not ready, and still answers: whoever
 * shares requests out among several has sent it none by the time that it is gone. Where there is
 * one instance alone, nobody waits.
 */
@Component
class Drained implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(Drained.class);

  private final ApplicationEventPublisher events;
  private final Duration drain;
  private volatile boolean running;

  Drained(
      ApplicationEventPublisher events, @Value("${velvetcrock.drain-seconds}") long drainSeconds) {
    this.events = events;
    this.drain = Duration.ofSeconds(drainSeconds);
  }

  @Override
  public void start() {
    running = true;
  }

  @Override
  public void stop() {
    running = false;
    if (drain.isZero()) {
      return;
    }
    AvailabilityChangeEvent.publish(events, this, ReadinessState.REFUSING_TRAFFIC);
    LOG.info("No more is taken in; what is under way has {} s", drain.toSeconds());
    try {
      Thread.sleep(drain.toMillis());
    } catch (InterruptedException at) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public boolean isRunning() {
    return running;
  }

  /** The first to stop, before the doors are closed. */
  @Override
  public int getPhase() {
    return Integer.MAX_VALUE;
  }
}
