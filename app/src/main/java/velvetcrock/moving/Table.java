package velvetcrock.moving;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A table of the store that is packed.
 *
 * @param name the name of its file
 * @param table what the store calls it
 * @param says what is in it
 * @param order the columns by which it is ordered, so that the same rows make the same file
 * @param folded whether what is kept beside its log is folded anew where it is put back
 * @param photo the column that holds pictures, each packed as a file; null for none
 * @param reading how it is read where not every field is a column of its own
 * @param key the columns that tell its rows apart
 * @param others further columns that have to be different in each row
 * @param pointing fields that name a row of another table
 */
record Table(
    String name,
    String table,
    String title,
    String says,
    List<String> order,
    boolean folded,
    @Nullable String photo,
    Reading reading,
    List<Field> fields,
    List<String> key,
    List<List<String>> others,
    List<Pointing> pointing) {

  /** The one row that a household itself is. */
  static final String HOUSEHOLD = "household";

  Table {
    order = List.copyOf(order);
    fields = List.copyOf(fields);
    key = List.copyOf(key);
    others = List.copyOf(others);
    pointing = List.copyOf(pointing);
  }

  /**
   * A field.
   *
   * @param says what it means, with its unit
   * @param type its type in the store
   * @param required whether it always has a value
   */
  record Field(String name, String says, String type, boolean required) {
    boolean text() {
      return type.equals("text");
    }
  }

  /** Fields whose values are those of other fields in a row of another table. */
  record Pointing(List<String> fields, String table, List<String> their) {}

  /**
   * What stands in the place of a column.
   *
   * @param join joined where it is read
   * @param reads expressions by field
   * @param putJoin joined where it is put back
   * @param puts expressions by column
   */
  record Reading(String join, Map<String, String> reads, String putJoin, Map<String, String> puts) {
    Reading {
      reads = Map.copyOf(reads);
      puts = Map.copyOf(puts);
    }
  }

  /** The name of its file in the box. */
  String path() {
    return "data/" + name + ".csv";
  }

  boolean household() {
    return table.equals(HOUSEHOLD);
  }

  /** The field by which a row is called where something is said of it. */
  String called() {
    List<String> names = fields.stream().map(Field::name).toList();
    return List.of("code", "name", "title", "file_name", "kind").stream()
        .filter(names::contains)
        .findFirst()
        .orElse(names.get(0));
  }
}
