package velvetcrock.batch;

import jakarta.servlet.http.HttpServletResponse;
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
import velvetcrock.web.FieldErrors;
import velvetcrock.web.SameUntilChanged;

/** How old the oil of a batch was, where nobody knew it when it was charged or strained. */
@Controller
class OilAgeController {
  private final Batches batches;
  private final StrainService strainer;

  OilAgeController(Batches batches, StrainService strainer) {
    this.batches = batches;
    this.strainer = strainer;
  }

  @SameUntilChanged
  @GetMapping("/batches/{code}/oil-age")
  String ask(@PathVariable String code, Model model) {
    return page(batches.find(code), "", "", FieldErrors.none(), model);
  }

  @PostMapping("/batches/{code}/oil-age")
  String told(
      @PathVariable String code,
      @RequestParam(defaultValue = "") String bestBefore,
      @RequestParam(defaultValue = "") String openedOn,
      Model model,
      RedirectAttributes flash,
      HttpServletResponse response) {
    BatchRecord batch = batches.find(code);
    try {
      strainer.dateOil(batch, bestBefore, openedOn);
      flash.addFlashAttribute(
          "notice", "The oil’s age is noted; every date that hangs on it moved.");
      return "redirect:/batches/" + batch.code();
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(batch, bestBefore, openedOn, FieldErrors.of(refused), model);
    }
  }

  private static String page(
      BatchRecord batch,
      @Nullable String bestBefore,
      @Nullable String openedOn,
      FieldErrors errors,
      Model model) {
    model.addAttribute("code", batch.code());
    model.addAttribute("bestBefore", bestBefore);
    model.addAttribute("openedOn", openedOn);
    model.addAttribute("errors", errors);
    return "batch/oil-age";
  }
}
