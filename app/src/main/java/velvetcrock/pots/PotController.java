package velvetcrock.pots;

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
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.core.melt.PartIn;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.core.melt.PotState;
import velvetcrock.core.pot.Feel;
import velvetcrock.core.pot.HardnessText;
import velvetcrock.core.pot.Whipping;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Typed;

/** A pot: worked, poured, and followed tin by tin. */
@Controller
class PotController {
  private static final Duration STOVE_FRESH = Duration.ofMinutes(10);

  private final Pots pots;
  private final PotThings things;
  private final PourReader pours;
  private final PotMoney money;
  private final PotCautions cautions;
  private final Tracing tracing;
  private final BatchReadings readings;
  private final Households households;
  private final Catalogues catalogues;

  PotController(
      Pots pots,
      PotThings things,
      PourReader pours,
      PotMoney money,
      PotCautions cautions,
      Tracing tracing,
      BatchReadings readings,
      Households households,
      Catalogues catalogues) {
    this.pots = pots;
    this.things = things;
    this.pours = pours;
    this.money = money;
    this.cautions = cautions;
    this.tracing = tracing;
    this.readings = readings;
    this.households = households;
    this.catalogues = catalogues;
  }

  @GetMapping("/pots/{code}")
  String pot(@PathVariable String code, Model model) {
    return page(code, PotForm.empty(), FieldErrors.none(), model);
  }

  @PostMapping("/pots/{code}/log")
  String log(
      @PathVariable String code,
      PotForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      PotRecord pot = pots.find(code);
      PotEvent event = event(form, pot);
      Pots.Done done = pots.append(code, event, null, null, Typed.text(form.key()));
      flash.addFlashAttribute("notice", notice(event, done));
      if (!done.repeated()) {
        flash.addFlashAttribute("undoPot", done);
      }
      return "redirect:/pots/" + pot.code();
    } catch (Refused refused) {
      return again(code, form, refused, model, response);
    }
  }

  /** The counts that leave the least over, for another look before pouring. */
  @PostMapping("/pots/{code}/fill")
  String fill(@PathVariable String code, PotForm form, Model model, HttpServletResponse response) {
    try {
      PourReader.Exact exact = pours.exact(form, pots.find(code).state());
      PotForm counted = form.with(exact.rows());
      model.addAttribute("rest", exact.restMl());
      return page(code, counted, FieldErrors.none(), model);
    } catch (Refused refused) {
      return again(code, form, refused, model, response);
    }
  }

  @PostMapping("/pots/{code}/entries/{entry}/undo")
  String undo(@PathVariable String code, @PathVariable UUID entry, RedirectAttributes flash) {
    try {
      pots.undo(code, entry);
      flash.addFlashAttribute("notice", "Taken back.");
    } catch (Refused refused) {
      flash.addFlashAttribute("problem", refused.problems().get(0).message());
    }
    return "redirect:/pots/" + pots.find(code).code();
  }

  private static String notice(PotEvent event, Pots.Done done) {
    if (event instanceof PotEvent.Added) {
      return NewPotController.notice(done).replace("Weighed in.", "Added.");
    }
    return done.repeated() ? "That is in the log already." : "Noted.";
  }

  private PotEvent event(PotForm form, PotRecord pot) {
    PotState state = pot.state();
    return switch (Typed.text(form.kind())) {
      case "tested" ->
          new PotEvent.Tested(
              harder(form), state.melt(catalogues.current()).hardness(), still(form));
      case "read" ->
          new PotEvent.Read(Typed.at("celsius", () -> celsius(Typed.text(form.celsius()))));
      case "looked" -> new PotEvent.Looked(Typed.named(Whipping.Look.class, form.look(), "look"));
      case "added" -> added(form);
      case "poured" -> pours.read(form, state);
      case "abandoned" -> new PotEvent.Abandoned(form.back() != null, Typed.text(form.text()));
      case "went" ->
          new PotEvent.Went(
              Typed.text(form.tin()),
              Typed.named(PotEvent.Fate.class, form.fate(), "fate"),
              Typed.text(form.to()),
              Typed.text(form.remark()));
      case "reacted" -> new PotEvent.Reacted(Typed.text(form.tin()), Typed.text(form.what()));
      case "remarked" -> new PotEvent.Remarked(Typed.text(form.text()));
      default -> throw new Refused("kind", "Choose what to note.");
    };
  }

  /** A temperature; a bare number is in the household's degrees. */
  private double celsius(String typed) {
    boolean bare = typed.matches("\\d+([.,]\\d+)?");
    String unit = households.formats(households.current()).degreeUnit();
    return Temperatures.read(bare ? typed + " " + unit : typed);
  }

  private static double harder(PotForm form) {
    if (!Typed.blank(form.feel())) {
      return Typed.named(Feel.class, form.feel(), "feel").deltaHardness();
    }
    return Typed.at("harder", () -> Typed.number(form.harder(), -6, 6, "of hardness"));
  }

  private PotEvent.Added added(PotForm form) {
    Problems problems = new Problems();
    Household house = households.current();
    List<PartIn> parts = new ArrayList<>();
    List<NewPotForm.Row> rows = form.parts() == null ? List.of() : form.parts();
    for (int i = 0; i < rows.size(); i++) {
      NewPotForm.Row row = rows.get(i);
      if (row == null || Typed.blank(row.amount())) {
        continue;
      }
      String at = "parts[" + i + "]";
      PotThings.Thing thing = problems.attempt(at + ".thing", () -> things.find(row.thing()));
      if (thing != null) {
        String amount = Typed.text(row.amount());
        Double grams =
            problems.attempt(at + ".amount", () -> PotReader.grams(thing, amount, house.kitchen()));
        if (grams != null) {
          parts.add(thing.weighed(grams, amount));
        }
      }
    }
    List<PotEvent.DropsIn> drops = PotReader.drops(form.drops(), catalogues.current(), problems);
    problems.refuseIfAny();
    return new PotEvent.Added(parts, drops, Typed.text(form.reason()));
  }

  private String again(
      String code, PotForm form, Refused refused, Model model, HttpServletResponse response) {
    response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
    return page(code, form, FieldErrors.of(refused), model);
  }

  private String page(String code, PotForm form, FieldErrors errors, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    Catalogue catalogue = catalogues.current();
    PotRecord pot = pots.find(code);
    PotState state = pot.state();
    Wax wax = catalogue.wax(mainWax(state));
    int tins = Math.max(1, state.tins().size());
    boolean inThePan = state.status() == PotState.Status.IN_THE_PAN;
    PotView.Known known =
        new PotView.Known(
            pot,
            pots.log(pot),
            tracing.sources(pot, fmt),
            money.bill(state.parts(), tins),
            pots.taste(wax.key()),
            new HardnessText(wax, catalogue.carrier("olive"), house.kitchen()),
            cautions.of(state.plan(), allParts(state), state.plan().where(), allDrops(state)),
            inThePan ? stove(fmt) : Optional.empty(),
            pours.fillsMl(state));
    model.addAttribute("pot", PotView.of(known, catalogue, fmt));
    model.addAttribute("recipe", state.plan().recipe());
    model.addAttribute("where", state.plan().where().name());
    model.addAttribute("vessel", NewPotView.vessel(state.plan().making(), 2));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("key", form.key() == null ? UUID.randomUUID().toString() : form.key());
    model.addAttribute("feels", NewPotView.feels());
    model.addAttribute("fates", fates());
    model.addAttribute("essentials", catalogue.essentialOils());
    model.addAttribute("wheres", PotWords.wheres());
    model.addAttribute("extras", inThePan ? things.stirredInLast() : List.of());
    model.addAttribute("choices", inThePan ? things.choices(fmt) : List.of());
    return "pots/pot";
  }

  private Optional<PotState.Reading> stove(Formats fmt) {
    return readings
        .onTheStove(fmt.now().minus(STOVE_FRESH))
        .map(r -> new PotState.Reading(r.at(), r.celsius()));
  }

  private static List<PartIn> allParts(PotState state) {
    List<PartIn> parts = new ArrayList<>(state.parts());
    state.groups().forEach(g -> parts.addAll(g.extras()));
    return parts;
  }

  private static List<PotEvent.DropsIn> allDrops(PotState state) {
    List<PotEvent.DropsIn> drops = new ArrayList<>(state.drops());
    state.groups().forEach(g -> drops.addAll(g.drops()));
    return drops;
  }

  private static String mainWax(PotState state) {
    return state.parts().stream()
        .filter(p -> p.kind() == PartIn.Kind.WAX)
        .max((a, b) -> Double.compare(a.massG(), b.massG()))
        .map(PartIn::key)
        .orElse("beeswax");
  }

  /** What is still in the pan, g; null where nothing was said. */
  private static @Nullable Double still(PotForm form) {
    String typed = Typed.text(form.still()).replaceAll("\\s*g$", "");
    return typed.isEmpty() ? null : Typed.at("still", () -> Typed.number(typed, 1, 100_000, "g"));
  }

  private static Map<String, String> fates() {
    Map<String, String> fates = new LinkedHashMap<>();
    for (PotEvent.Fate fate : PotEvent.Fate.values()) {
      fates.put(fate.name(), PotWords.fate(fate));
    }
    return fates;
  }
}
