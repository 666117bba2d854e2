package velvetcrock.push;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;

/** The page on which a phone asks to be called while it is closed. */
@Controller
class CallsController {
  private final Phones phones;
  private final PushPost post;
  private final Caller caller;
  private final Households households;

  CallsController(Phones phones, PushPost post, Caller caller, Households households) {
    this.phones = phones;
    this.post = post;
    this.caller = caller;
    this.households = households;
  }

  /** A phone that is called, as a line. */
  record Line(UUID id, String words) {}

  @GetMapping("/calls")
  String page(Model model) {
    Formats fmt = households.formats(households.current());
    List<Line> lines =
        phones.all().stream()
            .map(p -> new Line(p.id(), p.madeBy() + ", " + fmt.moment(p.madeAt())))
            .toList();
    model.addAttribute("on", post.on());
    model.addAttribute("houseKey", post.publicKey());
    model.addAttribute("lines", lines);
    return "push/calls";
  }

  @PostMapping("/calls")
  String add(
      @RequestParam(defaultValue = "") @Nullable String endpoint,
      @RequestParam(defaultValue = "") @Nullable String publicKey,
      @RequestParam(defaultValue = "") @Nullable String secret,
      RedirectAttributes flash) {
    try {
      phones.add(text(endpoint), text(publicKey), text(secret), caller.wanting());
      flash.addFlashAttribute("notice", "This phone is called when something wants somebody.");
    } catch (Refused refused) {
      flash.addFlashAttribute("problem", refused.problems().get(0).message());
    }
    return "redirect:/calls";
  }

  private static String text(@Nullable String text) {
    return text == null ? "" : text.strip();
  }

  @PostMapping("/calls/{phone}/remove")
  String remove(@PathVariable UUID phone, RedirectAttributes flash) {
    phones.remove(phone);
    flash.addFlashAttribute("notice", "That phone is called no more.");
    return "redirect:/calls";
  }
}
