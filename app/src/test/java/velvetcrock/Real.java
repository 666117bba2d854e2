package velvetcrock;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Real identifiers of every kind of thing, from the demo household, which has them all. */
record Real(JdbcTemplate jdbc, UUID house) {
  String one(String sql) {
    return jdbc.queryForObject(sql + " limit 1", String.class, house);
  }

  /** Where the demo has none unless somebody made one. */
  private String ofOneOr(String sql) {
    return jdbc.queryForList(sql + " limit 1", String.class, house).stream()
        .findFirst()
        .orElseGet(Real::nobody);
  }

  String path(String pattern) {
    String batch =
        one(
            "select b.code from batch b join bottle o on o.batch_id = b.id where b.household_id = ?");
    String product = one("select code from product where household_id = ? and status = 'POURED'");
    boolean products = pattern.startsWith("/products/{code}") || pattern.contains("products/of");
    String code =
        pattern.startsWith("/plans/")
            ? one("select code from plan where household_id = ?")
            : pattern.startsWith("/api/v1/pots") || pattern.startsWith("/api/v1/products")
                ? product
                : products && !pattern.contains("batches") ? product : batch;
    return pattern
        .replace("{code}", code)
        .replace("{id}", id(pattern))
        .replace("{device}", "no-such-device")
        .replace("{passkey}", "no-such-passkey")
        .replace("{member}", ofOneOr("select id::text from member where household_id = ?"))
        .replace("{recovery}", ofOneOr("select id::text from recovery where household_id = ?"))
        .replace("{entry}", entry(pattern))
        .replace("{photo}", nobody())
        .replace("{phone}", nobody())
        .replace("{letter}", "A")
        .replace("{number}", "1")
        .replace("{kind}", "HERB")
        .replace("{table}", "HERBS")
        .replace(
            "{key}",
            one(
                "select thing_key from own_thing where household_id = ? and kind = 'HERB'"
                    + " and thing_key like 'own-%'"))
        .replace("{thing}", "yarrow")
        .replace("{herb}", "yarrow")
        .replace("{token}", "no-such-token")
        .replace("{secret}", "no-such-secret");
  }

  private String id(String pattern) {
    if (pattern.contains("/lots/")) {
      return one("select id::text from lot where household_id = ?");
    } else if (pattern.contains("/drying/")) {
      return one("select id::text from drying_load where household_id = ?");
    } else if (pattern.contains("/trials/")) {
      return one("select id::text from trial where household_id = ?");
    } else if (pattern.contains("/recipes/")) {
      return one("select id::text from recipe where household_id = ?");
    } else if (pattern.contains("/catalogue/")) {
      return one("select id::text from own_thing where household_id = ?");
    } else if (pattern.contains("/tokens/")) {
      return one("select id::text from api_token where household_id = ?");
    } else if (pattern.contains("/invitations/")) {
      return ofOneOr("select id::text from invitation where household_id = ?");
    } else if (pattern.contains("/round/")) {
      return one("select id::text from round_note where household_id = ?");
    } else if (pattern.contains("/imports/")) {
      return nobody();
    }
    return entry(pattern);
  }

  private String entry(String pattern) {
    String subject =
        pattern.contains("/lots/")
            ? "LOT"
            : pattern.contains("/drying/")
                ? "LOAD"
                : pattern.startsWith("/products/") ? "PRODUCT" : "BATCH";
    return one("select id::text from entry where subject = '" + subject + "' and household_id = ?");
  }

  private static String nobody() {
    return UUID.randomUUID().toString();
  }

  /**
   * Whatever can be looked at, each with real identifiers, but for the stream, which has no end.
   */
  List<String> looks(RequestMappingHandlerMapping routes) {
    return routes.getHandlerMethods().keySet().stream()
        .filter(r -> r.getMethodsCondition().getMethods().equals(Set.of(RequestMethod.GET)))
        .flatMap(route -> route.getPatternValues().stream())
        .filter(pattern -> !pattern.equals("/stove/live"))
        .map(this::path)
        .distinct()
        .sorted()
        .toList();
  }

  /** Everything of the household, so that any change to it is seen. */
  List<String> all() {
    return Stream.of(
            "batch",
            "bottle",
            "lot",
            "drying_load",
            "product",
            "plan",
            "trial",
            "recipe",
            "own_thing",
            "api_token",
            "invitation",
            "member",
            "recovery",
            "round_note",
            "entry",
            "place",
            "bottle_pass",
            "journal")
        .map(
            table ->
                table
                    + jdbc.queryForObject(
                        "select count(*) || coalesce(md5(string_agg(t::text, '' order by t::text)), '')"
                            + " from "
                            + table
                            + " t where household_id = ?",
                        String.class,
                        house))
        .toList();
  }
}
