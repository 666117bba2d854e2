package velvetcrock.products;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.Figures;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;

/** Begins a product by a recipe. */
@Component
class RecipeStart {
  private final Recipes recipes;
  private final ProductThings things;
  private final BottleBook book;
  private final Households households;

  RecipeStart(Recipes recipes, ProductThings things, BottleBook book, Households households) {
    this.recipes = recipes;
    this.things = things;
    this.book = book;
    this.households = households;
  }

  /** The recipes that a product can begin by, by name. */
  List<Recipes.Listed> all() {
    return recipes.all();
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
    Optional<UUID> id = Recipes.uuid(recipe);
    if (id.isEmpty() || !recipes.has(id.get())) {
      return Optional.empty();
    }
    String number = recipe.length() > 37 ? recipe.substring(37) : "";
    Recipes.Version version = recipes.version(id.get(), number);
    RecipeBody body = version.body();
    Formats fmt = households.formats(households.current());
    LocalDate today = fmt.today();
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
          new NewProductForm.Row(sources.get(i), fmt.typedG(body.parts().get(i).grams() * factor)));
    }
    return Optional.of(
        form(body, rows, id.get() + "-" + version.number(), factor).completed(rows, fmt));
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
        new NewProductForm.Keeping(body.where().name(), body.place().name(), null),
        new NewProductForm.Firmness(
            body.usedAtC() >= 24 ? "pocket" : body.usedAtC() <= 14 ? "cold" : "room",
            body.aim() > 0 ? Figures.plain(Math.round(body.aim() * 10) / 10.0) : ""),
        new NewProductForm.Melting(body.in().name(), body.stirred() ? "yes" : null),
        rows,
        drops,
        new NewProductForm.Tins(null, null),
        new NewProductForm.Cloth(null, null, null),
        null,
        recipe,
        new NewProductForm.Sent(null, null, null));
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
}
