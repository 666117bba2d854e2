package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import velvetcrock.core.caution.Caution;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Beside;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;

/** Making a product, one step at a time. */
@Controller
class ProductBesideController {
  private static final double SECONDS = 60;

  private final Products products;
  private final ProductBasis basis;
  private final Households households;
  private final Catalogues catalogues;

  ProductBesideController(
      Products products, ProductBasis basis, Households households, Catalogues catalogues) {
    this.products = products;
    this.basis = basis;
    this.households = households;
    this.catalogues = catalogues;
  }

  @GetMapping("/products/{code}/beside")
  String beside(@PathVariable String code, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    ProductView view =
        ProductView.of(basis.of(products.find(code), house, fmt), catalogues.current(), fmt);
    String page = "/products/" + view.head().code();
    List<Beside.Step> steps = new ArrayList<>();
    for (StepWords.WordedStep step : view.work().steps()) {
      steps.add(worded(step, view, fmt));
    }
    if (view.stage().pouring()) {
      steps.add(
          Beside.Step.of(
              "Pour it", fmt.ml(view.melt().fillsMl()), "Count the tins on the product’s page."));
    }
    if (steps.isEmpty()) {
      return "redirect:" + page;
    }
    List<String> cautions = view.cautions().stream().map(Caution::text).toList();
    model.addAttribute(
        "beside",
        new Beside(
            view.head().name() + ", " + view.head().code(),
            page,
            "The whole page",
            cautions,
            List.copyOf(steps)));
    model.addAttribute("fresh", FreshKeys.next());
    return "web/beside";
  }

  /** Where a step has a temperature, the thermometer can be noted beside it. */
  private static Beside.Step worded(StepWords.WordedStep step, ProductView view, Formats fmt) {
    List<Beside.Timer> timers =
        step.clocks().stream()
            .filter(clock -> clock.seconds() > 0)
            .map(
                clock ->
                    new Beside.Timer(
                        step.what() + (clock.where().isEmpty() ? "" : " " + clock.where()),
                        Math.round(clock.seconds() / SECONDS) + " min",
                        clock.seconds() / SECONDS))
            .toList();
    Beside.Step said = Beside.Step.of(step.what(), step.when(), step.detail()).timed(timers);
    boolean warm = step.warmed() && view.stage().inThePan();
    return warm
        ? said.noting(
            Beside.Act.noted(
                "/products/" + view.head().code() + "/log",
                Map.of("kind", List.of("read")),
                new Beside.Field(
                    "celsius", "It reads", fmt.degreeUnit().equals("°F") ? "144 F" : "62 C", ""),
                "Note it"))
        : said;
  }
}
