package velvetcrock.core.diary;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Hours;
import velvetcrock.core.outlook.Span;

/**
 * What the plans share.
 *
 * @param heaters what oil is kept warm on
 * @param jars how many of each vessel there are, by key; one that is not named is there in plenty
 * @param taken what stands already, whatever is planned
 * @param hours when somebody is there
 */
public record House(
    List<Heater> heaters, Map<String, Integer> jars, List<Taken> taken, Hours hours) {

  /**
   * An appliance.
   *
   * @param holds how many jars it holds at once
   */
  public record Heater(String id, String name, Appliance kind, int holds) {}

  /**
   * Vessels, or places on an appliance, that are taken for a while.
   *
   * @param what a vessel's key or an appliance's id
   * @param by by what, for words
   * @param heat by which method it is drawn, on an appliance; null for a vessel
   */
  public record Taken(String what, int count, Span span, String by, @Nullable Method heat) {}

  /** Copies. */
  public House {
    heaters = List.copyOf(heaters);
    jars = Map.copyOf(jars);
    taken = List.copyOf(taken);
  }
}
