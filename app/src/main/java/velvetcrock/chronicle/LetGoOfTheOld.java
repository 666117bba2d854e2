package velvetcrock.chronicle;

import java.util.concurrent.TimeUnit;
import net.javacrumbs.shedlock.spring.annotation.SchedulerLock;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Lets old lines of what happened go, four times a day. */
@Component
public class LetGoOfTheOld {
  private final Chronicle chronicle;

  LetGoOfTheOld(Chronicle chronicle) {
    this.chronicle = chronicle;
  }

  /** Does it, unless another instance is at it or just was. */
  @Scheduled(initialDelay = 10, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
  @SchedulerLock(name = "let-go", lockAtMostFor = "PT6H", lockAtLeastFor = "PT5H")
  public void run() {
    chronicle.letGo();
  }
}
