package velvetcrock.batch;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
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
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Jar;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.Vessels;
import velvetcrock.web.CanWait;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Formats;
import velvetcrock.web.Happened;
import velvetcrock.web.SameUntilChanged;

/** A batch's page, its log and taking entries back. */
@Controller
class BatchController {
  private final Batches batches;
  private final BatchActs acts;
  private final BatchPage page;
  private final Households households;
  private final Vessels vessels;
  private final Places places;
  private final Catalogues catalogues;

  BatchController(
      Batches batches,
      BatchActs acts,
      BatchPage page,
      Households households,
      Vessels vessels,
      Places places,
      Catalogues catalogues) {
    this.batches = batches;
    this.acts = acts;
    this.page = page;
    this.households = households;
    this.vessels = vessels;
    this.places = places;
    this.catalogues = catalogues;
  }

  /** What its readings come to, the store alone does not tell: they are read beside it. */
  @SameUntilChanged
  @GetMapping("/batches/{code}")
  String batch(@PathVariable String code, @RequestParam @Nullable String all, Model model) {
    return show(code, LogForm.empty(), FieldErrors.none(), all != null, model);
  }

  @CanWait
  @PostMapping("/batches/{code}/log")
  String log(
      @PathVariable String code,
      LogForm form,
      Happened when,
      @RequestParam(defaultValue = "") String back,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    Household house = households.current();
    BatchRecord batch = batches.find(code);
    try {
      BatchReckoning reckoning = new BatchReckoning(catalogues.current(), batch.state());
      BatchEvent event =
          form.event(
              house.units(),
              reckoning.carriers(),
              batch.state().charge().carriers().get(0).carrier(),
              id -> places.one(id).stand(),
              this::vessel,
              Until.reader(households.formats(house)));
      Instant at = when.at();
      Written written = acts.append(code, event, at, null, key(form, event));
      Formats fmt = households.formats(house);
      tell(written, new EntryWords(catalogues.current(), fmt).of(event).title(), fmt, flash);
      return redirect(back, batch.code());
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return show(code, form, FieldErrors.of(refused), false, model);
    }
  }

  @PostMapping("/batches/{code}/entries/{id}/undo")
  String undo(
      @PathVariable String code,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "") String back,
      RedirectAttributes flash) {
    try {
      acts.undo(code, id);
      flash.addFlashAttribute("notice", "Taken back. The log keeps both.");
    } catch (Refused refused) {
      flash.addFlashAttribute(
          "problem", refused.problems().get(0).message() + " Take that back first.");
    }
    return redirect(back, code);
  }

  /** Names the entry: forms of one page share its key, and each kind of them is written once. */
  private static String key(LogForm form, BatchEvent event) {
    String key = Optional.ofNullable(form.key()).orElse("");
    return key.isEmpty() ? "" : key + "/" + event.kind();
  }

  private String show(String code, LogForm form, FieldErrors errors, boolean all, Model model) {
    model.addAttribute("places", places.all());
    model.addAttribute("vessels", vessels.jars());
    return page.show(code, form, errors, all, model);
  }

  private Jar vessel(String key) {
    return vessels.jars().stream()
        .filter(j -> j.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new Refused("jar", "Choose one of your vessels."));
  }

  private static void tell(Written written, String what, Formats fmt, RedirectAttributes flash) {
    if (written.repeated()) {
      flash.addFlashAttribute(
          "notice",
          "That is in the log already: "
              + written.by()
              + ", "
              + fmt.moment(written.writtenAt())
              + ".");
    } else {
      flash.addFlashAttribute("notice", written.code() + ": " + what + ".");
      flash.addFlashAttribute("undo", written);
    }
  }

  private static String redirect(String back, String code) {
    return switch (back) {
      case "shelf" -> "redirect:/";
      case "round" -> "redirect:/round";
      case "cellar" -> "redirect:/cellar";
      case "stove" -> "redirect:/stove/" + code;
      default -> "redirect:/batches/" + code;
    };
  }
}
