package velvetcrock.erasure;

import java.util.concurrent.TimeUnit;
import net.javacrumbs.shedlock.spring.annotation.SchedulerLock;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Erases what is due four times a day; a house may be switched off at night. */
@Component
public class EraseWhatIsDue {
  private final Erasure erasure;

  EraseWhatIsDue(Erasure erasure) {
    this.erasure = erasure;
  }

  /** Does it, unless another instance is at it or just was. */
  @Scheduled(initialDelay = 5, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
  @SchedulerLock(name = "erase", lockAtMostFor = "PT6H", lockAtLeastFor = "PT5H")
  public void run() {
    erasure.erase();
  }
}
