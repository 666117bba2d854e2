package velvetcrock.ledger;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import velvetcrock.core.Refused;
import velvetcrock.core.log.Event;

/**
 * How the events of one family are stored, both ways.
 *
 * <ol>
 *   <li>Every stored form is a record with {@link Kind} inside one of the classes that are named.
 *   <li>It is written in its newest version and read in any: older data are lifted first.
 *   <li>A name means one thing for ever.
 * </ol>
 *
 * @param <E> what they all are
 */
public final class EventStorage<E extends Event<?>> {
  private static final JsonMapper JSON =
      JsonMapper.builder()
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
          .build();

  private final Function<E, StoredEvent<E>> store;
  private final Map<String, Class<? extends StoredEvent<E>>> byName = new LinkedHashMap<>();
  private final List<UpCaster> upCasters = new ArrayList<>();

  /**
   * Reads the forms that stand in some classes.
   *
   * @param store an event's stored form
   * @param holders classes whose records are the stored forms
   */
  public EventStorage(Function<E, StoredEvent<E>> store, Class<?>... holders) {
    this.store = store;
    for (Class<?> holder : holders) {
      List<Class<?>> forms = new ArrayList<>(List.of(holder.getDeclaredClasses()));
      java.util.Collections.reverse(forms);
      forms.stream().filter(form -> form.isAnnotationPresent(Kind.class)).forEach(this::add);
    }
  }

  @SuppressWarnings("unchecked")
  private void add(Class<?> form) {
    String name = form.getAnnotation(Kind.class).name();
    if (byName.put(name, (Class<? extends StoredEvent<E>>) form) != null) {
      throw new IllegalArgumentException("Two kinds are stored as “" + name + "”.");
    }
  }

  /** The same with lifts for what was written in earlier forms. */
  public EventStorage<E> lifting(List<UpCaster> lifts) {
    upCasters.addAll(lifts);
    return this;
  }

  /** The stored names of all kinds. */
  public Set<String> names() {
    return byName.keySet();
  }

  /** What is said of each kind, by its stored name. */
  public Map<String, Kind> kinds() {
    Map<String, Kind> kinds = new LinkedHashMap<>();
    byName.forEach((name, form) -> kinds.put(name, kind(form)));
    return kinds;
  }

  private static Kind kind(Class<?> form) {
    return form.getAnnotation(Kind.class);
  }

  /** The form in which an event is stored and sent. */
  public StoredEvent<E> stored(E event) {
    return store.apply(event);
  }

  /** An event as JSON, in the newest version of its form. */
  public String json(E event) {
    return JSON.writeValueAsString(stored(event));
  }

  /** The version in which an event is written. */
  public int version(E event) {
    return kind(stored(event).getClass()).version();
  }

  /**
   * Reads an event.
   *
   * @param kind the stored name
   * @param version the version of the form that the data are in
   * @throws Refused at {@code kind} if there is none of that name, at {@code data} if the data are
   *     not of that form, at the field that cannot be
   */
  public E read(String kind, int version, String data) {
    Class<? extends StoredEvent<E>> form = byName.get(kind);
    if (form == null) {
      throw new Refused(
          "kind",
          "“" + kind + "” is no kind of entry. There are: " + String.join(", ", names()) + ".");
    }
    try {
      int newest = kind(form).version();
      StoredEvent<E> stored =
          version == newest
              ? JSON.readValue(data, form)
              : JSON.treeToValue(lifted(kind, version, newest, data), form);
      if (stored == null) {
        throw new Refused("data", "The entry’s data are missing.");
      }
      return stored.event();
    } catch (JacksonException e) {
      throw new Refused("data", "The entry’s data cannot be read: " + why(e));
    }
  }

  /** Why, without a word of the reader’s own. */
  private static String why(JacksonException e) {
    String at =
        e.getPath().stream()
            .map(
                step ->
                    step.getPropertyName() == null
                        ? "[" + step.getIndex() + "]"
                        : step.getPropertyName())
            .collect(Collectors.joining("."));
    if (e instanceof UnrecognizedPropertyException) {
      return "nothing of the name “" + at + "” is known here.";
    }
    return at.isEmpty() ? "it is not of the form expected." : "“" + at + "” is not of its kind.";
  }

  private ObjectNode lifted(String kind, int from, int to, String data) {
    ObjectNode tree = (ObjectNode) JSON.readTree(data);
    for (int version = from; version < to; version++) {
      int now = version;
      tree =
          upCasters.stream()
              .filter(u -> u.kind().equals(kind) && u.from() == now)
              .findFirst()
              .orElseThrow(
                  () ->
                      new IllegalStateException(
                          "Nothing lifts “" + kind + "” from version " + now + "."))
              .lift()
              .apply(tree);
    }
    return tree;
  }

  /**
   * Reads an event as it is sent, in its newest form.
   *
   * @throws Refused as {@link #read(String, int, String)}; at {@code kind} if only this program
   *     writes it
   */
  public E sent(String kind, String data) {
    Class<? extends StoredEvent<E>> form = byName.get(kind);
    if (form != null && kind(form).door() == Door.HOUSE) {
      throw new Refused(
          "kind", "“" + kind + "” is written by the house itself, from what was read.");
    }
    return read(kind, form == null ? 1 : kind(form).version(), data);
  }
}
