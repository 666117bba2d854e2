package velvetcrock.moving;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * What {@code datapackage.json} says of a box: a <a
 * href="https://specs.frictionlessdata.io/data-package/">Frictionless Data Package</a>, each table
 * of it a <a href="https://specs.frictionlessdata.io/tabular-data-resource/">tabular data
 * resource</a>.
 */
final class Description {
  static final String FILE = "datapackage.json";
  static final String NAME = "velvet-crock-household";

  /** The form of the box; a higher one is not known here. */
  static final int FORM = 1;

  private final List<Map<String, Object>> resources = new ArrayList<>();

  /**
   * What became of a file.
   *
   * @param sha256 in hexadecimal digits
   */
  record Written(String path, long bytes, String sha256) {}

  void table(Table table, Written written, long rows) {
    Map<String, Object> schema = new LinkedHashMap<>();
    schema.put("fields", table.fields().stream().map(Description::field).toList());
    schema.put("missingValues", List.of(""));
    if (!table.household()) {
      schema.put("primaryKey", table.key());
    }
    List<Map<String, Object>> keys = table.pointing().stream().map(p -> key(table, p)).toList();
    if (!keys.isEmpty()) {
      schema.put("foreignKeys", keys);
    }
    Map<String, Object> resource = resource(table.name(), table.title(), table.says(), written);
    resource.put("profile", "tabular-data-resource");
    resource.put("format", "csv");
    resource.put("mediatype", "text/csv");
    resource.put("encoding", "utf-8");
    resource.put("rows", rows);
    resource.put("schema", schema);
    resources.add(resource);
  }

  void photo(String id, Table of, Written written) {
    Map<String, Object> resource =
        resource("photo-" + id, "A photo", "See " + of.name() + ".csv.", written);
    resource.put("profile", "data-resource");
    resource.put("format", "jpg");
    resource.put("mediatype", "image/jpeg");
    resources.add(resource);
  }

  /** All of it, as it is written. */
  Map<String, Object> of(String household) {
    Map<String, Object> all = new LinkedHashMap<>();
    all.put("profile", "data-package");
    all.put("name", NAME);
    all.put("title", household);
    all.put("description", "A household of Velvet Crock: see README.txt.");
    all.put("form", FORM);
    all.put("resources", resources);
    return all;
  }

  private static Map<String, Object> resource(
      String name, String title, String says, Written written) {
    Map<String, Object> resource = new LinkedHashMap<>();
    resource.put("name", name);
    resource.put("path", written.path());
    resource.put("title", title);
    resource.put("description", says);
    resource.put("bytes", written.bytes());
    resource.put("hash", "sha256:" + written.sha256());
    return resource;
  }

  private static Map<String, Object> field(Table.Field field) {
    Map<String, Object> said = new LinkedHashMap<>();
    said.put("name", field.name());
    said.put("type", type(field.type()));
    if (field.type().equals("uuid")) {
      said.put("format", "uuid");
    }
    if (field.type().startsWith("timestamp")) {
      said.put("format", "any");
    }
    said.put("description", field.says());
    // an empty cell of a text is a text without a letter where there has to be one
    if (field.required() && !field.text()) {
      said.put("constraints", Map.of("required", true));
    }
    return said;
  }

  private static String type(String stored) {
    return switch (stored) {
      case "integer", "bigint" -> "integer";
      case "double precision" -> "number";
      case "boolean" -> "boolean";
      case "date" -> "date";
      case "timestamp with time zone" -> "datetime";
      case "time without time zone" -> "time";
      case "jsonb" -> "object";
      case "text[]" -> "array";
      default -> "string";
    };
  }

  private static Map<String, Object> key(Table table, Table.Pointing pointing) {
    String there = pointing.table().equals(table.name()) ? "" : pointing.table();
    return Map.of(
        "fields",
        pointing.fields(),
        "reference",
        Map.of("resource", there, "fields", Objects.requireNonNull(pointing.their())));
  }
}
