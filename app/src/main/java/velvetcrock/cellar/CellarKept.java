package velvetcrock.cellar;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.web.WorthKeeping;

/** The cellar, whose bottles are drawn from where no wireless network reaches. */
@Component
@Order(4)
class CellarKept implements WorthKeeping {
  @Override
  public List<Page> pages() {
    return List.of(new Page("/cellar", ""));
  }
}
