package velvetcrock.products;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.core.making.Melt;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductRules;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.NotFound;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;

/** Recipes: the list, one with its versions, keeping one, and files to and from. */
@Controller
class RecipesController {
  private static final double USUAL_TIN_ML = 30;

  private final Recipes recipes;
  private final RecipeFile file;
  private final Products products;
  private final Households households;
  private final Catalogues catalogues;

  RecipesController(
      Recipes recipes,
      RecipeFile file,
      Products products,
      Households households,
      Catalogues catalogues) {
    this.recipes = recipes;
    this.file = file;
    this.products = products;
    this.households = households;
    this.catalogues = catalogues;
  }

  /**
   * A recipe's version.
   *
   * @param lines its parts with their shares
   */
  record VersionView(
      int number,
      String changed,
      String when,
      String what,
      String notes,
      List<Line> lines,
      String drops) {}

  /** A part with its share. */
  record Line(String name, String percent, String grams, double share) {}

  /** A recipe in the list, with its newest version. */
  record Row(UUID id, String name, VersionView newest) {}

  @SameUntilChanged(held = true)
  @GetMapping("/products/recipes")
  String list(Model model) {
    return list(FieldErrors.none(), model);
  }

  private String list(FieldErrors errors, Model model) {
    Formats fmt = households.formats(households.current());
    Catalogue catalogue = catalogues.current();
    Map<UUID, Recipes.Version> newest = recipes.newest();
    model.addAttribute(
        "recipes",
        recipes.all().stream()
            .map(r -> new Row(r.id(), r.name(), view(newest.get(r.id()), catalogue, fmt)))
            .toList());
    model.addAttribute("errors", errors);
    return "products/recipes";
  }

  @GetMapping("/products/recipes/{id}")
  String one(@PathVariable("id") UUID recipe, Model model) {
    Formats fmt = households.formats(households.current());
    Catalogue catalogue = catalogues.current();
    List<Recipes.Version> versions = recipes.versions(recipe);
    List<VersionView> views = new ArrayList<>();
    for (Recipes.Version version : versions) {
      views.add(view(version, catalogue, fmt));
    }
    model.addAttribute("id", recipe);
    model.addAttribute("name", versions.get(0).body().name());
    model.addAttribute("versions", views);
    return "products/recipe";
  }

  private static VersionView view(Recipes.Version version, Catalogue catalogue, Formats fmt) {
    RecipeBody body = version.body();
    List<Line> lines = new ArrayList<>();
    for (int i = 0; i < body.parts().size(); i++) {
      RecipeBody.Part part = body.parts().get(i);
      lines.add(
          new Line(
              RecipeBody.name(part, catalogue),
              fmt.number(body.percents().get(i), 1) + " %",
              fmt.g(part.grams()),
              body.percents().get(i)));
    }
    return new VersionView(
        version.number(),
        version.changed(),
        fmt.date(fmt.date(version.at())) + ", " + version.by(),
        ProductWords.making(body.making())
            + " for "
            + ProductWords.where(body.where())
            + (body.aim() > 0 ? ", hardness " + fmt.number(body.aim(), 1) : ""),
        body.notes(),
        lines,
        new ProductWords(catalogue, fmt).drops(body.drops()));
  }

  @GetMapping("/products/recipes/{id}/{number}.json")
  ResponseEntity<String> download(@PathVariable("id") UUID recipe, @PathVariable int number) {
    Recipes.Version version =
        recipes
            .version(recipe, number)
            .orElseThrow(() -> new NotFound("There is no such version."));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/ld+json"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"recipe-" + number + ".json\"")
        .body(file.write(version.body(), number, steps(version.body())));
  }

  private List<StepWords.WordedStep> steps(RecipeBody body) {
    Catalogue catalogue = catalogues.current();
    List<PartIn> parts = body.plainParts();
    Melt melt = new Melt(parts.stream().map(p -> p.ingredient(catalogue, Carrier.ROOM_C)).toList());
    Working working =
        ProductRules.working(body.plan(), parts, melt, !body.drops().isEmpty(), USUAL_TIN_ML);
    return new StepWords(catalogue, households.formats(households.current()))
        .of(working, parts, melt);
  }

  @PostMapping("/products/recipes")
  String read(
      @RequestParam(required = false) @Nullable MultipartFile recipe,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      UUID id = recipes.keep(file.read(bytes(recipe)));
      flash.addFlashAttribute("notice", "The recipe is kept.");
      return "redirect:/products/recipes/" + id;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return list(FieldErrors.of(refused), model);
    }
  }

  private static byte[] bytes(@Nullable MultipartFile sent) {
    if (sent == null) {
      return new byte[0];
    }
    try {
      return sent.getBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A recipe's name and notes as they were typed, with what is wrong with them. */
  record Typing(String name, String notes, String wrong) {}

  /**
   * Keeps what a product is made of as a recipe, or as another version of the one that it follows.
   */
  @PostMapping("/products/{code}/recipe")
  String keep(
      @PathVariable String code,
      @RequestParam @Nullable String name,
      @RequestParam @Nullable String notes,
      @RequestParam @Nullable String revises,
      RedirectAttributes flash) {
    ProductRecord product = products.find(code);
    try {
      if (Typed.blank(revises)) {
        UUID id = recipes.keep(product, Typed.text(name), Typed.text(notes));
        flash.addFlashAttribute("notice", "The recipe is kept.");
        return "redirect:/products/recipes/" + id;
      }
      UUID id = Recipes.uuid(Typed.text(revises)).orElseThrow(Recipes::none);
      recipes.revise(id, product, Typed.text(name), Typed.text(notes));
      flash.addFlashAttribute("notice", "Another version is kept, with what changed.");
      return "redirect:/products/recipes/" + id;
    } catch (Refused refused) {
      flash.addFlashAttribute(
          "typedRecipe",
          new Typing(Typed.text(name), Typed.text(notes), refused.problems().get(0).message()));
      return "redirect:/products/" + product.code() + "#recipe";
    } catch (IllegalArgumentException | StringIndexOutOfBoundsException e) {
      throw new NotFound("There is no such recipe here.");
    }
  }
}
