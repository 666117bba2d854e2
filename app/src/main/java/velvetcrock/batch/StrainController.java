package velvetcrock.batch;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.core.care.StrainStep;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.jar.JarFacts;
import velvetcrock.core.jar.Window;
import velvetcrock.core.keeping.AntioxidantDose;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;
import velvetcrock.core.yield.Yield;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Happened;
import velvetcrock.web.KeepingWords;
import velvetcrock.web.SameUntilChanged;

/** Straining and bottling a batch. */
@Controller
class StrainController {
  private final Batches batches;
  private final StrainService strainer;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Experience experience;

  StrainController(
      Batches batches,
      StrainService strainer,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      Experience experience) {
    this.batches = batches;
    this.strainer = strainer;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.experience = experience;
  }

  /**
   * A way of expressing with what it should give.
   *
   * @param learned what the household's own batches kept; empty where there are none
   */
  record Way(Expression expression, String name, String predicted, String learned, int percent) {}

  @SameUntilChanged
  @GetMapping("/batches/{code}/strain")
  String strain(@PathVariable String code, Model model) {
    BatchRecord batch = batches.find(code);
    if (batch.state().strained() != null) {
      return "redirect:/batches/" + batch.code() + "/bottle";
    }
    return strainPage(batch, StrainForm.empty(), FieldErrors.none(), model);
  }

  @PostMapping("/batches/{code}/strain")
  String strained(
      @PathVariable String code,
      StrainForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    BatchRecord batch = batches.find(code);
    try {
      Written written = strainer.strain(batch, form, when);
      if (written.repeated()) {
        flash.addFlashAttribute("notice", "That straining is in the log already.");
      }
      return form.settles() != null
          ? "redirect:/batches/" + batch.code()
          : "redirect:/batches/" + batch.code() + "/bottle";
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return strainPage(batches.find(code), form, FieldErrors.of(refused), model);
    }
  }

  @GetMapping("/batches/{code}/bottle")
  String bottle(
      @PathVariable String code,
      BottlingForm form,
      @RequestParam @Nullable String more,
      Model model) {
    BatchRecord batch = batches.find(code);
    if (batch.state().strained() == null) {
      return "redirect:/batches/" + batch.code() + "/strain";
    }
    return bottlePage(batch, more == null ? form : form.more(), FieldErrors.none(), model);
  }

  @PostMapping("/batches/{code}/bottle")
  String bottled(
      @PathVariable String code,
      BottlingForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    BatchRecord batch = batches.find(code);
    try {
      strainer.bottle(batch, form);
      flash.addFlashAttribute("notice", batch.code() + " is bottled. Print its label.");
      BatchRecord now = batches.find(code);
      String letter = now.state().bottles().get(now.state().bottles().size() - 1).letter();
      return "redirect:/cellar/" + now.code() + "/" + letter;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return bottlePage(batch, form, FieldErrors.of(refused), model);
    }
  }

  private String strainPage(BatchRecord batch, StrainForm form, FieldErrors errors, Model model) {
    Formats fmt = households.formats(households.current());
    List<Retention.Own> own = experience.own();
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), batch.state(), own);
    Expression usual = reckoning.usualExpression();
    double inMl = batch.state().oilMl().high();
    List<Way> ways =
        Arrays.stream(Expression.values())
            .map(
                expression -> {
                  Yield yield = reckoning.yield(expression);
                  int percent = (int) Math.round(100 * yield.yieldMl() / inMl);
                  return new Way(
                      expression,
                      words(expression),
                      "about " + fmt.ml(yield.yieldMl()) + " (" + fmt.ml(yield.rangeMl()) + ")",
                      learned(reckoning, expression, own, fmt),
                      percent);
                })
            .toList();
    model.addAttribute("batch", batch);
    model.addAttribute("jar", JarView.of(batch, catalogues.current(), fmt, 1.6));
    model.addAttribute("early", early(batch, reckoning, fmt));
    model.addAttribute("askWater", askWater(batch, reckoning, fmt));
    model.addAttribute("ways", ways);
    model.addAttribute(
        "steps",
        StrainStep.of(batch.state(), reckoning).stream()
            .map(step -> StrainWords.of(step, reckoning, fmt))
            .toList());
    model.addAttribute(
        "chosen",
        Optional.ofNullable(form.expression()).filter(e -> !e.isBlank()).orElse(usual.name()));
    model.addAttribute("expected", fmt.typedMl(reckoning.yield(usual).yieldMl()));
    model.addAttribute("reckoning", reckoning.yield(usual).reckoning());
    model.addAttribute(
        "askDates", !reckoning.carrierDatesKnown() || reckoning.carrierDatesAssumed());
    model.addAttribute(
        "cautions",
        cautions.of(
            JarFacts.strained(
                batch.state(), new BatchReckoning(catalogues.current(), batch.state()))));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("key", Optional.ofNullable(form.key()).orElseGet(FreshKeys::next));
    return "batch/strain";
  }

  private static String learned(
      BatchReckoning reckoning, Expression expression, List<Retention.Own> own, Formats fmt) {
    Part part = reckoning.heaviestPart();
    Retention retention = Retention.of(part, expression, own);
    if (retention.batches() == 0) {
      return "";
    }
    String named = part.name().toLowerCase(Locale.ROOT);
    return (retention.batches() == 1
            ? "One batch of yours taught"
            : retention.batches() + " batches of yours taught")
        + ": a gram of "
        + named
        + " keeps "
        + fmt.number(retention.range().low(), 1)
        + "–"
        + fmt.number(retention.range().high(), 1)
        + " ml, "
        + fmt.number(expression.keptMlPerG(), 1)
        + " is typical";
  }

  /** That it is early and by how much; null where it is not. */
  private static @Nullable String early(BatchRecord batch, BatchReckoning reckoning, Formats fmt) {
    Window window = reckoning.window(fmt.zone());
    Window.Served served = reckoning.served(batch.readHours(), fmt.now());
    return switch (window.stage(fmt.today(), served)) {
      case NOT_BEGUN, EARLY ->
          window.byHours()
              ? "it has had "
                  + fmt.time(served.hours())
                  + " on the heat of at least "
                  + fmt.time(window.earliest())
                  + "."
              : window
                  .earliestOn()
                  .map(from -> "the usual window opens on " + fmt.date(from) + ".")
                  .orElse("it has had no oil yet.");
      case OPEN, USUAL, PAST -> null;
    };
  }

  /** Why it is asked what is seen in the oil; null where it is strained in its time and dry. */
  private static @Nullable String askWater(
      BatchRecord batch, BatchReckoning reckoning, Formats fmt) {
    if (reckoning.holdsWater()) {
      return "It has not been shown dry: as it is, it keeps 14 days in the fridge. Water that you see is"
          + " told on its bottle and on all that is made of it.";
    }
    return early(batch, reckoning, fmt) == null
        ? null
        : "Strained early: what is seen now goes with it to its bottle and to all that is made of it.";
  }

  private String bottlePage(BatchRecord batch, BottlingForm form, FieldErrors errors, Model model) {
    Formats fmt = households.formats(households.current());
    model.addAttribute("batch", batch);
    model.addAttribute("jar", JarView.of(batch, catalogues.current(), fmt, 1.6));
    model.addAttribute("difference", Difference.of(batch.state(), catalogues.current(), fmt));
    model.addAttribute(
        "unbottled", fmt.ml(new BatchReckoning(catalogues.current(), batch.state()).unbottledMl()));
    model.addAttribute(
        "allOfIt",
        fmt.typedMl(new BatchReckoning(catalogues.current(), batch.state()).unbottledMl()));
    model.addAttribute("fresh", form.amount() == null);
    model.addAttribute("doses", doses(batch, fmt));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("key", Optional.ofNullable(form.key()).orElseGet(FreshKeys::next));
    return "batch/bottle";
  }

  /** How much antioxidant all that is not bottled yet would take. */
  private List<String> doses(BatchRecord batch, Formats fmt) {
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), batch.state());
    double oilG = reckoning.unbottledMl() * reckoning.carriers().densityAt(Carrier.ROOM_C);
    return oilG <= 0
        ? List.of()
        : Arrays.stream(Store.Antioxidant.values())
            .flatMap(
                a ->
                    AntioxidantDose.of(a, oilG).stream()
                        .map(d -> named(a) + " for all of it: " + KeepingWords.dose(d, fmt)))
            .toList();
  }

  private static String named(Store.Antioxidant antioxidant) {
    return antioxidant == Store.Antioxidant.VITAMIN_E ? "Vitamin E" : "Rosemary extract";
  }

  private static String words(Expression expression) {
    return switch (expression) {
      case DRIP -> "Left to drip";
      case SQUEEZE -> "Squeezed by hand";
      case TWIST -> "Twisted in a cloth";
      case PRESS -> "Pressed";
    };
  }
}
