package velvetcrock.shelf;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import velvetcrock.batch.Batches;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Places;
import velvetcrock.web.WorthCalling;

/** What the round wants now, and the timers that are over. */
@Component
class RoundCalls implements WorthCalling {
  private static final String ROUND = "/round";

  private final RoundReader reader;
  private final Places places;
  private final Batches batches;
  private final Households households;

  RoundCalls(RoundReader reader, Places places, Batches batches, Households households) {
    this.reader = reader;
    this.places = places;
    this.batches = batches;
    this.households = households;
  }

  @Override
  public List<Call> calls() {
    Household house = households.current();
    RoundView round =
        reader.round(house, places.all(), batches.standing(), households.formats(house));
    return Stream.concat(
            round.timers().stream()
                .filter(RoundView.Timer::over)
                .map(t -> new Call("timer/" + t.id(), t.words() + ": time is up", ROUND, true)),
            Stream.concat(
                    round.stops().stream().flatMap(stop -> stop.items().stream()),
                    round.works().stream())
                .flatMap(RoundCalls::calls))
        .toList();
  }

  /** Jars that are visited together call one by one: a call is not renewed as they are ticked. */
  private static Stream<Call> calls(RoundView.Item item) {
    if (item.visit() == null) {
      return Stream.of(call(item.says().subject(), item.code(), item));
    }
    return item.visit().jars().stream().map(jar -> call(jar.code(), jar.code(), item));
  }

  private static Call call(String subject, String code, RoundView.Item item) {
    String words =
        code.isEmpty() || item.words().contains(code) ? item.words() : code + ": " + item.words();
    return new Call(subject + "/" + item.says().kind(), words, ROUND, false);
  }
}
