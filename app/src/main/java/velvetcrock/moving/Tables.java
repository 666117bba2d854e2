package velvetcrock.moving;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.core.io.ClassPathResource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;

/**
 * What a household takes along: the list of tables, with what the store itself knows of their types
 * and keys.
 */
@Component
class Tables {
  private static final String OF_HOUSEHOLD = "household_id";

  private static final String COLUMNS =
      "select a.attname, format_type(a.atttypid, null), a.attnotnull from pg_attribute a"
          + " where a.attrelid = ?::regclass and a.attnum > 0 and not a.attisdropped";
  private static final String KEYS =
      """
      select k.contype::text, array(select a.attname::text from unnest(k.conkey) with ordinality c (n, i)
          join pg_attribute a on a.attrelid = k.conrelid and a.attnum = c.n order by c.i),
        k.confrelid::regclass::text, array(select a.attname::text from unnest(k.confkey) with ordinality c (n, i)
          join pg_attribute a on a.attrelid = k.confrelid and a.attnum = c.n order by c.i)
      from pg_constraint k where k.conrelid = ?::regclass and k.contype in ('p', 'u', 'f') order by k.conname""";

  private final JdbcTemplate jdbc;
  private volatile List<Table> all = List.of();

  Tables(JdbcTemplate jdbc) {
    this.jdbc = jdbc;
  }

  /** All, each after those that it points to. */
  List<Table> all() {
    if (all.isEmpty()) {
      all = listed().stream().map(this::table).toList();
    }
    return all;
  }

  /** The list as it was written. */
  static List<Map<String, Object>> listed() {
    try (InputStream in = new ClassPathResource("moving/tables.yaml").getInputStream()) {
      return new Yaml(new SafeConstructor(new LoaderOptions())).load(in);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private record Key(String kind, List<String> columns, String other, List<String> theirs) {}

  private Table table(Map<String, Object> listed) {
    String name = (String) listed.get("name");
    String table = (String) listed.getOrDefault("table", name);
    Map<String, Table.Field> columns = new HashMap<>();
    jdbc.query(
        COLUMNS,
        row -> {
          columns.put(
              row.getString(1),
              new Table.Field(row.getString(1), "", row.getString(2), row.getBoolean(3)));
        },
        table);
    List<Key> keys =
        jdbc.query(
            KEYS,
            (row, number) ->
                new Key(
                    row.getString(1),
                    within((String[]) row.getArray(2).getArray()),
                    String.valueOf(row.getString(3)),
                    within((String[]) row.getArray(4).getArray())),
            table);
    Map<String, String> reads = texts(listed.get("reads"));
    List<Table.Field> fields = new ArrayList<>();
    texts(listed.get("fields"))
        .forEach(
            (field, says) ->
                fields.add(
                    reads.containsKey(field)
                        ? new Table.Field(field, says, "uuid", false)
                        : known(columns, field, says)));
    return new Table(
        name,
        table,
        (String) listed.get("title"),
        (String) listed.get("says"),
        names(listed.get("order")),
        names(listed.getOrDefault("left-out", List.of())).contains("state"),
        (String) listed.get("photo"),
        new Table.Reading(
            (String) listed.getOrDefault("join", ""),
            reads,
            (String) listed.getOrDefault("put-join", ""),
            texts(listed.get("puts"))),
        fields,
        columns("p", keys).stream().findFirst().orElse(List.of()),
        columns("u", keys).stream()
            .filter(c -> fields.stream().map(Table.Field::name).toList().containsAll(c))
            .toList(),
        pointing(fields, keys));
  }

  private static Table.Field known(Map<String, Table.Field> columns, String field, String says) {
    Table.Field known = columns.get(field);
    if (known == null) {
      throw new IllegalStateException("The store has no " + field + ".");
    }
    return new Table.Field(field, says, known.type(), known.required());
  }

  private static List<List<String>> columns(String kind, List<Key> keys) {
    return keys.stream()
        .filter(k -> k.kind().equals(kind))
        .map(Key::columns)
        .filter(c -> !c.isEmpty())
        .toList();
  }

  private List<Table.Pointing> pointing(List<Table.Field> fields, List<Key> keys) {
    Map<String, String> names = new HashMap<>();
    listed()
        .forEach(
            t ->
                names.put((String) t.getOrDefault("table", t.get("name")), (String) t.get("name")));
    List<String> packed = fields.stream().map(Table.Field::name).toList();
    return keys.stream()
        .filter(k -> k.kind().equals("f") && names.containsKey(k.other()))
        .filter(k -> !k.columns().isEmpty() && packed.containsAll(k.columns()))
        .map(k -> new Table.Pointing(k.columns(), names.get(k.other()), k.theirs()))
        .toList();
  }

  /** Columns of a key, as they are within a household. */
  private static List<String> within(String[] columns) {
    return Arrays.stream(columns).filter(c -> !c.equals(OF_HOUSEHOLD)).toList();
  }

  private static List<String> names(Object listed) {
    return ((List<?>) listed).stream().map(String::valueOf).toList();
  }

  private static Map<String, String> texts(Object listed) {
    Map<String, String> texts = new LinkedHashMap<>();
    if (listed instanceof Map<?, ?> map) {
      map.forEach((key, value) -> texts.put(String.valueOf(key), String.valueOf(value)));
    }
    return texts;
  }
}
