package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Extra;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.DropsIn;
import velvetcrock.kitchen.Catalogues;

/**
 * A recipe as a file: JSON-LD with the terms of schema.org’s HowTo. What those have no word for is
 * a PropertyValue; a file without these is read all the same, with what is usual in their place.
 */
@Component
class RecipeFile {
  private static final int MOST_BYTES = 256 * 1024;
  private static final int MOST_SUPPLIES = 60;
  private static final double GRAMS_PER_KG = 1000;

  private final JsonMapper json;
  private final Catalogues catalogues;

  RecipeFile(JsonMapper json, Catalogues catalogues) {
    this.json = json;
    this.catalogues = catalogues;
  }

  /** Writes a recipe, with its steps in words. */
  String write(RecipeBody body, int version, List<StepWords.WordedStep> steps) {
    Catalogue catalogue = catalogues.current();
    ObjectNode root = json.createObjectNode();
    root.put("@context", "https://schema.org");
    root.put("@type", "HowTo");
    root.put("name", body.name());
    root.put("version", String.valueOf(version));
    if (!body.notes().isBlank()) {
      root.put("description", body.notes());
    }
    ArrayNode supplies = root.putArray("supply");
    for (RecipeBody.Part part : body.parts()) {
      ObjectNode supply = supplies.addObject();
      supply.put("@type", "HowToSupply");
      supply.put("name", RecipeBody.name(part, catalogue));
      supply.put("identifier", part.thing());
      quantity(supply, part.grams(), "GRM");
      if (!part.herbs().isEmpty()) {
        property(supply.putArray("additionalProperty"), "herbs", String.join(" ", part.herbs()));
      }
    }
    for (DropsIn in : body.drops()) {
      ObjectNode supply = supplies.addObject();
      supply.put("@type", "HowToSupply");
      supply.put("name", catalogue.essentialOil(in.oil()).name() + ", essential oil");
      supply.put("identifier", "essential:" + in.oil());
      ObjectNode quantity = supply.putObject("requiredQuantity");
      quantity.put("@type", "QuantitativeValue");
      quantity.put("value", in.count());
      quantity.put("unitText", "drops");
    }
    ArrayNode said = root.putArray("step");
    for (int i = 0; i < steps.size(); i++) {
      ObjectNode step = said.addObject();
      step.put("@type", "HowToStep");
      step.put("position", i + 1);
      step.put("name", steps.get(i).what());
      step.put(
          "text",
          steps.get(i).detail()
              + (steps.get(i).when().isEmpty() ? "" : " (" + steps.get(i).when() + ")"));
    }
    ArrayNode properties = root.putArray("additionalProperty");
    property(properties, "making", body.making().name());
    property(properties, "where", body.where().name());
    property(properties, "usedAtC", String.valueOf(body.usedAtC()));
    property(properties, "hardness", String.valueOf(body.aim()));
    property(properties, "melted", body.in().name());
    property(properties, "stirred", String.valueOf(body.stirred()));
    property(properties, "kept", body.place().name());
    return json.writerWithDefaultPrettyPrinter().writeValueAsString(root);
  }

  private static void quantity(ObjectNode supply, double value, String unit) {
    ObjectNode quantity = supply.putObject("requiredQuantity");
    quantity.put("@type", "QuantitativeValue");
    quantity.put("value", value);
    quantity.put("unitCode", unit);
  }

  private static void property(ArrayNode properties, String name, String value) {
    ObjectNode property = properties.addObject();
    property.put("@type", "PropertyValue");
    property.put("name", name);
    property.put("value", value);
  }

  /**
   * Reads a recipe.
   *
   * @throws Refused at {@code file} with everything that cannot be read
   */
  RecipeBody read(byte[] bytes) {
    if (bytes.length == 0 || bytes.length > MOST_BYTES) {
      throw new Refused("file", "Choose a recipe of at most 256 kB.");
    }
    JsonNode root;
    try {
      root = json.readTree(bytes);
    } catch (JacksonException e) {
      throw new Refused("file", "That is no JSON: " + e.getOriginalMessage());
    }
    if (root == null || !text(root, "@type").equals("HowTo")) {
      throw new Refused("file", "Expected a recipe with “@type”: “HowTo”.");
    }
    Problems problems = new Problems();
    List<RecipeBody.Part> parts = new ArrayList<>();
    List<DropsIn> drops = new ArrayList<>();
    JsonNode supplies = root.path("supply");
    for (int i = 0; i < Math.min(supplies.size(), MOST_SUPPLIES); i++) {
      JsonNode supply = supplies.get(i);
      problems.attempt(
          "file",
          () -> {
            read(supply, parts, drops);
            return null;
          });
    }
    problems.require(
        !parts.isEmpty() && supplies.size() <= MOST_SUPPLIES,
        "file",
        "It names between 1 and 60 supplies with their weight.");
    String name = text(root, "name");
    problems.require(
        !name.isBlank() && name.length() <= 120, "file", "Its name has 1 to 120 letters.");
    problems.refuseIfAny();
    String notes = text(root, "description");
    return new RecipeBody(
        name,
        choice(root, "making", ProductKind.class, ProductKind.SALVE),
        choice(root, "where", Drops.Where.class, Drops.Where.BODY),
        number(property(root, "usedAtC"), -10, 45, 20),
        number(property(root, "hardness"), 0, 90, 0),
        choice(root, "melted", Working.Vessel.class, Working.Vessel.BATH),
        property(root, "stirred").equals("true"),
        choice(root, "kept", Store.Place.class, Store.Place.COOL),
        parts,
        drops,
        notes.length() > 2000 ? notes.substring(0, 2000) : notes);
  }

  private void read(JsonNode supply, List<RecipeBody.Part> parts, List<DropsIn> drops) {
    String name = text(supply, "name");
    JsonNode quantity = supply.path("requiredQuantity");
    double value = quantity.path("value").asDouble(0);
    String identifier = text(supply, "identifier");
    if (identifier.startsWith("essential:")) {
      String oil = identifier.substring("essential:".length());
      catalogues.current().essentialOil(oil);
      drops.add(new DropsIn(oil, value));
      return;
    }
    String thing = known(identifier).orElseGet(() -> byName(name));
    double grams =
        switch (text(quantity, "unitCode")) {
          case "KGM" -> value * GRAMS_PER_KG;
          case "GRM", "" -> value;
          default ->
              throw new Refused(
                  "file", "“" + name + "” is not in grams: unitCode GRM or KGM is expected.");
        };
    if (!(grams > 0 && grams <= 100_000)) {
      throw new Refused("file", "“" + name + "” has no weight above 0.");
    }
    String herbs = property(supply, "herbs");
    List<String> keys = new ArrayList<>();
    for (String herb : herbs.isBlank() ? new String[0] : herbs.split("\\s+")) {
      keys.add(catalogues.current().herb(herb).key());
    }
    parts.add(new RecipeBody.Part(thing, keys, grams));
  }

  private Optional<String> known(String identifier) {
    Catalogue catalogue = catalogues.current();
    String[] named = identifier.split(":", 2);
    if (named.length < 2) {
      return Optional.empty();
    }
    boolean there =
        switch (named[0]) {
          case "carrier" -> catalogue.carriers().stream().anyMatch(c -> c.key().equals(named[1]));
          case "wax" -> catalogue.waxes().stream().anyMatch(c -> c.key().equals(named[1]));
          case "powder" -> catalogue.powders().stream().anyMatch(c -> c.key().equals(named[1]));
          case "extra" -> Extra.of(named[1]).isPresent();
          default -> false;
        };
    return there ? Optional.of(identifier) : Optional.empty();
  }

  /** A thing of the catalogue by the name people give it. */
  private String byName(String name) {
    Catalogue catalogue = catalogues.current();
    String said = name.strip().toLowerCase(Locale.ROOT);
    return catalogue.carriers().stream()
        .filter(c -> c.name().toLowerCase(Locale.ROOT).equals(said))
        .map(c -> "carrier:" + c.key())
        .findFirst()
        .or(
            () ->
                catalogue.waxes().stream()
                    .filter(w -> w.name().toLowerCase(Locale.ROOT).equals(said))
                    .map(w -> "wax:" + w.key())
                    .findFirst())
        .orElseThrow(
            () -> new Refused("file", "“" + name + "” is neither an oil nor a wax known here."));
  }

  private static String text(JsonNode node, String field) {
    JsonNode value = node.path(field);
    return value.isString() ? value.asString() : "";
  }

  private static String property(JsonNode node, String name) {
    for (JsonNode property : node.path("additionalProperty")) {
      if (text(property, "name").equals(name)) {
        return text(property, "value");
      }
    }
    return "";
  }

  private static <E extends Enum<E>> E choice(JsonNode root, String name, Class<E> type, E usual) {
    String said = property(root, name);
    for (E one : Objects.requireNonNull(type.getEnumConstants())) {
      if (one.name().equals(said)) {
        return one;
      }
    }
    return usual;
  }

  private static double number(@Nullable String text, double low, double high, double usual) {
    try {
      double value = Double.parseDouble(text == null ? "" : text);
      return value >= low && value <= high ? value : usual;
    } catch (NumberFormatException e) {
      return usual;
    }
  }
}
