package velvetcrock.web;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Refused;

/**
 * The names under which the kinds of an event are stored and sent, both ways.
 *
 * @param <E> what they all are
 */
public final class KindNames<E> {
  private final Map<String, Class<? extends E>> byName;

  /** Names as given, in their order. */
  public KindNames(Map<String, Class<? extends E>> byName) {
    this.byName = new LinkedHashMap<>(byName);
  }

  /** All names. */
  public Set<String> names() {
    return byName.keySet();
  }

  /** The name of an event's kind. */
  public String nameOf(E event) {
    return byName.entrySet().stream()
        .filter(named -> named.getValue() == event.getClass())
        .map(Map.Entry::getKey)
        .findFirst()
        .orElseThrow(
            () -> new IllegalArgumentException("No kind is named for " + event.getClass()));
  }

  /**
   * Reads an event.
   *
   * @throws Refused at {@code kind} or {@code data}
   */
  public E read(String kind, String data, JsonMapper json) {
    Class<? extends E> type = byName.get(kind);
    if (type == null) {
      throw new Refused(
          "kind",
          "“" + kind + "” is no kind of entry. There are: " + String.join(", ", names()) + ".");
    }
    try {
      return json.readValue(data, type);
    } catch (JacksonException e) {
      throw new Refused("data", "The entry’s data cannot be read: " + e.getOriginalMessage());
    }
  }
}
