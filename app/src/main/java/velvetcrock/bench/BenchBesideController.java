package velvetcrock.bench;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.charge.Charge.Levels;
import velvetcrock.core.materia.HerbState;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Beside;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;

/** Charging a jar, one step at a time, from the sentence of the bench. */
@Controller
class BenchBesideController {
  private final BenchAround around;
  private final Planner planner;
  private final Households households;
  private final Catalogues catalogues;

  BenchBesideController(
      BenchAround around, Planner planner, Households households, Catalogues catalogues) {
    this.around = around;
    this.planner = planner;
    this.households = households;
    this.catalogues = catalogues;
  }

  @GetMapping("/bench/beside")
  String beside(BenchForm form, ChargeForm charging, HttpServletRequest request, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    WishReader.Bench bench = around.of(house);
    String query = request.getQueryString();
    String back = query == null ? "/bench" : "/bench?" + query;
    Reckoned plan;
    try {
      plan = planner.plan(around.completed(form, bench.places()), bench, fmt.today());
    } catch (Refused refused) {
      return "redirect:" + back;
    }
    BenchView view =
        BenchView.of(plan, bench, catalogues.current(), charging.chargedOnOr(fmt.today()), fmt);
    List<Beside.Step> steps = new ArrayList<>();
    steps.add(Beside.Step.of("Clean and dry", plan.jar().name(), view.clean()));
    steps.addAll(weighed(plan, fmt));
    steps.addAll(poured(plan, fmt));
    steps.add(charged(view, sent(request)));
    model.addAttribute(
        "beside",
        new Beside(
            "Charge the jar",
            back,
            "Back to the bench",
            plan.cautions().stream().map(Caution::text).toList(),
            List.copyOf(steps)));
    model.addAttribute("fresh", FreshKeys.next());
    return "web/beside";
  }

  private static List<Beside.Step> weighed(Reckoned plan, Formats fmt) {
    List<Beside.Step> steps = new ArrayList<>();
    for (Wish.InHerb herb : plan.wish().herbs()) {
      steps.add(
          Beside.Step.of(
              "Weigh " + herb.portion().herb().name(),
              fmt.g(herb.massG().middle() * plan.share()),
              EnumWords.capital(herb.portion().cut().name().toLowerCase(Locale.ROOT))
                  + ". Into the jar, without pressing it down."));
    }
    plan.spirit()
        .ifPresent(
            spirit ->
                steps.add(
                    Beside.Step.of(
                        "Dampen it with spirit",
                        fmt.g(spirit.spiritMassG()),
                        "Mix until it is evenly damp, cover it, and let it rest. No flame near: its vapour catches"
                            + " fire.")));
    return steps;
  }

  private static List<Beside.Step> poured(Reckoned plan, Formats fmt) {
    List<Beside.Step> steps = new ArrayList<>();
    if (plan.spirit().isPresent()) {
      return steps;
    }
    Levels levels = plan.charge().levels().orElseThrow();
    double all = plan.wish().oils().stream().mapToDouble(Wish.InOil::share).sum();
    double first = plan.filled().get(0).pouredMl().middle();
    for (Wish.InOil oil : plan.wish().oils()) {
      steps.add(
          Beside.Step.of(
              "Pour " + oil.carrier().name(),
              fmt.volume(first * oil.share() / all),
              "It stands at about " + fmt.mm(levels.standingOilMm()) + " from the bottom then."));
    }
    steps.add(
        Beside.Step.of(
            "Let the air out",
            "",
            "Run a clean dry stick round the glass until no more bubbles rise. Every leaf has to be under the oil."));
    if (plan.charge().topUpMl() >= 1) {
      steps.add(
          Beside.Step.of(
              "Keep some for topping up",
              fmt.ml(plan.charge().topUpMl()),
              "The herb swells, and wants so much more within the first days."));
    }
    boolean dried = plan.wish().portions().stream().allMatch(h -> h.state() == HerbState.DRIED);
    steps.add(
        Beside.Step.of(
            dried ? "Close it" : "Cover it loosely",
            "",
            dried
                ? "Wipe the rim dry first, and write the code on the lid once it is charged."
                : "A cloth and no lid, so that the herb’s water can leave."));
    return steps;
  }

  private static Beside.Step charged(BenchView view, Map<String, List<String>> sent) {
    return Beside.Step.of(
            view.spirit() ? "Dampened" : "Charged",
            view.answer().headline(),
            view.answer().underline())
        .noting(
            Beside.Act.last(
                "/bench/charge",
                sent,
                new Beside.Field("clean", view.clean(), "", "yes"),
                view.spirit() ? "Dampen the herb" : "Charge the jar"));
  }

  /** The sentence as it was sent, for the charging at the end. */
  private static Map<String, List<String>> sent(HttpServletRequest request) {
    Map<String, List<String>> sent = new LinkedHashMap<>();
    request
        .getParameterMap()
        .forEach(
            (name, values) -> {
              if (!name.equals("clean") && !name.equals("_csrf") && !name.equals("set")) {
                sent.put(name, Arrays.asList(values));
              }
            });
    return sent;
  }
}
