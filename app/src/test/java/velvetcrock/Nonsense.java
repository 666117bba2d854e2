package velvetcrock;

import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Spoils a good document: every value in it is replaced by nonsense of every kind, one at a time.
 */
final class Nonsense {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final String MARK = "«here»";
  private static final List<String> KINDS =
      List.of(
          "null",
          "-1",
          "0",
          "1e308",
          "-1e308",
          "1e999",
          "1e-320",
          "\"x\"",
          "\"\"",
          "\"nan\"",
          "[]",
          "{}",
          "[null]",
          "true",
          "\"2026-02-30\"",
          "\"9999-12-31\"",
          "12345678901234567890",
          "\"" + "é".repeat(5000) + "\"");

  private Nonsense() {}

  /** A spoilt document and what was done to it. */
  record Case(String body, String which) {}

  static List<Case> of(JsonNode good) {
    List<Case> cases = new ArrayList<>();
    for (List<Object> leaf : leaves(good, List.of())) {
      for (String bad : KINDS) {
        cases.add(
            new Case(
                replaced(good, leaf, bad),
                leaf + " = " + bad.substring(0, Math.min(30, bad.length()))));
      }
    }
    return cases;
  }

  private static List<List<Object>> leaves(JsonNode node, List<Object> path) {
    List<List<Object>> found = new ArrayList<>();
    if (!path.isEmpty()) {
      found.add(path);
    }
    if (node instanceof ObjectNode object) {
      object
          .propertyNames()
          .forEach(name -> found.addAll(leaves(node.get(name), with(path, name))));
    } else if (node instanceof ArrayNode) {
      for (int i = 0; i < node.size(); i++) {
        found.addAll(leaves(node.get(i), with(path, i)));
      }
    }
    return found;
  }

  private static List<Object> with(List<Object> path, Object step) {
    List<Object> longer = new ArrayList<>(path);
    longer.add(step);
    return longer;
  }

  private static String replaced(JsonNode good, List<Object> path, String bad) {
    JsonNode copy = good.deepCopy();
    JsonNode at = copy;
    for (Object step : path.subList(0, path.size() - 1)) {
      at = step instanceof Integer i ? at.get(i) : at.get((String) step);
    }
    Object last = path.get(path.size() - 1);
    if (last instanceof Integer i) {
      ((ArrayNode) at).set(i, JSON.getNodeFactory().stringNode(MARK));
    } else {
      ((ObjectNode) at).put((String) last, MARK);
    }
    return copy.toString().replace("\"" + MARK + "\"", bad);
  }
}
