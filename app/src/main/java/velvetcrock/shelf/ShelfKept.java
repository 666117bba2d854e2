package velvetcrock.shelf;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.WorthKeeping;

/** The shelf, the round with its timers, and the page of every jar that stands. */
@Component
@Order(1)
class ShelfKept implements WorthKeeping {
  /** A shelf of more jars than that is kept in part: those in front. */
  private static final int MOST = 60;

  private final Batches batches;
  private final Households households;

  ShelfKept(Batches batches, Households households) {
    this.batches = batches;
    this.households = households;
  }

  @Override
  public List<Page> pages() {
    Household house = households.current();
    String day = "/" + households.today(house);
    List<BatchRecord> jars = batches.standing().stream().limit(MOST).toList();
    Stream<Page> their = jars.stream().map(jar -> page(jar, "", jar.state().entries() + day));
    Stream<Page> colours =
        jars.stream()
            .filter(jar -> jar.state().status() == Status.INFUSING)
            .map(jar -> page(jar, "/colour", jar.state().entries() + day));
    return Stream.of(Stream.of(new Page("/", ""), new Page("/round", "")), their, colours)
        .flatMap(pages -> pages)
        .toList();
  }

  private static Page page(BatchRecord jar, String of, String stamp) {
    return new Page("/batches/" + jar.code() + of, stamp);
  }
}
