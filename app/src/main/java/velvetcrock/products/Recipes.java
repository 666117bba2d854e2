package velvetcrock.products;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;
import velvetcrock.web.NotFound;

/** Recipes of one's own, each with versions that say what changed. */
@Service
public class Recipes {
  private static final int MOST = 200;
  private static final int MOST_VERSIONS = 50;
  private static final int LONGEST_NAME = 120;
  private static final int LONGEST_NOTES = 2000;

  private final RecipeRepository recipes;
  private final RecipeVersionRepository versions;
  private final Households households;
  private final Catalogues catalogues;
  private final CurrentHousehold current;
  private final EntityManager database;
  private final JsonMapper json;
  private final Clock clock;

  Recipes(
      RecipeRepository recipes,
      RecipeVersionRepository versions,
      Households households,
      Catalogues catalogues,
      CurrentHousehold current,
      EntityManager database,
      JsonMapper json,
      Clock clock) {
    this.recipes = recipes;
    this.versions = versions;
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
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  List<Listed> all() {
    return recipes.findAllByOrderByNameAscIdAsc().stream()
        .map(r -> new Listed(r.id(), r.name()))
        .toList();
  }

  /** The newest version of each, by recipe. */
  @HeldUntilChanged(HouseholdPart.PRODUCTS)
  @Transactional(readOnly = true)
  Map<UUID, Version> newest() {
    return versions.newest().stream()
        .collect(Collectors.toMap(RecipeVersion::recipeId, this::version));
  }

  /**
   * A recipe's newest versions, the newest first.
   *
   * @throws NotFound if there is no such recipe here
   */
  @Transactional(readOnly = true)
  List<Version> versions(UUID id) {
    recipes.findById(id).orElseThrow(Recipes::none);
    return newest(id, MOST_VERSIONS);
  }

  private List<Version> newest(UUID id, int most) {
    return versions.findByRecipeIdOrderByNumberDesc(id, Limit.of(most)).stream()
        .map(this::version)
        .toList();
  }

  /** A version by its number as typed; the newest where there is none of that. */
  @Transactional(readOnly = true)
  Version version(UUID id, String number) {
    return number.matches("[0-9]{1,6}")
        ? version(id, Integer.parseInt(number)).orElseGet(() -> newest(id, 1).get(0))
        : newest(id, 1).get(0);
  }

  /** A version by its number; empty where there is none. */
  @Transactional(readOnly = true)
  Optional<Version> version(UUID id, int number) {
    return versions.findByRecipeIdAndNumber(id, number).map(this::version);
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
    Version last = newest(id, 1).get(0);
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

  /** Whether there is such a recipe here. */
  @Transactional(readOnly = true)
  boolean has(UUID id) {
    return recipes.existsById(id);
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
