package velvetcrock.plans;

import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.drawer.LotDetails.Kind;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.outlook.Outlook;
import velvetcrock.core.outlook.Route;
import velvetcrock.drawer.Drawer;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;
import velvetcrock.web.WritesNothing;

/** The planner: what is wanted, the ways to it, and what was decided. */
@Controller
class PlansController {
  private static final int USUAL_WEEKS = 6;

  private final Plans plans;
  private final Outlooks outlooks;
  private final PlanPages pages;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Drawer drawer;

  PlansController(
      Plans plans,
      Outlooks outlooks,
      PlanPages pages,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      Drawer drawer) {
    this.plans = plans;
    this.outlooks = outlooks;
    this.pages = pages;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.drawer = drawer;
  }

  @SameUntilChanged(held = true)
  @GetMapping("/plans")
  String plans(Model model) {
    model.addAttribute("together", pages.together());
    return "plans/plans";
  }

  @SameUntilChanged
  @GetMapping("/plans/new")
  String want(WantForm form, Model model) {
    return page(form, FieldErrors.none(), model);
  }

  /** The same, for a form that changed. */
  @WritesNothing
  @PostMapping("/plans/new")
  String changed(WantForm form, Model model) {
    return page(form, FieldErrors.none(), model);
  }

  /** Only what the want comes to, for a change as it is typed. */
  @WritesNothing
  @PostMapping(path = "/plans/new", headers = "HX-Request")
  String reckoned(WantForm form, Model model) {
    WantForm completed = completed(form);
    work(completed, FieldErrors.none(), households.current(), model);
    return "plans/wanted :: answer";
  }

  @PostMapping("/plans")
  String decide(
      WantForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    WantForm completed = completed(form);
    try {
      Asked asked = reader().read(completed);
      Outlook outlook = outlooks.outlook(asked, households.minute(households.current()));
      Route route =
          outlook.routes().stream()
              .filter(r -> OutlookView.id(r).equals(Typed.text(completed.way())))
              .findFirst()
              .orElseThrow(() -> new Refused("way", "Choose one of the ways."));
      String code =
          plans.decide(asked, route, outlook.needOilMl(), Objects.requireNonNull(completed.key()));
      flash.addFlashAttribute(
          "notice", "Planned. Its herb, oil and jar are reserved for " + code + ".");
      return "redirect:/plans/" + code;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(completed, FieldErrors.of(refused), model);
    }
  }

  @SameUntilChanged
  @GetMapping("/plans/{code}")
  String plan(@PathVariable String code, Model model) {
    model.addAttribute("plan", pages.plan(plans.find(code)));
    return "plans/plan";
  }

  @PostMapping("/plans/{code}/drop")
  String drop(@PathVariable String code, RedirectAttributes flash) {
    try {
      plans.drop(code);
      flash.addFlashAttribute(
          "notice", "Given up: its herb, oil and jar are free for something else.");
    } catch (Refused refused) {
      flash.addFlashAttribute("problem", refused.problems().get(0).message());
    }
    return "redirect:/plans";
  }

  @PostMapping("/plans/settle")
  String settle(RedirectAttributes flash) {
    int moved = plans.settle();
    flash.addFlashAttribute(
        "notice",
        moved == 0
            ? "Nothing had to be moved."
            : moved == 1 ? "One plan was moved." : moved + " plans were moved.");
    return "redirect:/plans";
  }

  private String page(WantForm form, FieldErrors errors, Model model) {
    WantForm completed = completed(form);
    model.addAttribute(
        "herbs",
        catalogues.current().herbs().stream()
            .sorted(Comparator.comparing(Herb::name, String.CASE_INSENSITIVE_ORDER))
            .toList());
    model.addAttribute("parts", parts(Typed.text(completed.herb())));
    model.addAttribute("carriers", catalogues.current().carriers());
    model.addAttribute("whats", WantForm.whats());
    model.addAttribute("firmnesses", firmnesses());
    work(completed, errors, households.current(), model);
    return "plans/want";
  }

  /** What the want comes to; where it cannot be read, the errors say so. */
  private void work(WantForm completed, FieldErrors errors, Household house, Model model) {
    Formats fmt = households.formats(house);
    model.addAttribute("form", completed);
    model.addAttribute("instead", new InsteadLinks());
    model.addAttribute("view", null);
    model.addAttribute("errors", errors);
    try {
      Asked asked = reader().read(completed);
      model.addAttribute(
          "view",
          OutlookView.of(
              asked,
              outlooks.outlook(asked, households.minute(house)),
              Typed.text(completed.way()),
              households.now(house),
              catalogues.current(),
              cautions,
              fmt));
    } catch (Refused refused) {
      model.addAttribute("errors", errors.any() ? errors : FieldErrors.of(refused));
    }
  }

  /** A kind of product to choose. */
  record FirmnessChoice(String key, String words) {}

  private static List<FirmnessChoice> firmnesses() {
    return Arrays.stream(Firmness.values())
        .filter(kind -> kind != Firmness.LOTION_BAR)
        .map(kind -> new FirmnessChoice(kind.name(), Thing.words(kind)))
        .toList();
  }

  private List<String> parts(String herb) {
    return catalogues.current().herbs().stream()
        .filter(h -> h.key().equals(herb))
        .flatMap(h -> h.parts().stream())
        .map(part -> part.name().toLowerCase(Locale.ROOT))
        .toList();
  }

  private WantForm completed(WantForm form) {
    LocalDate by = households.today(households.current()).plusWeeks(USUAL_WEEKS);
    List<Drawer.Front> fronts = drawer.fronts();
    return form.completed(
        usual(fronts, Kind.HERB, "yarrow"),
        usual(fronts, Kind.CARRIER, "sunflower-high-oleic"),
        by.toString(),
        FreshKeys.next(),
        households.formats(households.current()));
  }

  /** What the drawer holds most of. */
  private static String usual(List<Drawer.Front> fronts, Kind kind, String otherwise) {
    return fronts.stream()
        .filter(front -> front.kind() == kind)
        .max(Comparator.comparingDouble(Drawer.Front::amount))
        .map(Drawer.Front::thing)
        .orElse(otherwise);
  }

  private WantReader reader() {
    return new WantReader(catalogues.current(), households.current().units());
  }
}
