package velvetcrock.batch;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Refused;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Event;

/** The names under which kinds of event are stored and sent, and their JSON. */
@Component
public class EventKinds {
  private static final Map<String, Class<? extends Event>> BY_NAME = new LinkedHashMap<>();

  static {
    BY_NAME.put("charged", Event.Charged.class);
    BY_NAME.put("shaken", Event.Shaken.class);
    BY_NAME.put("turned", Event.Turned.class);
    BY_NAME.put("all-well", Event.AllWell.class);
    BY_NAME.put("looked", Event.Looked.class);
    BY_NAME.put("smelled", Event.Smelled.class);
    BY_NAME.put("topped-up", Event.ToppedUp.class);
    BY_NAME.put("moved", Event.Moved.class);
    BY_NAME.put("strained", Event.Strained.class);
    BY_NAME.put("bottled", Event.Bottled.class);
    BY_NAME.put("capped", Event.Capped.class);
    BY_NAME.put("drawn", Event.Drawn.class);
    BY_NAME.put("bottle-gone", Event.BottleGone.class);
    BY_NAME.put("thrown-out", Event.ThrownOut.class);
    BY_NAME.put("note", Event.Noted.class);
    BY_NAME.put("struck", Event.Struck.class);
  }

  private static final Map<Class<? extends Event>, String> BY_TYPE =
      BY_NAME.entrySet().stream().collect(Collectors.toMap(Map.Entry::getValue, Map.Entry::getKey));

  private final JsonMapper json;

  EventKinds(JsonMapper json) {
    this.json = json;
  }

  /** The names of all kinds. */
  public static Set<String> names() {
    return BY_NAME.keySet();
  }

  /** The name of an event's kind. */
  public static String nameOf(Event event) {
    String name = BY_TYPE.get(event.getClass());
    if (name == null) {
      throw new IllegalArgumentException("No kind is named for " + event.getClass());
    }
    return name;
  }

  /**
   * Reads an event.
   *
   * @throws Refused at {@code kind} or {@code data}
   */
  public Event read(String kind, String data) {
    Class<? extends Event> type = BY_NAME.get(kind);
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

  Entry entry(LogEntry row) {
    return new Entry(
        row.id(), row.number(), row.happenedAt(), read(row.kind(), row.data()), row.replaces());
  }

  String write(Object value) {
    return json.writeValueAsString(value);
  }

  BatchState state(String stored) {
    return json.readValue(stored, BatchState.class);
  }
}
