package velvetcrock.trial;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.HeatWatch;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Typed;

/** Trials side by side, judging and concluding them. */
@Controller
class TrialController {
  private final Trials trials;
  private final Batches batches;
  private final HeatWatch watch;
  private final Households households;
  private final Catalogues catalogues;
  private final Clock clock;

  TrialController(
      Trials trials,
      Batches batches,
      HeatWatch watch,
      Households households,
      Catalogues catalogues,
      Clock clock) {
    this.trials = trials;
    this.batches = batches;
    this.watch = watch;
    this.households = households;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /**
   * A trial in a list.
   *
   * @param jars what sets each apart, by its letter
   * @param said what it showed; empty while it is open
   */
  record Listed(
      String name, String link, String about, Map<String, String> jars, String said, String when) {}

  @GetMapping("/trials")
  String all(Model model) {
    Catalogue catalogue = catalogues.current();
    Formats fmt = households.formats(households.current());
    model.addAttribute(
        "trials", trials.newest().stream().map(t -> listed(t, catalogue, fmt)).toList());
    return "trial/trials";
  }

  private static Listed listed(Trials.WithJars begun, Catalogue catalogue, Formats fmt) {
    Trial trial = begun.trial();
    Map<String, String> jars = new LinkedHashMap<>();
    begun.jars().forEach(jar -> jars.put(jar.letter(), jar.words()));
    return new Listed(
        trial.name(),
        "/trials/" + trial.id(),
        catalogue.herb(trial.herbKey()).name()
            + " in "
            + catalogue.carrier(trial.oilKey()).name().toLowerCase(Locale.ROOT)
            + ", different "
            + trial.differs().words(),
        jars,
        Objects.requireNonNullElse(trial.conclusion(), ""),
        trial.concludedAt() == null
            ? "begun " + fmt.date(fmt.date(trial.madeAt()))
            : "concluded " + fmt.date(fmt.date(trial.concludedAt())));
  }

  @GetMapping("/trials/{id}")
  String trial(@PathVariable UUID id, Model model) {
    return page(id, TrialForm.empty(), FieldErrors.none(), model);
  }

  /** For whoever pours the glasses and does not judge. */
  @GetMapping("/trials/{id}/glasses")
  String glasses(@PathVariable UUID id, Model model) {
    Trials.Whole whole = trials.whole(id);
    model.addAttribute("trial", whole.trial().name());
    model.addAttribute("id", id);
    model.addAttribute("glasses", TrialView.glasses(whole));
    return "trial/glasses";
  }

  @PostMapping("/trials/{id}/judge")
  String judge(
      @PathVariable UUID id,
      TrialForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      trials.judge(id, form.found());
    } catch (Refused refused) {
      return refused(id, form, refused, model, response);
    }
    flash.addFlashAttribute("notice", "Judged.");
    return "redirect:/trials/" + id;
  }

  @PostMapping("/trials/{id}/reveal")
  String reveal(@PathVariable UUID id) {
    trials.reveal(id);
    return "redirect:/trials/" + id;
  }

  @PostMapping("/trials/{id}/conclude")
  String conclude(
      @PathVariable UUID id,
      TrialForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      trials.conclude(id, Typed.text(form.conclusion()));
    } catch (Refused refused) {
      return refused(id, form, refused, model, response);
    }
    flash.addFlashAttribute("notice", "Concluded. The herb’s page knows it now.");
    return "redirect:/trials/" + id;
  }

  private String refused(
      UUID id, TrialForm form, Refused refused, Model model, HttpServletResponse response) {
    response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
    return page(id, form, FieldErrors.of(refused), model);
  }

  private String page(UUID id, TrialForm form, FieldErrors errors, Model model) {
    Trials.Whole whole = trials.whole(id);
    Formats fmt = households.formats(households.current());
    List<TrialView.Standing> standing =
        whole.jars().stream().map(jar -> standing(batches.find(jar.code()))).toList();
    model.addAttribute("view", TrialView.of(whole, standing, catalogues.current(), fmt));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    return "trial/trial";
  }

  /** How far a jar has drawn: by now, or when it was strained. */
  private TrialView.Standing standing(BatchRecord batch) {
    BatchState state = batch.state();
    Instant strained = state.strainedAt();
    Instant when = strained == null ? clock.instant() : strained;
    boolean draws = state.status() != BatchState.Status.RESTING;
    Pull pull = draws ? watch.heat(batch, when).pull(when) : null;
    return new TrialView.Standing(batch, pull);
  }
}
