package velvetcrock.stove;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.LeavingView;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.HeatAnswer;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.core.materia.Method;
import velvetcrock.kitchen.Appliances;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Places;
import velvetcrock.web.CanWait;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Forms;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Happened;

/** The stove: all pots on the heat, and each pot's own page. */
@Controller
class StoveController {
  private final LivePots pots;
  private final StoveRows rows;
  private final StoveService stove;
  private final Imports imports;
  private final StandIns standIns;
  private final Appliances appliances;
  private final Households households;
  private final Places places;

  StoveController(
      LivePots pots,
      StoveRows rows,
      StoveService stove,
      Imports imports,
      StandIns standIns,
      Appliances appliances,
      Households households,
      Places places) {
    this.pots = pots;
    this.rows = rows;
    this.stove = stove;
    this.imports = imports;
    this.standIns = standIns;
    this.appliances = appliances;
    this.households = households;
    this.places = places;
  }

  @GetMapping("/stove")
  String stove(Model model) {
    Formats fmt = households.formats(households.current());
    model.addAttribute("rows", rows.all(fmt));
    model.addAttribute("key", FreshKeys.next());
    return "stove/stove";
  }

  @GetMapping("/stove/{code}")
  String pot(@PathVariable String code, Model model) {
    return page(code, StoveForm.empty(), FieldErrors.none(), model);
  }

  @CanWait
  @PostMapping("/stove/{code}/log")
  String log(
      @PathVariable String code,
      StoveForm form,
      Happened when,
      @RequestParam(defaultValue = "") String back,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    BatchRecord batch = pots.of(code).batch();
    return Forms.saved(
        () -> stove.log(batch, form, when, house),
        back.equals("stove") ? "/stove" : "/stove/" + batch.code(),
        flash,
        response,
        errors -> page(code, form, errors, model));
  }

  @PostMapping("/stove/{code}/stand-in")
  String standIn(
      @PathVariable String code,
      @RequestParam(defaultValue = "false") boolean on,
      RedirectAttributes flash) {
    BatchRecord batch = pots.of(code).batch();
    if (on) {
      standIns.start(batch);
    } else {
      standIns.stop(batch);
    }
    flash.addFlashAttribute(
        "notice", on ? "A stand-in probe is in the pot." : "The stand-in probe is out.");
    return "redirect:/stove/" + batch.code();
  }

  private String page(String code, StoveForm form, FieldErrors errors, Model model) {
    Household house = households.current();
    Formats fmt = households.formats(house);
    LivePot pot = pots.shown(code);
    BatchRecord batch = pot.batch();
    PotHeat heat = pots.shown(batch, fmt.now());
    BatchState state = batch.state();
    List<Appliances.Owned> known = appliances.all();
    model.addAttribute("batch", batch);
    model.addAttribute("row", rows.row(pot, fmt));
    model.addAttribute("page", PotPage.of(state, heat, fmt, fmt.now()));
    model.addAttribute("leaving", LeavingView.of(state, heat.reckoning(), fmt));
    model.addAttribute("grossTyped", "");
    model.addAttribute("warmTyped", "");
    model.addAttribute("ticked", Set.of());
    model.addAttribute("infusing", state.status() == BatchState.Status.INFUSING);
    model.addAttribute("stint", state.heat().now().orElse(null));
    model.addAttribute("twoStage", state.charge().method() == Method.TWO_STAGE);
    model.addAttribute("settings", settings(state, known, fmt));
    model.addAttribute("appliances", known);
    model.addAttribute("kinds", kinds(known));
    model.addAttribute("answers", HeatAnswer.values());
    model.addAttribute("places", places.all());
    model.addAttribute("imports", imports.of(batch));
    model.addAttribute("zone", house.zone().getId());
    model.addAttribute("demo", house.demo());
    model.addAttribute("standIn", standIns.runs(batch.id()));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("key", Optional.ofNullable(form.key()).orElseGet(FreshKeys::next));
    return "stove/pot";
  }

  /** A kind that the household has none of. */
  private static List<Appliance> kinds(List<Appliances.Owned> known) {
    List<Appliance> kinds = new ArrayList<>(List.of(Appliance.values()));
    known.forEach(k -> kinds.remove(k.kind()));
    return kinds;
  }

  /**
   * A position of the knob that can be named, with what it comes to.
   *
   * @param words what it turned out to be here; empty where nobody has learned it
   */
  record Named(String name, String words) {}

  private static List<Named> settings(BatchState state, List<Appliances.Owned> known, Formats fmt) {
    List<Named> named = new ArrayList<>();
    String key = state.heat().now().map(s -> s.heater().key()).orElse("");
    for (Appliances.Owned one : known) {
      if (state.heat().now().isPresent() && !one.id().toString().equals(key)) {
        continue;
      }
      one.learned()
          .forEach(
              l ->
                  named.add(
                      new Named(
                          l.setting(),
                          one.name() + ": " + fmt.degrees(l.settled().meanC()) + " here")));
      one.kind().settings().stream()
          .filter(s -> one.of(s.name()).isEmpty())
          .forEach(s -> named.add(new Named(s.name(), one.name())));
    }
    return named;
  }
}
