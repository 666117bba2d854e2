package velvetcrock.away;

import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.web.WorthKeeping;

/** The pages that a phone shows by itself: what waits, and a lid to scan. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Shell implements WorthKeeping {
  @Override
  public List<Page> pages() {
    return List.of(new Page(AwayController.WAITING, ""), new Page("/lid", ""));
  }
}
