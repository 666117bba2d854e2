package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.account.Accounts.Newcomer;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Jar;
import velvetcrock.kitchen.Households;
import velvetcrock.web.AtTheDoor;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Forms;
import velvetcrock.web.JarDrawing;
import velvetcrock.web.NotFound;
import velvetcrock.web.Typed;

/** The doors: sign-in, an invitation, the demo. */
@Controller
class DoorController {
  private static final double PX_PER_MM = 1.75;

  /** The plank beside the sign-in: what goes on behind this door. */
  private static final List<JarDrawing> PLANK =
      List.of(
          jar("first", 150, 96, 62, false, "#e0c04c", "#e8a21c"),
          jar("second", 190, 118, 74, true, "#a88a3c", "#5f6f35"),
          jar("third", 128, 84, 54, true, "#8f3a30", "#b7492f"));

  private final Accounts accounts;
  private final Invitations invitations;
  private final Households households;
  private final Entrance entrance;
  private final DemoVisit visit;
  private final Founding founding;

  DoorController(
      Accounts accounts,
      Invitations invitations,
      Households households,
      Entrance entrance,
      DemoVisit visit,
      Founding founding) {
    this.founding = founding;
    this.accounts = accounts;
    this.invitations = invitations;
    this.households = households;
    this.entrance = entrance;
    this.visit = visit;
  }

  @GetMapping("/sign-in")
  String signIn(
      @RequestParam @Nullable String wrong, @RequestParam @Nullable String wait, Model model) {
    model.addAttribute("wrong", wrong != null);
    model.addAttribute("wait", wait != null);
    model.addAttribute("founded", households.founded());
    model.addAttribute("open", founding.open());
    model.addAttribute("demo", households.demo().filter(d -> visit.stands()).orElse(null));
    model.addAttribute("jars", PLANK);
    return "account/sign-in";
  }

  /** What whoever was invited types; kept when it is refused, but for the password. */
  record JoiningForm(@Nullable String name, @Nullable String login, @Nullable String password) {
    Newcomer newcomer() {
      return new Newcomer(Typed.text(name), Typed.text(login), Typed.text(password));
    }
  }

  @AtTheDoor
  @GetMapping("/join/{secret}")
  String invited(@PathVariable String secret, Model model) {
    return joining(secret, Forms.blank(JoiningForm.class), FieldErrors.none(), model);
  }

  @PostMapping("/join/{secret}")
  String join(
      @PathVariable String secret,
      JoiningForm form,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    try {
      return entrance.enterFirst(
          accounts.joinBy(secret, form.newcomer()), request, response, flash);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return joining(secret, form, FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/demo")
  String demo(HttpServletRequest request, HttpServletResponse response) {
    UserDetails visitor =
        accounts
            .visitor()
            .filter(v -> visit.stands())
            .orElseThrow(() -> new NotFound("There is no demo here."));
    visit.enters();
    entrance.enter(visitor, request, response);
    return "redirect:/";
  }

  private String joining(String secret, JoiningForm form, FieldErrors errors, Model model) {
    model.addAttribute("secret", secret);
    model.addAttribute("invitedTo", invitations.leadsInto(secret).name());
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    return "account/join";
  }

  private static JarDrawing jar(
      String id,
      double brimMm,
      double bedMm,
      double widthMm,
      boolean round,
      String oilColour,
      String fleckColour) {
    return JarDrawing.of(
        new JarDrawing.Filled(
            id,
            bedMm,
            bedMm + 20,
            brimMm,
            widthMm,
            Jar.Shape.JAR,
            false,
            true,
            round,
            oilColour,
            fleckColour,
            "A jar of herbs in oil"),
        PX_PER_MM);
  }
}
