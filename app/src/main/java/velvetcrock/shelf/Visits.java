package velvetcrock.shelf;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import velvetcrock.shelf.RoundView.Item;
import velvetcrock.shelf.RoundView.Jar;
import velvetcrock.shelf.RoundView.Says;
import velvetcrock.shelf.RoundView.Stop;
import velvetcrock.shelf.RoundView.Visit;

/** Puts visits to jars that stand together into one line. */
final class Visits {
  private Visits() {}

  /**
   * A stop with what is to be done in one go as one thing, without what is work; it may be empty.
   */
  static List<Stop> together(Stop stop) {
    List<Item> items = new ArrayList<>();
    Map<String, List<Item>> visits = new LinkedHashMap<>();
    for (Item item : stop.items()) {
      Visit visit = item.visit();
      if (visit != null) {
        visits.computeIfAbsent(visit.logs() + item.says().kind(), v -> new ArrayList<>()).add(item);
      } else if (!item.work()) {
        items.add(item);
      }
    }
    visits.values().forEach(same -> items.add(one(same)));
    return items.isEmpty() ? List.of() : List.of(new Stop(stop.place(), items));
  }

  private static Item one(List<Item> same) {
    Item first = same.get(0);
    if (same.size() == 1) {
      return first;
    }
    List<Jar> jars = same.stream().flatMap(i -> i.visit().jars().stream()).toList();
    String codes = jars.stream().map(Jar::code).collect(Collectors.joining(","));
    return new Item(
        codes,
        first.words(),
        "",
        false,
        null,
        "",
        "/round",
        "",
        new Visit(first.visit().acts(), jars),
        new Says(codes, first.says().kind()));
  }
}
