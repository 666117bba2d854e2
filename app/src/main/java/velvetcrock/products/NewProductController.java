package velvetcrock.products;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.util.UriComponentsBuilder;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Claims;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.HardnessText;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.Melt;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.measure.Quantity;
import velvetcrock.core.product.ProductRules;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Happened;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;
import velvetcrock.web.WritesNothing;

/** Where a product is thought out and weighed in. */
@Controller
class NewProductController {
  private static final Claims CLAIMS = Claims.shipped();

  private final Products products;
  private final ProductReader reader;
  private final ProductThings things;
  private final ProductCost money;
  private final ProductCautions cautions;
  private final RecipeStart recipes;
  private final Households households;
  private final Catalogues catalogues;

  NewProductController(
      Products products,
      ProductReader reader,
      ProductThings things,
      ProductCost money,
      ProductCautions cautions,
      RecipeStart recipes,
      Households households,
      Catalogues catalogues) {
    this.products = products;
    this.reader = reader;
    this.things = things;
    this.money = money;
    this.cautions = cautions;
    this.recipes = recipes;
    this.households = households;
    this.catalogues = catalogues;
  }

  @SameUntilChanged
  @GetMapping("/products/new")
  String fresh(NewProductForm form, @RequestParam @Nullable String from, Model model) {
    NewProductForm started =
        recipes
            .start(Typed.text(form.recipe()), from)
            .orElseGet(() -> form.completed(usual(form.making(), from), formats()));
    return page(started, FieldErrors.none(), model);
  }

  /** The same, for a sentence that changed. */
  @WritesNothing
  @PostMapping("/products/new")
  String changed(NewProductForm form, Model model) {
    return page(
        form.completed(usual(form.making(), form.firstOil()), formats()),
        FieldErrors.none(),
        model);
  }

  /** The same scaled to another amount of its first part that has one. */
  @WritesNothing
  @PostMapping("/products/new/scale")
  String scale(
      NewProductForm form, @RequestParam String to, Model model, HttpServletResponse response) {
    NewProductForm typed = form.completed(usual(form.making(), form.firstOil()), formats());
    return rewritten(typed, model, response, order -> scaled(typed, order, to));
  }

  /** The same with one part exchanged for another and the feel kept. */
  @WritesNothing
  @PostMapping("/products/new/exchange")
  String exchange(
      NewProductForm form,
      @RequestParam int part,
      @RequestParam String instead,
      Model model,
      HttpServletResponse response) {
    NewProductForm typed = form.completed(usual(form.making(), form.firstOil()), formats());
    return rewritten(
        typed,
        model,
        response,
        order -> {
          if (part < 0 || part >= order.parts().size()) {
            throw new Refused("instead", "Choose one of the parts.");
          }
          ProductThings.Thing other = Typed.at("instead", () -> things.find(instead));
          Ingredient counted =
              other.part().ingredient(catalogues.current(), order.plan().usedAtC());
          Melt melt = order.melt().exchanged(part, counted);
          return rows(typed, melt, part, instead);
        });
  }

  private interface Rewriting {
    List<NewProductForm.Row> of(ProductOrder order);
  }

  private String rewritten(
      NewProductForm typed, Model model, HttpServletResponse response, Rewriting rewriting) {
    try {
      return page(typed.with(rewriting.of(reader.read(typed))), FieldErrors.none(), model);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(typed, FieldErrors.of(refused), model);
    }
  }

  /** To so much of its first part, or so much in all where a number of tins is named. */
  private List<NewProductForm.Row> scaled(NewProductForm typed, ProductOrder order, String to) {
    Household house = households.current();
    ProductThings.Thing first =
        Typed.at("to", () -> things.find(Objects.requireNonNull(typed.parts()).get(0).thing()));
    double wanted =
        Typed.at("to", () -> ProductReader.grams(first, Typed.text(to), house.kitchen()));
    double factor = wanted / order.melt().parts().get(0).massG();
    return rows(typed, order.melt().scaledTo(order.melt().massG() * factor), -1, "");
  }

  private List<NewProductForm.Row> rows(
      NewProductForm typed, Melt melt, int exchanged, String instead) {
    List<NewProductForm.Row> rows = new ArrayList<>();
    List<NewProductForm.Row> before = Objects.requireNonNull(typed.parts());
    for (int i = 0; i < before.size(); i++) {
      rows.add(
          new NewProductForm.Row(
              i == exchanged ? instead : before.get(i).thing(),
              formats().typedG(melt.parts().get(i).massG())));
    }
    return rows;
  }

  @PostMapping("/products")
  String begin(
      NewProductForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    NewProductForm typed = form.completed(usual(form.making(), form.firstOil()), formats());
    try {
      ProductOrder order = reader.read(typed);
      Products.Done done =
          products.begin(order.begun(), when.at(), Objects.requireNonNull(typed.sent().key()));
      flash.addFlashAttribute("notice", notice(done));
      return "redirect:/products/" + done.code();
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(typed, FieldErrors.of(refused), model);
    }
  }

  /** What is said after something was taken. */
  static String notice(Products.Done done) {
    if (done.repeated()) {
      return "That is in the log already; nothing was taken twice.";
    }
    return done.lacked().isEmpty()
        ? "Weighed in."
        : "Weighed in. The drawer had less than that of "
            + String.join(", ", done.lacked())
            + ": count it there.";
  }

  private String page(NewProductForm form, FieldErrors errors, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    Catalogue catalogue = catalogues.current();
    FieldErrors found = errors;
    ProductReader.Rows rows = reader.rows(form);
    NewProductView view = null;
    try {
      view = view(reader.read(rows), house, fmt, catalogue);
    } catch (Refused refused) {
      found = errors.any() ? errors : FieldErrors.of(refused);
    }
    List<String> claims =
        CLAIMS.in(Typed.text(form.name()), catalogue.herbs().stream().map(h -> h.name()).toList());
    model.addAttribute("claims", claims.isEmpty() ? "" : Claims.asked(claims));
    model.addAttribute("infuseFirst", infuseFirst(form));
    model.addAttribute("canBe", view == null ? canBe(rows) : List.of());
    model.addAttribute("form", form);
    model.addAttribute("view", view);
    model.addAttribute("errors", found);
    model.addAttribute("choices", things.choices(fmt));
    model.addAttribute("makings", makings());
    model.addAttribute("wheres", ProductWords.wheres());
    model.addAttribute("essentials", catalogue.essentialOils());
    model.addAttribute("making", Typed.named(ProductKind.class, makingOf(form), "making"));
    model.addAttribute("forWhats", StepWords.FOR_WHAT);
    model.addAttribute("recipes", recipes.all());
    return "products/new";
  }

  /** The bench's sentence with the fats of this one, for herb that goes straight into them. */
  private static String infuseFirst(NewProductForm form) {
    UriComponentsBuilder bench = UriComponentsBuilder.fromPath("/bench");
    int at = 0;
    for (NewProductForm.Row row : Objects.requireNonNull(form.parts())) {
      String thing = Typed.text(row.thing());
      if (thing.startsWith("carrier:")) {
        String oil = "oils[" + at++ + "].";
        bench.queryParam(oil + "carrier", thing.substring("carrier:".length()));
        bench.queryParam(oil + "share", Typed.text(row.amount()));
      }
    }
    return at == 0 ? "" : bench.queryParam("method", "WARM").encode().build().toUriString();
  }

  /** What else the sentence as it stands would make, where it makes nothing of its kind. */
  private List<Map.Entry<String, String>> canBe(ProductReader.Rows rows) {
    return reader.canBe(rows).stream()
        .map(kind -> Map.entry(kind.name(), ProductWords.making(kind)))
        .toList();
  }

  private static String makingOf(NewProductForm form) {
    return Arrays.stream(ProductKind.values()).anyMatch(m -> m.name().equals(form.making()))
        ? Objects.requireNonNull(form.making())
        : ProductKind.SALVE.name();
  }

  private NewProductView view(
      ProductOrder order, Household house, Formats fmt, Catalogue catalogue) {
    ProductRules rules = new ProductRules(catalogue);
    String passed =
        rules.wantsReason(
            order.parts(), order.drops(), order.melt().volumeMl(), order.plan().where());
    int tins =
        order.plan().making().filled()
            ? (int) Math.max(1, Math.floor(order.fillsMl() / order.tinMl() + 1e-6))
            : 1;
    Working working =
        ProductRules.working(
            order.plan(), order.parts(), order.melt(), !order.drops().isEmpty(), order.tinMl());
    return NewProductView.of(
        new NewProductView.Basis(
            order,
            ProductReader.keeping(order, fmt.today()),
            money.bill(order.parts(), tins),
            passed,
            new StepWords(catalogue, fmt).of(working, order.parts(), order.melt()),
            cautions.of(order.plan(), order.parts(), order.plan().where(), order.drops()),
            new HardnessText(order.wax(), catalogue.carrier("olive"), house.units())),
        catalogue,
        fmt);
  }

  /** What a product of a kind begins with: the oil to be used first, and what stiffens it. */
  private List<NewProductForm.Row> usual(@Nullable String making, @Nullable String from) {
    String oil =
        from == null || from.isBlank()
            ? things.first(households.today(households.current()))
            : from;
    ProductKind kind =
        Arrays.stream(ProductKind.values())
            .filter(m -> m.name().equals(making))
            .findFirst()
            .orElse(ProductKind.SALVE);
    return switch (kind) {
      case LOTION_BAR ->
          List.of(
              row(oil, 60),
              row("carrier:shea", "60 g", "2 oz"),
              new NewProductForm.Row("wax:beeswax", ""));
      case WHIPPED_BUTTER ->
          buttery(oil)
              ? List.of(new NewProductForm.Row(oil, "all"))
              : List.of(
                  row(oil, 50),
                  new NewProductForm.Row(
                      "carrier:shea", formats().typedG(Math.ceil(massG(oil, 50)))),
                  new NewProductForm.Row("carrier:mango-butter", ""));
      case POMADE ->
          List.of(
              row(oil, 60),
              row("carrier:cocoa-butter", "15 g", "½ oz"),
              row("carrier:shea", "15 g", "½ oz"),
              new NewProductForm.Row("wax:beeswax", ""));
      case COMPRESS_PADS -> List.of(row("carrier:coconut", "100 g", "3½ oz"), row(oil, 20));
      case MASSAGE_OIL, BATH_OIL, DRAWN -> List.of(row(oil, 100));
      case POULTICE -> List.of(row(things.firstMarc(), "60 g", "2 oz"));
      default -> List.of(row(oil, 100), new NewProductForm.Row("wax:beeswax", ""));
    };
  }

  /** Whether an oil was infused in so much butter that it can be whipped as it is. */
  private boolean buttery(String oil) {
    try {
      ProductThings.Thing thing = things.find(oil);
      return thing.part().infused() != null
          && thing.part().ingredient(catalogues.current(), Carrier.ROOM_C).hardness()
              >= Firmness.WHIPPED_BUTTER.hardness().low();
    } catch (Refused refused) {
      return false;
    }
  }

  /** What so many ml of an oil weigh, or all of it where there is less, g. */
  private double massG(String oil, double ml) {
    try {
      ProductThings.Thing thing = things.find(oil);
      return Math.min(thing.thereG(), ml * thing.substance().usual());
    } catch (Refused refused) {
      return ml;
    }
  }

  /** So many ml of an oil, or all of it where there is less. */
  private NewProductForm.Row row(String oil, double ml) {
    try {
      ProductThings.Thing thing = things.find(oil);
      boolean less = thing.thereG() < ml * thing.substance().usual();
      return new NewProductForm.Row(oil, less ? "all" : formats().typedMl(ml));
    } catch (Refused refused) {
      return new NewProductForm.Row(oil, formats().typedMl(ml));
    }
  }

  private NewProductForm.Row row(String thing, String metric, String customary) {
    return new NewProductForm.Row(thing, formats().proposed(Quantity.WEIGHT, metric, customary));
  }

  private Formats formats() {
    return households.formats(households.current());
  }

  private static Map<String, String> makings() {
    return Arrays.stream(ProductKind.values())
        .collect(
            Collectors.toMap(
                ProductKind::name, ProductWords::making, (a, b) -> a, LinkedHashMap::new));
  }
}
