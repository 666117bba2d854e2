package velvetcrock.trial;

import jakarta.servlet.http.HttpServletResponse;
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
import velvetcrock.core.Refused;
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
  private final TrialJars jars;
  private final TrialTeacher teacher;
  private final Households households;
  private final Catalogues catalogues;

  TrialController(
      Trials trials,
      TrialJars jars,
      TrialTeacher teacher,
      Households households,
      Catalogues catalogues) {
    this.trials = trials;
    this.jars = jars;
    this.teacher = teacher;
    this.households = households;
    this.catalogues = catalogues;
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
    Trials.Newest newest = trials.newest();
    model.addAttribute(
        "trials", newest.trials().stream().map(t -> listed(t, catalogue, fmt)).toList());
    model.addAttribute("older", newest.older());
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
    teacher.reveal(id);
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
      teacher.conclude(id, Typed.text(form.conclusion()));
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
    List<TrialJars.Standing> standing = jars.standing(whole);
    model.addAttribute(
        "view",
        TrialView.of(whole, standing, jars.told(whole, standing), catalogues.current(), fmt));
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    return "trial/trial";
  }
}
