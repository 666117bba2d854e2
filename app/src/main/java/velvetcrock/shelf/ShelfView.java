package velvetcrock.shelf;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.JarView;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.kitchen.Place;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;

/**
 * The planks with their jars, all to one scale.
 *
 * @param empty the planks on which nothing stands, in words; may be empty itself
 * @param tended codes of the jars that infuse and are not lost
 */
record ShelfView(List<Plank> planks, String empty, int jars, Set<String> tended) {
  private static final double PX_PER_MM = 0.95;
  private static final int MOST_READY = 4;

  /** The jars that may be strained or should have been. */
  public List<JarView> ready() {
    return planks.stream()
        .flatMap(p -> p.jars().stream())
        .filter(j -> j.mood().equals("ready") || j.mood().equals("over"))
        .limit(MOST_READY)
        .toList();
  }

  /** A plank with what stands on it. */
  record Plank(String name, String note, List<JarView> jars) {}

  static ShelfView of(
      List<Place> places, List<BatchRecord> standing, Catalogue catalogue, Formats fmt) {
    Map<String, List<JarView>> byPlace = new LinkedHashMap<>();
    places.forEach(place -> byPlace.put(place.id().toString(), new ArrayList<>()));
    for (BatchRecord batch : standing) {
      byPlace
          .computeIfAbsent(batch.state().stand().place(), gone -> new ArrayList<>())
          .add(JarView.of(batch, catalogue, fmt, PX_PER_MM));
    }
    boolean bare = standing.isEmpty();
    List<Plank> planks =
        places.stream()
            .filter(p -> bare || !byPlace.get(p.id().toString()).isEmpty())
            .map(
                p ->
                    new Plank(
                        p.name(),
                        fmt.degrees(p.celsius()) + ", " + EnumWords.of(p.light()),
                        byPlace.get(p.id().toString())))
            .toList();
    String empty =
        places.stream()
            .filter(p -> !bare && byPlace.get(p.id().toString()).isEmpty())
            .map(Place::name)
            .collect(Collectors.joining(", "));
    Set<String> tended =
        standing.stream()
            .filter(b -> b.state().status() == BatchState.Status.INFUSING)
            .filter(b -> !b.state().seen().spoiled())
            .map(BatchRecord::code)
            .collect(Collectors.toSet());
    return new ShelfView(planks, empty, standing.size(), tended);
  }
}
