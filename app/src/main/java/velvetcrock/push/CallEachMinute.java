package velvetcrock.push;

import java.util.concurrent.TimeUnit;
import net.javacrumbs.shedlock.spring.annotation.SchedulerLock;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Calls closed phones once a minute, however many instances there are. */
@Component
public class CallEachMinute {
  private final Caller caller;

  CallEachMinute(Caller caller) {
    this.caller = caller;
  }

  /** Does it, unless another instance is at it or just was. */
  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
  @SchedulerLock(name = "call", lockAtMostFor = "PT10M", lockAtLeastFor = "PT50S")
  public void run() {
    caller.call();
  }
}
