package velvetcrock.products;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.making.Feel;
import velvetcrock.core.making.HardnessText;
import velvetcrock.core.making.Whipping;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.core.product.Abandoned;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.MeltRead;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductRemarked;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.SkinReacted;
import velvetcrock.core.product.SpoonTested;
import velvetcrock.core.product.StirredIn;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinWent;
import velvetcrock.core.product.WhippingSeen;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Typed;

/** A pot: worked, poured, and followed tin by tin. */
@Controller
class ProductController {
  private static final Duration STOVE_FRESH = Duration.ofMinutes(10);

  private final Products products;
  private final ProductThings things;
  private final PourReader pours;
  private final ProductCost money;
  private final ProductCautions cautions;
  private final Tracing tracing;
  private final BatchReadings readings;
  private final Households households;
  private final Catalogues catalogues;

  ProductController(
      Products products,
      ProductThings things,
      PourReader pours,
      ProductCost money,
      ProductCautions cautions,
      Tracing tracing,
      BatchReadings readings,
      Households households,
      Catalogues catalogues) {
    this.products = products;
    this.things = things;
    this.pours = pours;
    this.money = money;
    this.cautions = cautions;
    this.tracing = tracing;
    this.readings = readings;
    this.households = households;
    this.catalogues = catalogues;
  }

  @GetMapping("/products/{code}")
  String product(@PathVariable String code, Model model) {
    return page(code, ProductForm.empty(), FieldErrors.none(), model);
  }

  @PostMapping("/products/{code}/log")
  String log(
      @PathVariable String code,
      ProductForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      ProductRecord product = products.find(code);
      ProductEvent event = event(form, product);
      Products.Done done = products.append(code, event, null, null, Typed.text(form.key()));
      flash.addFlashAttribute("notice", notice(event, done));
      if (!done.repeated()) {
        flash.addFlashAttribute("undoProduct", done);
      }
      return "redirect:/products/" + product.code();
    } catch (Refused refused) {
      return again(code, form, refused, model, response);
    }
  }

  /** The counts that leave the least over, for another look before pouring. */
  @PostMapping("/products/{code}/fill")
  String fill(
      @PathVariable String code, ProductForm form, Model model, HttpServletResponse response) {
    try {
      PourReader.Exact exact = pours.exact(form, products.find(code).state());
      ProductForm counted = form.with(exact.rows());
      model.addAttribute("rest", exact.restMl());
      return page(code, counted, FieldErrors.none(), model);
    } catch (Refused refused) {
      return again(code, form, refused, model, response);
    }
  }

  @PostMapping("/products/{code}/entries/{entry}/undo")
  String undo(@PathVariable String code, @PathVariable UUID entry, RedirectAttributes flash) {
    try {
      products.undo(code, entry);
      flash.addFlashAttribute("notice", "Taken back.");
    } catch (Refused refused) {
      flash.addFlashAttribute("problem", refused.problems().get(0).message());
    }
    return "redirect:/products/" + products.find(code).code();
  }

  private static String notice(ProductEvent event, Products.Done done) {
    if (!event.parts().isEmpty()) {
      return NewProductController.notice(done).replace("Weighed in.", "Added.");
    }
    return done.repeated() ? "That is in the log already." : "Noted.";
  }

  private ProductEvent event(ProductForm form, ProductRecord product) {
    ProductState state = product.state();
    return switch (Typed.text(form.kind())) {
      case "tested" ->
          new SpoonTested(harder(form), state.melt(catalogues.current()).hardness(), still(form));
      case "read" -> new MeltRead(Typed.at("celsius", () -> celsius(Typed.text(form.celsius()))));
      case "looked" -> new WhippingSeen(Typed.named(Whipping.Look.class, form.look(), "look"));
      case "added" -> added(form);
      case "poured" -> pours.read(form, state);
      case "abandoned" -> new Abandoned(form.back() != null, Typed.text(form.text()));
      case "went" ->
          new TinWent(
              Typed.text(form.tin()),
              Typed.named(TinFate.class, form.fate(), "fate"),
              Typed.text(form.to()),
              Typed.text(form.remark()));
      case "reacted" -> new SkinReacted(Typed.text(form.tin()), Typed.text(form.what()));
      case "remarked" -> new ProductRemarked(Typed.text(form.text()));
      default -> throw new Refused("kind", "Choose what to note.");
    };
  }

  /** A temperature; a bare number is in the household's degrees. */
  private double celsius(String typed) {
    boolean bare = typed.matches("\\d+([.,]\\d+)?");
    String unit = households.formats(households.current()).degreeUnit();
    return Temperatures.read(bare ? typed + " " + unit : typed);
  }

  private static double harder(ProductForm form) {
    if (!Typed.blank(form.feel())) {
      return Typed.named(Feel.class, form.feel(), "feel").deltaHardness();
    }
    return Typed.at("harder", () -> Typed.number(form.harder(), -6, 6, "of hardness"));
  }

  private StirredIn added(ProductForm form) {
    Problems problems = new Problems();
    Household house = households.current();
    List<PartIn> parts = new ArrayList<>();
    List<NewProductForm.Row> rows = form.parts() == null ? List.of() : form.parts();
    for (int i = 0; i < rows.size(); i++) {
      NewProductForm.Row row = rows.get(i);
      if (row == null || Typed.blank(row.amount())) {
        continue;
      }
      String at = "parts[" + i + "]";
      ProductThings.Thing thing = problems.attempt(at + ".thing", () -> things.find(row.thing()));
      if (thing != null) {
        String amount = Typed.text(row.amount());
        Double grams =
            problems.attempt(
                at + ".amount", () -> ProductReader.grams(thing, amount, house.kitchen()));
        if (grams != null) {
          parts.add(thing.weighed(grams, amount));
        }
      }
    }
    List<DropsIn> drops = ProductReader.drops(form.drops(), catalogues.current(), problems);
    problems.refuseIfAny();
    return new StirredIn(parts, drops, Typed.text(form.reason()));
  }

  private String again(
      String code, ProductForm form, Refused refused, Model model, HttpServletResponse response) {
    response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
    return page(code, form, FieldErrors.of(refused), model);
  }

  private String page(String code, ProductForm form, FieldErrors errors, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    Catalogue catalogue = catalogues.current();
    ProductRecord product = products.find(code);
    ProductState state = product.state();
    Wax wax = catalogue.wax(mainWax(state));
    int tins = Math.max(1, state.tins().size());
    boolean inThePan = state.status() == ProductState.Status.IN_THE_PAN;
    ProductView.Basis known =
        new ProductView.Basis(
            product,
            products.log(product),
            tracing.sources(product, fmt),
            money.bill(state.parts(), tins),
            products.taste(wax.key(), state.plan().making().stiff().orElse(null)),
            new HardnessText(wax, catalogue.carrier("olive"), house.kitchen()),
            cautions.of(state.plan(), allParts(state), state.plan().where(), allDrops(state)),
            inThePan ? stove(fmt) : Optional.empty(),
            pours.fillsMl(state));
    model.addAttribute("product", ProductView.of(known, catalogue, fmt));
    model.addAttribute("recipe", state.plan().recipe());
    model.addAttribute("where", state.plan().where().name());
    model.addAttribute("vessel", NewProductView.vessel(state.plan().making(), 2));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("key", form.key() == null ? UUID.randomUUID().toString() : form.key());
    model.addAttribute("feels", NewProductView.feels());
    model.addAttribute("fates", fates());
    model.addAttribute("essentials", catalogue.essentialOils());
    model.addAttribute("wheres", ProductWords.wheres());
    model.addAttribute("extras", inThePan ? things.stirredInLast() : List.of());
    model.addAttribute("choices", inThePan ? things.choices(fmt) : List.of());
    return "products/product";
  }

  private Optional<ProductState.Reading> stove(Formats fmt) {
    return readings
        .onTheStove(fmt.now().minus(STOVE_FRESH))
        .map(r -> new ProductState.Reading(r.at(), r.celsius()));
  }

  private static List<PartIn> allParts(ProductState state) {
    List<PartIn> parts = new ArrayList<>(state.parts());
    state.groups().forEach(g -> parts.addAll(g.extras()));
    return parts;
  }

  private static List<DropsIn> allDrops(ProductState state) {
    List<DropsIn> drops = new ArrayList<>(state.drops());
    state.groups().forEach(g -> drops.addAll(g.drops()));
    return drops;
  }

  private static String mainWax(ProductState state) {
    return state.parts().stream()
        .filter(p -> p.kind() == PartIn.Kind.WAX)
        .max((a, b) -> Double.compare(a.massG(), b.massG()))
        .map(PartIn::key)
        .orElse("beeswax");
  }

  /** What is still in the pan, g; null where nothing was said. */
  private static @Nullable Double still(ProductForm form) {
    String typed = Typed.text(form.still()).replaceAll("\\s*g$", "");
    return typed.isEmpty() ? null : Typed.at("still", () -> Typed.number(typed, 1, 100_000, "g"));
  }

  private static Map<String, String> fates() {
    Map<String, String> fates = new LinkedHashMap<>();
    for (TinFate fate : TinFate.values()) {
      fates.put(fate.name(), ProductWords.fate(fate));
    }
    return fates;
  }
}
