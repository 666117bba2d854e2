package velvetcrock.shelf;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.Batches;
import velvetcrock.core.Problems;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Places;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Forms;
import velvetcrock.web.Typed;

/** The round on a page of its own, for a phone at the stove. */
@Controller
class RoundController {
  private static final int MOST_MINUTES = 24 * 60;

  private final RoundReader reader;
  private final RoundNotes notes;
  private final Households households;
  private final Places places;
  private final Batches batches;

  RoundController(
      RoundReader reader, RoundNotes notes, Households households, Places places, Batches batches) {
    this.reader = reader;
    this.notes = notes;
    this.households = households;
    this.places = places;
    this.batches = batches;
  }

  /**
   * Whatever is said of a task.
   *
   * @param subject what the task is about
   * @param task names it within that
   * @param until until when it is put off
   * @param reason why it is skipped, or what a timer is for
   * @param minutes of a timer
   */
  record SaidForm(
      @Nullable String subject,
      @Nullable String task,
      @Nullable String until,
      @Nullable String reason,
      @Nullable String minutes,
      @Nullable String key) {
    RoundNote.About said() {
      return new RoundNote.About(Typed.text(subject), Typed.text(task), Typed.text(reason));
    }
  }

  @GetMapping("/round")
  String round(Model model) {
    return page(FieldErrors.none(), null, model);
  }

  @PostMapping("/round/put-off")
  String putOff(
      SaidForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () -> notes.putOff(form.said(), wanting(form), Typed.text(form.until()), key(form)),
        "Put off.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/round/skip")
  String skip(SaidForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () -> notes.skip(form.said(), wanting(form), key(form)),
        "Skipped, and noted why.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/round/timer")
  String time(SaidForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () -> notes.time(form.said(), number(form.minutes(), MOST_MINUTES, "minutes"), key(form)),
        "The timer runs.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/round/{id}/take-back")
  String takeBack(@PathVariable UUID id, RedirectAttributes flash) {
    notes.takeBack(id);
    return "redirect:/round";
  }

  private String saved(
      Runnable work,
      String notice,
      SaidForm form,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    return Forms.saved(
        () -> {
          work.run();
          return notice;
        },
        "/round",
        flash,
        response,
        errors -> page(errors, form, model));
  }

  private static int number(@Nullable String typed, int most, String what) {
    Problems problems = new Problems();
    Double number = problems.attempt(what, () -> Typed.number(typed, 1, most, what));
    problems.refuseIfAny();
    return (int) Math.round(Optional.ofNullable(number).orElse(1.0));
  }

  private static String key(SaidForm form) {
    return Optional.ofNullable(form.key()).orElseGet(() -> UUID.randomUUID().toString());
  }

  /** What the round says now of what a form speaks of. */
  private Optional<RoundView.Item> wanting(SaidForm form) {
    RoundNote.About said = form.said();
    return round(households.current()).wanting(said.subject(), said.task());
  }

  private RoundView round(Household house) {
    return reader.round(house, places.all(), batches.standing(), households.formats(house));
  }

  private String page(FieldErrors errors, @Nullable SaidForm form, Model model) {
    Household house = households.current();
    model.addAttribute("errors", errors);
    model.addAttribute("form", form);
    model.addAttribute("fresh", UUID.randomUUID().toString());
    model.addAttribute("round", round(house));
    return "shelf/round";
  }
}
