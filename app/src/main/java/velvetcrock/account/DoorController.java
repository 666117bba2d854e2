package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Locale;
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
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.TimeZones;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.Forms;
import velvetcrock.web.InHousehold;
import velvetcrock.web.JarDrawing;
import velvetcrock.web.NotFound;

/** The doors: sign-in, the first visit, an invitation, the demo. */
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
  private final Places places;
  private final CurrentHousehold current;
  private final Recoveries recoveries;
  private final Entrance entrance;
  private final DemoVisit visit;

  DoorController(
      Accounts accounts,
      Invitations invitations,
      Households households,
      Places places,
      CurrentHousehold current,
      Recoveries recoveries,
      Entrance entrance,
      DemoVisit visit) {
    this.accounts = accounts;
    this.invitations = invitations;
    this.households = households;
    this.places = places;
    this.current = current;
    this.recoveries = recoveries;
    this.entrance = entrance;
    this.visit = visit;
  }

  @GetMapping("/sign-in")
  String signIn(
      @RequestParam @Nullable String wrong, @RequestParam @Nullable String wait, Model model) {
    model.addAttribute("wrong", wrong != null);
    model.addAttribute("wait", wait != null);
    model.addAttribute("founded", households.founded());
    model.addAttribute("demo", households.demo().orElse(null));
    model.addAttribute("jars", PLANK);
    return "account/sign-in";
  }

  /** What the first visitor types; kept when it is refused, but for the password. */
  record FoundingForm(
      @Nullable String household,
      @Nullable String zone,
      @Nullable String kitchen,
      @Nullable String name,
      @Nullable String login,
      @Nullable String password) {
    Newcomer newcomer() {
      return new Newcomer(text(name), text(login), text(password));
    }

    static String text(@Nullable String text) {
      return text == null ? "" : text;
    }
  }

  @GetMapping("/welcome")
  String welcome(Model model, HttpServletRequest request) {
    if (households.founded()) {
      return "redirect:/sign-in";
    }
    Locale locale = request.getLocale();
    model.addAttribute("country", locale.getDisplayCountry(Locale.ENGLISH));
    return founding(
        new FoundingForm(null, "Europe/London", kitchen(locale), null, null, null),
        FieldErrors.none(),
        model);
  }

  /** Whose cups somebody means whose browser reads these languages. */
  private static String kitchen(Locale locale) {
    return switch (locale.getCountry()) {
      case "US" -> "US";
      case "GB" -> "IMPERIAL";
      default -> "METRIC";
    };
  }

  @PostMapping("/welcome")
  String found(
      FoundingForm form,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    try {
      UserDetails first =
          accounts.found(
              FoundingForm.text(form.household()),
              FoundingForm.text(form.zone()),
              FoundingForm.text(form.kitchen()),
              form.newcomer());
      current.actingAs(
          (InHousehold) first,
          () -> {
            places.furnish();
            return null;
          });
      return in(first, request, response, flash);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return founding(form, FieldErrors.of(refused), model);
    }
  }

  @GetMapping("/join/{secret}")
  String invited(@PathVariable String secret, Model model) {
    return joining(secret, Forms.blank(FoundingForm.class), FieldErrors.none(), model);
  }

  @PostMapping("/join/{secret}")
  String join(
      @PathVariable String secret,
      FoundingForm form,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    try {
      return in(accounts.joinBy(secret, form.newcomer()), request, response, flash);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return joining(secret, form, FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/demo")
  String demo(HttpServletRequest request, HttpServletResponse response) {
    UserDetails visitor =
        accounts.visitor().orElseThrow(() -> new NotFound("There is no demo here."));
    visit.enters();
    entrance.enter(visitor, request, response);
    return "redirect:/";
  }

  private String founding(FoundingForm form, FieldErrors errors, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("zones", TimeZones.names());
    return "account/welcome";
  }

  private String joining(String secret, FoundingForm form, FieldErrors errors, Model model) {
    model.addAttribute("secret", secret);
    model.addAttribute("invitedTo", invitations.leadsInto(secret).name());
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    return "account/join";
  }

  /** In for the first time: the codes for a lost password are shown this once. */
  private String in(
      UserDetails who,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    entrance.enter(who, request, response);
    flash.addFlashAttribute("codes", recoveries.makeCodes(who.getUsername()));
    return "redirect:/account/codes";
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
