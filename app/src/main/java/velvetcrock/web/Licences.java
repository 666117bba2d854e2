package velvetcrock.web;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Once;

/**
 * What ships with the application and under which licence: Java’s libraries from the bill of
 * materials that the build writes (CycloneDX), styles, scripts and fonts by a list of our own.
 */
@Component
class Licences {
  private static final String BILL = "META-INF/sbom/application.cdx.json";
  private static final String OURS = "velvetcrock";
  private static final String UNKNOWN = "licence not named";

  private static final List<Thing> BESIDE_JAVA =
      List.of(
          new Thing("htmx", "2", "0BSD"),
          new Thing("Workbox", "7", "MIT"),
          new Thing("idb", "8", "ISC"),
          new Thing("jsQR", "1.4", "Apache-2.0"),
          new Thing("uPlot", "1.6", "MIT"),
          new Thing("Tailwind CSS", "4", "MIT"),
          new Thing("Atkinson Hyperlegible Next", "", "OFL-1.1"),
          new Thing("Bricolage Grotesque", "", "OFL-1.1"));

  private final JsonMapper json;
  private final Once<Map<String, List<Thing>>> byLicence = new Once<>(this::read);

  Licences(JsonMapper json) {
    this.json = json;
  }

  /** Something that ships. */
  record Thing(String name, String version, String licence) {}

  /** All that ships by its licence, both in the order of their names. */
  Map<String, List<Thing>> all() {
    return byLicence.get();
  }

  private Map<String, List<Thing>> read() {
    List<Thing> things = new ArrayList<>(BESIDE_JAVA);
    ClassPathResource bill = new ClassPathResource(BILL);
    if (bill.exists()) {
      try (InputStream in = bill.getInputStream()) {
        for (JsonNode part : json.readTree(in).path("components")) {
          if (!part.path("group").asString("").equals(OURS)) {
            things.add(
                new Thing(
                    part.path("name").asString(""),
                    part.path("version").asString(""),
                    licence(part.path("licenses"))));
          }
        }
      } catch (IOException unreadable) {
        throw new IllegalStateException(BILL, unreadable);
      }
    }
    things.sort(Comparator.comparing(Thing::name, String.CASE_INSENSITIVE_ORDER));
    Map<String, List<Thing>> by = new TreeMap<>();
    things.forEach(thing -> by.computeIfAbsent(thing.licence(), l -> new ArrayList<>()).add(thing));
    return by;
  }

  private static String licence(JsonNode licences) {
    List<String> names = new ArrayList<>();
    for (JsonNode one : licences) {
      JsonNode licence = one.path("license");
      names.add(
          one.path("expression")
              .asString(licence.path("id").asString(licence.path("name").asString(UNKNOWN))));
    }
    return names.isEmpty() ? UNKNOWN : String.join(" or ", names);
  }
}
