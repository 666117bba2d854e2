package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.erasure.Erasure;
import velvetcrock.web.FieldErrors;

/** Where a keeper has a household erased, or a name forgotten. */
@Controller
class GoingController {
  private final Erasure erasure;
  private final Entrance entrance;

  GoingController(Erasure erasure, Entrance entrance) {
    this.erasure = erasure;
    this.entrance = entrance;
  }

  @GetMapping("/erase")
  String going(Model model) {
    return page("", "", FieldErrors.none(), model);
  }

  @PostMapping("/erase")
  String erase(
      @RequestParam(defaultValue = "") String household,
      @RequestParam(defaultValue = "") String password,
      @RequestParam @Nullable String sure,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    try {
      entrance.showAgain(Me.signedIn(), password, request);
      if (sure == null) {
        throw new Refused("sure", "Say that you are sure.");
      }
      erasure.ask(household);
      return "redirect:/";
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(household, "", FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/erase/stop")
  String stop(RedirectAttributes flash) {
    erasure.stop();
    flash.addFlashAttribute("notice", "Everything stays.");
    return "redirect:/";
  }

  @PostMapping("/erase/name")
  String forget(
      @RequestParam(defaultValue = "") String called,
      @RequestParam(defaultValue = "") String password,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    try {
      entrance.showAgain(Me.signedIn(), password, request);
      long changed = erasure.forget(called);
      flash.addFlashAttribute(
          "notice",
          "The name is gone from "
              + (changed == 1 ? "one entry" : changed + " entries")
              + "; “a former member” stands there.");
      return "redirect:/erase";
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page("", called, FieldErrors.of(refused), model);
    }
  }

  private String page(String household, String called, FieldErrors errors, Model model) {
    model.addAttribute("household", household);
    model.addAttribute("called", called);
    model.addAttribute("former", erasure.formerNames());
    model.addAttribute("pending", erasure.pending().orElse(null));
    model.addAttribute("errors", errors);
    return "account/erase";
  }
}
