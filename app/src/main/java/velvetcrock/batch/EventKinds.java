package velvetcrock.batch;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Refused;
import velvetcrock.core.log.BatchState;
import velvetcrock.core.log.BottleEvent;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Event;
import velvetcrock.web.KindNames;

/** The names under which kinds of event are stored and sent, and their JSON. */
@Component
public class EventKinds {
  private static final KindNames<Event> NAMES = new KindNames<>(byName());

  private final JsonMapper json;

  EventKinds(JsonMapper json) {
    this.json = json;
  }

  private static Map<String, Class<? extends Event>> byName() {
    Map<String, Class<? extends Event>> byName = new LinkedHashMap<>();
    byName.put("charged", Event.Charged.class);
    byName.put("damp-checked", Event.DampChecked.class);
    byName.put("oil-poured", Event.OilPoured.class);
    byName.put("pot-weighed", Event.PotWeighed.class);
    byName.put("transferred", Event.Transferred.class);
    byName.put("put-on-heat", Event.PutOnHeat.class);
    byName.put("knob-turned", Event.KnobTurned.class);
    byName.put("taken-off-heat", Event.TakenOffHeat.class);
    byName.put("felt-by-hand", Event.FeltByHand.class);
    byName.put("bath-topped-up", Event.BathToppedUp.class);
    byName.put("ran-hot", Event.RanHot.class);
    byName.put("heat-answered", Event.HeatAnswered.class);
    byName.put("shaken", Event.Shaken.class);
    byName.put("turned", Event.Turned.class);
    byName.put("all-well", Event.AllWell.class);
    byName.put("looked", Event.Looked.class);
    byName.put("smelled", Event.Smelled.class);
    byName.put("topped-up", Event.ToppedUp.class);
    byName.put("moved", Event.Moved.class);
    byName.put("strained", Event.Strained.class);
    byName.put("marc-weighed", Event.MarcWeighed.class);
    byName.put("decanted", Event.Decanted.class);
    byName.put("stood-clear", Event.StoodClear.class);
    byName.put("coloured", Event.Coloured.class);
    byName.put("looked-back", Event.LookedBack.class);
    byName.put("bottled", Event.Bottled.class);
    byName.put("capped", Event.Capped.class);
    byName.put("drawn", Event.Drawn.class);
    byName.put("drawn-unbottled", Event.DrawnUnbottled.class);
    byName.put("given-back", Event.GivenBack.class);
    byName.put("bottle-stood", BottleEvent.Stood.class);
    byName.put("bottle-opened", BottleEvent.Opened.class);
    byName.put("bottle-checked", BottleEvent.Checked.class);
    byName.put("bottle-gone", Event.BottleGone.class);
    byName.put("thrown-out", Event.ThrownOut.class);
    byName.put("note", Event.Noted.class);
    byName.put("struck", Event.Struck.class);
    return byName;
  }

  /** The names of all kinds. */
  public static Set<String> names() {
    return NAMES.names();
  }

  /** The name of an event's kind. */
  public static String nameOf(Event event) {
    return NAMES.nameOf(event);
  }

  /**
   * Reads an event.
   *
   * @throws Refused at {@code kind} or {@code data}
   */
  public Event read(String kind, String data) {
    return NAMES.read(kind, data, json);
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
