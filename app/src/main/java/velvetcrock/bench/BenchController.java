package velvetcrock.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.Batches;
import velvetcrock.batch.Written;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Refused;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.log.Event;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Place;
import velvetcrock.web.Dates;
import velvetcrock.web.FieldErrors;

/** The bench: the sentence, what it comes to, and charging the jar. */
@Controller
class BenchController {
  private final Planner planner;
  private final Households households;
  private final Batches batches;
  private final Catalogues catalogues;

  BenchController(Planner planner, Households households, Batches batches, Catalogues catalogues) {
    this.planner = planner;
    this.households = households;
    this.batches = batches;
    this.catalogues = catalogues;
  }

  @GetMapping("/bench")
  String bench(BenchForm form, Model model) {
    return page(form, new ChargeForm(null, null, null, null, null), FieldErrors.none(), model);
  }

  @PostMapping("/bench")
  String again(BenchForm form, ChargeForm charging, Model model) {
    return page(form, charging, FieldErrors.none(), model);
  }

  /** Only what the sentence comes to, for a change as it is typed. */
  @PostMapping("/bench/reckon")
  String reckon(BenchForm form, Model model) {
    Household house = households.current();
    Planner.Bench bench = bench(house);
    work(completed(form, bench.places()), bench, house, FieldErrors.none(), model);
    model.addAttribute("fragment", true);
    return "bench/reckoned :: answer";
  }

  @PostMapping("/bench/charge")
  String charge(
      BenchForm form,
      ChargeForm charging,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    try {
      Planner.Bench bench = bench(house);
      BenchForm completed = completed(form, bench.places());
      Event.Charged event = event(completed, charging, bench, house);
      Written written = batches.charge(event, Optional.ofNullable(charging.key()).orElse(""));
      flash.addFlashAttribute(
          "notice",
          written.repeated()
              ? written.code() + " was charged already."
              : "Charged: write " + written.code() + " on the lid.");
      return "redirect:/batches/" + written.code();
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(form, charging, FieldErrors.of(refused), model);
    }
  }

  private Event.Charged event(
      BenchForm form, ChargeForm charging, Planner.Bench bench, Household house) {
    Plan plan = planner.plan(form, bench);
    LocalDate today = households.today(house);
    Problems problems = new Problems();
    LocalDate on =
        Optional.ofNullable(
                problems.attempt("chargedOn", () -> orToday(charging.chargedOn(), today)))
            .orElse(today);
    problems.require(!on.isAfter(today), "chargedOn", "A jar is charged today or earlier.");
    LocalDate bestBefore = problems.attempt("bestBefore", () -> Dates.read(charging.bestBefore()));
    LocalDate opened = problems.attempt("openedOn", () -> Dates.read(charging.openedOn()));
    problems.require(
        opened == null || !opened.isAfter(today),
        "openedOn",
        "The oil was opened today or earlier.");
    problems.require(
        charging.clean() != null,
        "clean",
        "Tick this once jar and herb are clean and bone-dry: damp spoils the oil.");
    plan.cautions().stream()
        .filter(c -> plan.stopped() && c.level() == Caution.Level.STOP)
        .findFirst()
        .ifPresent(c -> problems.add("stop", c.text() + " " + c.turnTo()));
    problems.refuseIfAny();
    HerbPortion herb = plan.order().herbs().get(0);
    return new Event.Charged(
        plan.place().method(),
        List.of(
            new Event.HerbIn(
                herb.herb().key(),
                herb.part(),
                herb.cut(),
                herb.state(),
                plan.herbG(),
                herb.waterFraction(),
                Optional.ofNullable(form.amount()).orElse(""))),
        List.of(
            new Event.OilIn(
                plan.order().carriers().shares().get(0).carrier().key(),
                1,
                bestBefore,
                opened,
                null)),
        Range.exactly(plan.charge().oilMl()),
        "",
        new Event.JarIn(plan.jar().name(), plan.jar().brimMl(), plan.jar().innerDiameterMm()),
        plan.order().coverMm(),
        plan.use(),
        plan.place().stand(),
        on,
        0,
        false,
        true);
  }

  private static LocalDate orToday(@Nullable String typed, LocalDate today) {
    return Optional.ofNullable(Dates.read(typed)).orElse(today);
  }

  private String page(BenchForm form, ChargeForm charging, FieldErrors errors, Model model) {
    Household house = households.current();
    Planner.Bench bench = bench(house);
    BenchForm completed = completed(form, bench.places());
    model.addAttribute("charging", charging);
    model.addAttribute(
        "key", Optional.ofNullable(charging.key()).orElseGet(() -> UUID.randomUUID().toString()));
    model.addAttribute(
        "herbs",
        catalogues.current().herbs().stream()
            .sorted((a, b) -> a.name().compareToIgnoreCase(b.name()))
            .toList());
    model.addAttribute("carriers", catalogues.current().carriers());
    model.addAttribute("jars", bench.jars());
    model.addAttribute("places", bench.places());
    model.addAttribute("cuts", Cut.values());
    model.addAttribute("uses", Use.values());
    work(completed, bench, house, errors, model);
    return "bench/bench";
  }

  private void work(
      BenchForm form, Planner.Bench bench, Household house, FieldErrors errors, Model model) {
    model.addAttribute("form", form);
    try {
      Plan plan = planner.plan(form, bench);
      model.addAttribute("view", BenchView.of(plan, households.formats(house)));
      model.addAttribute("errors", errors);
    } catch (Refused refused) {
      model.addAttribute("view", null);
      model.addAttribute("errors", errors.any() ? errors : FieldErrors.of(refused));
    }
    model.addAttribute(
        "parts",
        catalogues.current().herbs().stream()
            .filter(h -> h.key().equals(form.herb()))
            .findFirst()
            .map(Herb::parts)
            .orElse(List.of()));
  }

  private Planner.Bench bench(Household house) {
    return new Planner.Bench(house.kitchen(), households.jars(), households.places());
  }

  private BenchForm completed(BenchForm form, List<Place> places) {
    String carrier = form.carrier() != null ? form.carrier() : usualCarrier();
    return form.completed(carrier, places.get(0).id().toString());
  }

  /** The oil of the newest batch, which is the likeliest for the next. */
  private String usualCarrier() {
    return batches.newest(1).stream()
        .findFirst()
        .map(b -> b.state().charge().carriers().get(0).carrier())
        .orElse("sunflower-high-oleic");
  }
}
