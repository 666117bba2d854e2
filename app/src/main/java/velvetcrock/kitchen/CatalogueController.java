package velvetcrock.kitchen;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Comparator;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;
import velvetcrock.kitchen.Catalogues.CarrierTyped;
import velvetcrock.kitchen.Catalogues.HerbTyped;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Forms;

/** The herbs and oils that the household knows, and its own figures. */
@Controller
class CatalogueController {
  private final Catalogues catalogues;

  CatalogueController(Catalogues catalogues) {
    this.catalogues = catalogues;
  }

  /** What is typed on the page; kept when it is refused. */
  record CatalogueForm(
      @Nullable String herbLike,
      @Nullable String herbName,
      @Nullable String herbBotanical,
      @Nullable String herbPart,
      @Nullable String herbWater,
      @Nullable String herbSource,
      @Nullable String oilLike,
      @Nullable String oilName,
      @Nullable String oilDensity,
      @Nullable String oilMonths,
      @Nullable String oilSource) {

    static CatalogueForm empty() {
      return new CatalogueForm(null, null, null, null, null, null, null, null, null, null, null);
    }

    HerbTyped herb() {
      return new HerbTyped(
          text(herbLike),
          text(herbName),
          text(herbBotanical),
          text(herbPart),
          text(herbWater),
          text(herbSource));
    }

    CarrierTyped oil() {
      return new CarrierTyped(
          text(oilLike), text(oilName), text(oilDensity), text(oilMonths), text(oilSource));
    }

    private static String text(@Nullable String text) {
      return text == null ? "" : text;
    }
  }

  @GetMapping("/kitchen/catalogue")
  String catalogue(Model model) {
    return page(CatalogueForm.empty(), FieldErrors.none(), model);
  }

  @PostMapping("/kitchen/catalogue/herbs")
  String keepHerb(
      CatalogueForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return kept(() -> catalogues.keep(form.herb()).name(), form, model, flash, response);
  }

  @PostMapping("/kitchen/catalogue/oils")
  String keepOil(
      CatalogueForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return kept(() -> catalogues.keep(form.oil()).name(), form, model, flash, response);
  }

  @PostMapping("/kitchen/catalogue/{id}/shipped")
  String backToShipped(@PathVariable UUID id, RedirectAttributes flash) {
    catalogues.backToShipped(id);
    flash.addFlashAttribute("notice", "The catalogue’s own figures count again.");
    return "redirect:/kitchen/catalogue";
  }

  private String kept(
      Supplier<String> work,
      CatalogueForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    return Forms.saved(
        () -> work.get() + ": kept. The bench reckons with it now.",
        "/kitchen/catalogue",
        flash,
        response,
        errors -> page(form, errors, model));
  }

  private String page(CatalogueForm form, FieldErrors errors, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute(
        "herbs",
        catalogues.current().herbs().stream().sorted(Comparator.comparing(Herb::name)).toList());
    model.addAttribute("oils", catalogues.current().carriers());
    model.addAttribute(
        "shippedHerbs",
        catalogues.shipped().herbs().stream().sorted(Comparator.comparing(Herb::name)).toList());
    model.addAttribute("shippedOils", catalogues.shipped().carriers());
    model.addAttribute("ownHerbs", catalogues.ownHerbs());
    model.addAttribute("ownOils", catalogues.ownCarriers());
    model.addAttribute("shipped", catalogues.shipped());
    model.addAttribute("parts", Part.values());
    return "kitchen/catalogue";
  }
}
