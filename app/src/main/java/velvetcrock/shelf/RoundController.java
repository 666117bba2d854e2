package velvetcrock.shelf;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.Batches;
import velvetcrock.batch.Written;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.Visited;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Places;
import velvetcrock.web.CanWait;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Forms;
import velvetcrock.web.FreshKeys;
import velvetcrock.web.Happened;
import velvetcrock.web.SameUntilChanged;
import velvetcrock.web.Typed;

/** The round on a page of its own, for a phone at the stove. */
@Controller
class RoundController {
  private static final int MOST_MINUTES = 24 * 60;
  private static final Pattern PAGES = Pattern.compile("/(?:[a-z]+(?:/[A-Za-z0-9-]+){0,3})?");

  private final RoundReader reader;
  private final RoundNotes notes;
  private final Households households;
  private final Places places;
  private final Batches batches;
  private final BatchActs acts;

  RoundController(
      RoundReader reader,
      RoundNotes notes,
      Households households,
      Places places,
      Batches batches,
      BatchActs acts) {
    this.reader = reader;
    this.notes = notes;
    this.households = households;
    this.places = places;
    this.batches = batches;
    this.acts = acts;
  }

  /**
   * Whatever is said of a task.
   *
   * @param subject what the task is about
   * @param task names it within that
   * @param until until when it is put off
   * @param reason why it is skipped, or what a timer is for
   * @param minutes of a timer
   * @param back the page that it was said on
   */
  record SaidForm(
      @Nullable String subject,
      @Nullable String task,
      @Nullable String until,
      @Nullable String reason,
      @Nullable String minutes,
      @Nullable String back,
      @Nullable String key) {
    /** The page that it was said on, where that is one of the house; else the round. */
    private String leadsTo() {
      return PAGES.matcher(Typed.text(back)).matches() ? Typed.text(back) : "/round";
    }

    /** What is spoken of: one thing, or each of those that are done in one go. */
    List<RoundNote.About> said() {
      return Arrays.stream(Typed.text(subject).split(","))
          .map(one -> new RoundNote.About(one, Typed.text(task), Typed.text(reason)))
          .toList();
    }
  }

  @SameUntilChanged(held = true)
  @GetMapping("/round")
  String round(Model model) {
    return page(FieldErrors.none(), null, model);
  }

  @PostMapping("/round/put-off")
  String putOff(
      SaidForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () -> notes.putOff(wanting(form), Typed.text(form.until()), key(form)),
        "Put off.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/round/skip")
  String skip(SaidForm form, Model model, RedirectAttributes flash, HttpServletResponse response) {
    return saved(
        () -> notes.skip(wanting(form), key(form)),
        "Skipped, and noted why.",
        form,
        model,
        flash,
        response);
  }

  @CanWait
  @PostMapping("/round/timer")
  String time(
      SaidForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    return saved(
        () ->
            notes.time(
                form.said().get(0),
                number(form.minutes(), MOST_MINUTES, "minutes"),
                when.at(),
                key(form)),
        "The timer runs.",
        form,
        model,
        flash,
        response);
  }

  @PostMapping("/round/{id}/take-back")
  String takeBack(@PathVariable UUID id, SaidForm form) {
    notes.takeBack(id);
    return "redirect:" + form.leadsTo();
  }

  /**
   * A visit as it was ticked.
   *
   * @param codes the jars, by comma
   * @param acts what was done with each, by comma
   * @param keys names the entry of each, by comma
   * @param entries what one tick wrote, by comma, each as code and entry
   */
  record VisitForm(
      @Nullable String codes,
      @Nullable String acts,
      @Nullable String keys,
      @Nullable String entries,
      @Nullable String back) {
    private String leadsTo() {
      return "shelf".equals(back) ? "redirect:/" : "redirect:/round";
    }
  }

  @CanWait
  @PostMapping("/round/visit")
  String visit(
      VisitForm form,
      Happened when,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    try {
      List<Written> written =
          acts.visit(
              listed(form.codes()),
              new Visited(
                  listed(form.acts()).stream()
                      .map(act -> Typed.named(Visited.Act.class, act, "acts"))
                      .collect(Collectors.toSet())),
              when.at(),
              listed(form.keys()));
      flash.addFlashAttribute("notice", RoundWords.visited(written, listed(form.acts())));
      List<Written> fresh = written.stream().filter(w -> !w.repeated()).toList();
      if (!fresh.isEmpty()) {
        flash.addFlashAttribute(
            "undoVisit",
            fresh.stream().map(w -> w.code() + ":" + w.entryId()).collect(Collectors.joining(",")));
      }
      return form.leadsTo();
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(FieldErrors.of(refused), null, model);
    }
  }

  @PostMapping("/round/visit/undo")
  String takeVisitBack(VisitForm form, RedirectAttributes flash) {
    try {
      acts.undo(listed(form.entries()));
      flash.addFlashAttribute("notice", "Taken back. The log keeps both.");
    } catch (Refused refused) {
      flash.addFlashAttribute(
          "problem", refused.problems().get(0).message() + " Take that back first.");
    }
    return form.leadsTo();
  }

  private static List<String> listed(@Nullable String typed) {
    return Arrays.stream(Typed.text(typed).split(",")).filter(one -> !one.isBlank()).toList();
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
        form.leadsTo(),
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
    return Optional.ofNullable(form.key()).orElseGet(FreshKeys::next);
  }

  /** What the round says now of what a form speaks of. */
  private List<RoundNotes.Wanted> wanting(SaidForm form) {
    RoundView round = round(households.current());
    return form.said().stream()
        .map(said -> new RoundNotes.Wanted(said, round.wanting(said.subject(), said.task())))
        .toList();
  }

  private RoundView round(Household house) {
    return reader.round(house, places.all(), batches.standing(), households.formats(house));
  }

  private String page(FieldErrors errors, @Nullable SaidForm form, Model model) {
    Household house = households.current();
    model.addAttribute("errors", errors);
    model.addAttribute("form", form);
    model.addAttribute("fresh", FreshKeys.next());
    model.addAttribute("round", round(house));
    model.addAttribute("walks", true);
    return "shelf/round";
  }
}
