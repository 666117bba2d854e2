package velvetcrock.products;

import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinFate;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CanWait;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Happened;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;

/** A product: worked, poured, and followed tin by tin. */
@Controller
class ProductController {
  private final Products products;
  private final ProductBasis basis;
  private final ProductLogReader reader;
  private final PourReader pours;
  private final ProductThings things;
  private final Households households;
  private final Catalogues catalogues;

  ProductController(
      Products products,
      ProductBasis basis,
      ProductLogReader reader,
      PourReader pours,
      ProductThings things,
      Households households,
      Catalogues catalogues) {
    this.products = products;
    this.basis = basis;
    this.reader = reader;
    this.pours = pours;
    this.things = things;
    this.households = households;
    this.catalogues = catalogues;
  }

  @SameUntilChanged
  @GetMapping("/products/{code}")
  String product(@PathVariable String code, Model model) {
    return page(code, ProductForm.empty(), FieldErrors.none(), model);
  }

  @CanWait
  @PostMapping("/products/{code}/log")
  String log(
      @PathVariable String code,
      ProductForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      ProductRecord product = products.find(code);
      ProductEvent event = reader.event(form, product);
      Products.Done done = products.append(code, event, when.at(), null, Typed.text(form.key()));
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
    boolean inThePan = state.status() == ProductState.Status.IN_THE_PAN;
    model.addAttribute("product", ProductView.of(basis.of(product, house, fmt), catalogue, fmt));
    model.addAttribute("recipe", state.plan().recipe());
    Intent.Tins tins = state.filling().kept() ? null : state.plan().tins();
    model.addAttribute("tinSize", tins == null ? fmt.usualVessel() : fmt.typedMl(tins.ml()));
    model.addAttribute(
        "tinCount", tins == null || tins.count() == 0 ? "" : String.valueOf(tins.count()));
    model.addAttribute("leftToFill", pours.fillsMl(state));
    model.addAttribute("where", state.plan().where().name());
    model.addAttribute("vessel", NewProductView.vessel(state.plan().making(), 2));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("key", form.key() == null ? FreshKeys.next() : form.key());
    model.addAttribute("feels", NewProductView.feels());
    model.addAttribute("fates", fates());
    model.addAttribute("essentials", catalogue.essentialOils());
    model.addAttribute("wheres", ProductWords.wheres());
    model.addAttribute("extras", inThePan ? things.stirredInLast() : List.of());
    model.addAttribute("choices", inThePan ? things.choices(fmt) : List.of());
    return "products/product";
  }

  private static Map<String, String> fates() {
    Map<String, String> fates = new LinkedHashMap<>();
    for (TinFate fate : TinFate.values()) {
      fates.put(fate.name(), ProductWords.fate(fate));
    }
    return fates;
  }
}
