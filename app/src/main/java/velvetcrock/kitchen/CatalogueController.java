package velvetcrock.kitchen;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Figures;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.References;
import velvetcrock.core.measure.Units;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Forms;
import velvetcrock.web.NotFound;
import velvetcrock.web.SameUntilChanged;

/** The herbs, oils, waxes and drops that the household knows, and its own figures. */
@Controller
class CatalogueController {
  private final Catalogues catalogues;
  private final Households households;

  CatalogueController(Catalogues catalogues, Households households) {
    this.catalogues = catalogues;
    this.households = households;
  }

  /** A kind with what ships of it, to be chosen from. */
  record Kind(OwnKind kind, List<OwnKind.Choice> shipped) {}

  /** A thing of one's own with its own figures in words. */
  record Own(UUID id, String name, String words, boolean replaces) {
    static Own of(OwnThing thing) {
      String figures =
          thing.kind().figures().stream()
              .filter(f -> thing.figures().containsKey(f.key()))
              .map(
                  f ->
                      f.label().toLowerCase()
                          + " "
                          + Figures.plain(thing.figures().get(f.key()))
                          + (f.unit().isEmpty() ? "" : " " + f.unit()))
              .collect(Collectors.joining(", "));
      return new Own(
          thing.id(),
          thing.name(),
          figures.isEmpty() ? thing.source() : figures + "; " + thing.source(),
          thing.replaces());
    }
  }

  @SameUntilChanged(held = true)
  @GetMapping("/kitchen/catalogue")
  String catalogue(Model model) {
    return page(OwnTyped.empty(), FieldErrors.none(), model);
  }

  @PostMapping("/kitchen/catalogue/own/{kind}")
  String keep(
      @PathVariable OwnKind kind,
      OwnTyped form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Units.Degrees own = households.current().units().degrees();
    return Forms.saved(
        () ->
            catalogues.keep(kind, form.inCelsius(kind, own))
                + ": kept. It is reckoned with from now on.",
        "/kitchen/catalogue",
        flash,
        response,
        errors -> page(form.of(kind), errors, model));
  }

  @PostMapping("/kitchen/catalogue/{id}/shipped")
  String backToShipped(@PathVariable UUID id, RedirectAttributes flash) {
    catalogues.backToShipped(id);
    flash.addFlashAttribute("notice", "The catalogue’s own figures count again.");
    return "redirect:/kitchen/catalogue";
  }

  /** Where a thing's figures come from, and how much a result moves with them. */
  @GetMapping("/kitchen/catalogue/sure/{table}/{key}")
  String sure(@PathVariable References.Table table, @PathVariable String key, Model model) {
    boolean own =
        catalogues.own().stream().anyMatch(o -> o.key().equals(key) && kindOf(o.kind()) == table);
    model.addAttribute(
        "sure",
        SureView.of(table, key, catalogues.current(), own, households.formats(households.current()))
            .orElseThrow(() -> new NotFound("There is no such thing in the catalogue.")));
    return "kitchen/sure";
  }

  private static References.Table kindOf(OwnKind kind) {
    return switch (kind) {
      case HERB -> References.Table.HERBS;
      case CARRIER -> References.Table.CARRIERS;
      case WAX -> References.Table.WAXES;
      case POWDER -> References.Table.POWDERS;
      case ESSENTIAL_OIL -> References.Table.ESSENTIAL_OILS;
    };
  }

  private String page(OwnTyped form, FieldErrors errors, Model model) {
    Catalogue current = catalogues.current();
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("catalogue", current);
    model.addAttribute("words", new CatalogueWords());
    model.addAttribute("allergens", OwnSafety.ALLERGENS);
    model.addAttribute("hazards", OwnSafety.HAZARDS);
    model.addAttribute(
        "herbs", current.herbs().stream().sorted(Comparator.comparing(Herb::name)).toList());
    model.addAttribute(
        "kinds",
        Arrays.stream(OwnKind.values())
            .map(kind -> new Kind(kind, kind.shipped(catalogues.shipped())))
            .toList());
    model.addAttribute("own", catalogues.own().stream().map(Own::of).toList());
    model.addAttribute("references", References.shipped().all());
    return "kitchen/catalogue";
  }
}
