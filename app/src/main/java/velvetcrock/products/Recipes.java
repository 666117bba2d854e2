package velvetcrock.products;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.Figures;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.NotFound;

/** Recipes of one's own, each with versions that say what changed. */
@Service
public class Recipes {
  private static final int MOST = 200;
  private static final int LONGEST_NAME = 120;
  private static final int LONGEST_NOTES = 2000;

  private final RecipeRepository recipes;
  private final RecipeVersionRepository versions;
  private final ProductThings things;
  private final BottleBook book;
  private final Households households;
  private final Catalogues catalogues;
  private final CurrentHousehold current;
  private final EntityManager database;
  private final JsonMapper json;
  private final Clock clock;

  Recipes(
      RecipeRepository recipes,
      RecipeVersionRepository versions,
      ProductThings things,
      BottleBook book,
      Households households,
      Catalogues catalogues,
      CurrentHousehold current,
      EntityManager database,
      JsonMapper json,
      Clock clock) {
    this.recipes = recipes;
    this.versions = versions;
    this.things = things;
    this.book = book;
    this.households = households;
    this.catalogues = catalogues;
    this.current = current;
    this.database = database;
    this.json = json;
    this.clock = clock;
  }

  /** A recipe in the list. */
  record Listed(UUID id, String name) {}

  /**
   * A version.
   *
   * @param changed what it says otherwise than the one before
   */
  record Version(int number, RecipeBody body, String changed, String by, Instant at) {}

  /** All, by name. */
  @Transactional(readOnly = true)
  List<Listed> all() {
    return recipes.findAllByOrderByName().stream().map(r -> new Listed(r.id(), r.name())).toList();
  }

  /** The newest version of each, by recipe. */
  @Transactional(readOnly = true)
  Map<UUID, Version> newest() {
    return versions.newest().stream()
        .collect(Collectors.toMap(RecipeVersion::recipeId, this::version));
  }

  /**
   * A recipe's versions, the newest first.
   *
   * @throws NotFound if there is no such recipe here
   */
  @Transactional(readOnly = true)
  List<Version> versions(UUID id) {
    recipes.findById(id).orElseThrow(Recipes::none);
    return versions.findByRecipeIdOrderByNumberDesc(id).stream().map(this::version).toList();
  }

  private Version version(RecipeVersion row) {
    return new Version(
        row.number(),
        json.readValue(row.body(), RecipeBody.class),
        row.changed(),
        row.writtenBy(),
        row.writtenAt());
  }

  /** Keeps what a product is made of as a new recipe; answers its id. */
  @Transactional
  public UUID keep(ProductRecord product, String name, String notes) {
    return keep(body(product, name, notes));
  }

  /** Keeps what a product is made of as another version of a recipe. */
  @Transactional
  public void revise(UUID id, ProductRecord product, String name, String notes) {
    revise(id, body(product, name, notes));
  }

  private static RecipeBody body(ProductRecord product, String name, String notes) {
    return RecipeBody.of(product.state().plan(), product.state().parts(), product.state().drops())
        .named(name, notes);
  }

  /** Keeps a new recipe; answers its id. */
  @Transactional
  UUID keep(RecipeBody body) {
    check(body);
    if (recipes.count() >= MOST) {
      throw new Refused("name", "At most " + MOST + " recipes.");
    }
    UUID id = UUID.randomUUID();
    database.persist(new Recipe(id, body.name(), clock.instant()));
    write(id, 1, body, "");
    return id;
  }

  /**
   * Keeps another version of a recipe, with what changed.
   *
   * @throws Refused at {@code name} where nothing changed
   */
  @Transactional
  void revise(UUID id, RecipeBody body) {
    check(body);
    Recipe recipe = recipes.findById(id).orElseThrow(Recipes::none);
    Version last = versions(id).get(0);
    List<String> changes =
        new ArrayList<>(
            body.changedFrom(
                last.body(), catalogues.current(), households.formats(households.current())));
    if (!body.name().equals(last.body().name())) {
      changes.add("now called " + body.name());
    }
    if (changes.isEmpty() && body.notes().equals(last.body().notes())) {
      throw new Refused("name", "Nothing is other than in version " + last.number() + ".");
    }
    recipe.called(body.name());
    write(id, last.number() + 1, body, String.join("; ", changes));
  }

  private static void check(RecipeBody body) {
    if (body.name().isBlank() || body.name().length() > LONGEST_NAME) {
      throw new Refused("name", "A name of 1 to " + LONGEST_NAME + " letters.");
    }
    if (body.notes().length() > LONGEST_NOTES) {
      throw new Refused("notes", "At most " + LONGEST_NOTES + " letters.");
    }
  }

  private void write(UUID id, int number, RecipeBody body, String changed) {
    database.persist(
        new RecipeVersion(
            id, number, json.writeValueAsString(body), changed, clock.instant(), current.name()));
  }

  /**
   * The sentence that a recipe begins with: its parts from the cellar where there are such, scaled
   * to the oil that there is where one is named.
   *
   * @param recipe id of the recipe and number of its version, such as {@code …-3}
   * @param from what its first oil comes from; null for what should be used first
   */
  @Transactional(readOnly = true)
  Optional<NewProductForm> start(String recipe, @Nullable String from) {
    Optional<UUID> id = uuid(recipe);
    if (id.isEmpty() || recipes.findById(id.get()).isEmpty()) {
      return Optional.empty();
    }
    List<Version> all = versions(id.get());
    String number = recipe.length() > 37 ? recipe.substring(37) : "";
    Version version =
        all.stream()
            .filter(v -> String.valueOf(v.number()).equals(number))
            .findFirst()
            .orElse(all.get(0));
    RecipeBody body = version.body();
    LocalDate today = households.today(households.current());
    double factor = 1;
    List<String> sources = new ArrayList<>();
    for (int i = 0; i < body.parts().size(); i++) {
      RecipeBody.Part part = body.parts().get(i);
      boolean first = i == 0 && from != null && !from.isBlank();
      String source = first ? from : source(part, today);
      sources.add(source);
      if (first) {
        double there = things.find(source).thereG();
        factor = Double.isFinite(there) && there > 0 ? there / part.grams() : 1;
      }
    }
    List<NewProductForm.Row> rows = new ArrayList<>();
    for (int i = 0; i < body.parts().size(); i++) {
      rows.add(
          new NewProductForm.Row(
              sources.get(i), ProductReader.typed(body.parts().get(i).grams() * factor)));
    }
    return Optional.of(form(body, rows, id.get() + "-" + version.number(), factor));
  }

  private static NewProductForm form(
      RecipeBody body, List<NewProductForm.Row> rows, String recipe, double factor) {
    List<NewProductForm.DropRow> drops =
        body.drops().stream()
            .map(
                d ->
                    new NewProductForm.DropRow(
                        d.oil(), String.valueOf(Math.max(1, Math.round(d.count() * factor)))))
            .toList();
    return new NewProductForm(
            body.making().name(),
            body.name(),
            body.where().name(),
            body.usedAtC() >= 24 ? "pocket" : body.usedAtC() <= 14 ? "cold" : "room",
            body.aim() > 0 ? Figures.plain(Math.round(body.aim() * 10) / 10.0) : "",
            body.in().name(),
            body.stirred() ? "yes" : null,
            body.place().name(),
            null,
            rows,
            drops,
            null,
            null,
            null,
            null,
            null,
            null,
            recipe,
            null,
            null,
            null)
        .completed(rows);
  }

  /** Where a part comes from: a bottle of its herb, the one to be used first; else the shop. */
  private String source(RecipeBody.Part part, LocalDate today) {
    if (part.herbs().isEmpty()) {
      return part.thing();
    }
    return book.standing(new BottleBook.Which(part.herbs().get(0), null), 12).stream()
        .filter(b -> !b.bestBefore().isBefore(today))
        .findFirst()
        .map(BottleRecord::code)
        .map(code -> "bottle:" + code)
        .orElse(part.thing());
  }

  static Optional<UUID> uuid(String text) {
    try {
      return text.length() < 36
          ? Optional.empty()
          : Optional.of(UUID.fromString(text.substring(0, 36)));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  static NotFound none() {
    return new NotFound("There is no such recipe here.");
  }
}
