package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetcrock.core.Refused;
import velvetcrock.web.AtTheDoor;
import velvetcrock.web.FieldErrors;

/** Back in for whoever has lost the password: by a code, or by a link that a keeper sent. */
@Controller
class BackInController {
  private final Recoveries recoveries;
  private final Entrance entrance;
  private final SignInLimiter limiter;
  private final Devices devices;

  BackInController(
      Recoveries recoveries, Entrance entrance, SignInLimiter limiter, Devices devices) {
    this.recoveries = recoveries;
    this.entrance = entrance;
    this.limiter = limiter;
    this.devices = devices;
  }

  @GetMapping("/lost")
  String lost(Model model) {
    return lost("", "", FieldErrors.none(), model);
  }

  @PostMapping("/lost")
  String byCode(
      @RequestParam(defaultValue = "") String login,
      @RequestParam(defaultValue = "") String code,
      @RequestParam(defaultValue = "") String newPassword,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    String address = request.getRemoteAddr();
    String typed = SignInGate.login(request);
    try {
      if (!limiter.openTo(address) || !limiter.openFor(typed)) {
        throw new Refused("code", "Too many have failed. Wait ten minutes, then try again.");
      }
      return in(() -> recoveries.comeInBy(typed, code, newPassword), request, response);
    } catch (Refused refused) {
      if (refused.names("code")) {
        entrance.turnedAway(typed, address);
      }
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return lost(login, code, FieldErrors.of(refused), model);
    }
  }

  @AtTheDoor
  @GetMapping("/back-in/{secret}")
  String invited(@PathVariable String secret, Model model) {
    return byLink(secret, FieldErrors.none(), model);
  }

  @PostMapping("/back-in/{secret}")
  String byLink(
      @PathVariable String secret,
      @RequestParam(defaultValue = "") String newPassword,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    try {
      return in(() -> recoveries.comeInAgain(secret, newPassword), request, response);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return byLink(secret, FieldErrors.of(refused), model);
    }
  }

  /** Whoever had the former password is out everywhere. */
  private String in(
      Supplier<Member> who, HttpServletRequest request, HttpServletResponse response) {
    Member member = who.get();
    devices.signOutAll(member.login(), null);
    entrance.enter(new MemberDetails(member), request, response);
    return "redirect:/";
  }

  private static String lost(String login, String code, FieldErrors errors, Model model) {
    model.addAttribute("login", login);
    model.addAttribute("code", code);
    model.addAttribute("errors", errors);
    return "account/lost";
  }

  private String byLink(String secret, FieldErrors errors, Model model) {
    model.addAttribute("secret", secret);
    model.addAttribute("whose", recoveries.letIn(secret).name());
    model.addAttribute("errors", errors);
    return "account/back-in";
  }
}
