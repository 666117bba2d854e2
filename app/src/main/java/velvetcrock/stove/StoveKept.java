package velvetcrock.stove;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.batch.Batches;
import velvetcrock.web.WorthKeeping;

/** The stove, and every pot that stands on it. */
@Component
@Order(2)
class StoveKept implements WorthKeeping {
  private final Batches batches;

  StoveKept(Batches batches) {
    this.batches = batches;
  }

  @Override
  public List<Page> pages() {
    return Stream.concat(
            Stream.of("/stove"),
            batches.standing().stream()
                .filter(jar -> jar.state().heat().now().isPresent())
                .map(jar -> "/stove/" + jar.code())
                .flatMap(page -> Stream.of(page, page + "/beside")))
        .map(path -> new Page(path, ""))
        .toList();
  }
}
