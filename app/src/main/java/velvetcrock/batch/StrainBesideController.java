package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import velvetcrock.core.care.StrainStep;
import velvetcrock.core.care.Task;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.JarFacts;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Yield;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Beside;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;

/** Straining, one step at a time. */
@Controller
class StrainBesideController {
  private final Batches batches;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Experience experience;

  StrainBesideController(
      Batches batches,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      Experience experience) {
    this.batches = batches;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.experience = experience;
  }

  @GetMapping("/batches/{code}/strain/beside")
  String beside(@PathVariable String code, Model model) {
    BatchRecord batch = batches.find(code);
    if (batch.state().strained() != null) {
      return "redirect:/batches/" + batch.code() + "/bottle";
    }
    Formats fmt = households.formats(households.current());
    BatchReckoning reckoning =
        new BatchReckoning(catalogues.current(), batch.state(), experience.own());
    String page = "/batches/" + batch.code() + "/strain";
    List<Beside.Step> steps = new ArrayList<>();
    for (StrainStep step : StrainStep.of(batch.state(), reckoning)) {
      List<Beside.Timer> timers =
          step == StrainStep.DRIP || step == StrainStep.SQUEEZE
              ? List.of(TimerWords.beside(Task.Kind.STRAIN, batch.code()))
              : List.of();
      steps.add(
          Beside.Step.of(StrainWords.inShort(step), "", StrainWords.of(step, reckoning, fmt))
              .timed(timers));
    }
    Expression usual = reckoning.usualExpression();
    Yield yield = reckoning.yield(usual);
    steps.add(
        Beside.Step.of(
                "Measure what came out",
                "about " + fmt.ml(yield.yieldMl()),
                "Likely " + fmt.ml(yield.rangeMl()) + ". One number is enough.")
            .noting(
                Beside.Act.last(
                    page,
                    Map.of("expression", List.of(usual.name())),
                    new Beside.Field("amount", "What came out?", fmt.typedMl(yield.yieldMl()), ""),
                    "Write it down")));
    List<String> known =
        cautions.of(JarFacts.strained(batch.state(), reckoning)).stream()
            .map(Caution::text)
            .toList();
    model.addAttribute(
        "beside",
        new Beside("Strain " + batch.code(), page, "The whole page", known, List.copyOf(steps)));
    model.addAttribute("fresh", FreshKeys.next());
    return "web/beside";
  }
}
