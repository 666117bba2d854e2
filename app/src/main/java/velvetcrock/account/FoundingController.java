package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.account.Accounts.Newcomer;
import velvetcrock.core.Refused;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.TimeZones;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.FieldErrors;
import velvetcrock.web.InHousehold;
import velvetcrock.web.NotFound;
import velvetcrock.web.Typed;

/** The first visit of a household: it is founded, by whoever may. */
@Controller
class FoundingController {
  private final Founding founding;
  private final Places places;
  private final CurrentHousehold current;
  private final Entrance entrance;

  FoundingController(
      Founding founding, Places places, CurrentHousehold current, Entrance entrance) {
    this.founding = founding;
    this.places = places;
    this.current = current;
    this.entrance = entrance;
  }

  /**
   * What whoever founds one types; kept when it is refused, but for the password.
   *
   * @param with the secret of the link that led here
   */
  record FoundingForm(
      @Nullable String household,
      @Nullable String zone,
      @Nullable String kitchen,
      @Nullable String with,
      @Nullable String name,
      @Nullable String login,
      @Nullable String password) {
    Newcomer newcomer() {
      return new Newcomer(Typed.text(name), Typed.text(login), Typed.text(password));
    }
  }

  @GetMapping("/welcome")
  String welcome(@RequestParam @Nullable String with, Model model, HttpServletRequest request) {
    if (!founding.open(with)) {
      if (with != null) {
        throw new NotFound(founding.refusal());
      }
      return "redirect:/sign-in";
    }
    Locale locale = request.getLocale();
    model.addAttribute("country", locale.getDisplayCountry(Locale.ENGLISH));
    return founding(
        new FoundingForm(null, "Europe/London", kitchen(locale), with, null, null, null),
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
          founding.found(
              Typed.text(form.household()),
              Typed.text(form.zone()),
              Typed.text(form.kitchen()),
              form.with(),
              form.newcomer());
      current.actingAs(
          (InHousehold) first,
          () -> {
            places.furnish();
            return null;
          });
      return entrance.enterFirst(first, request, response, flash);
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return founding(form, FieldErrors.of(refused), model);
    }
  }

  private String founding(FoundingForm form, FieldErrors errors, Model model) {
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    model.addAttribute("zones", TimeZones.names());
    return "account/welcome";
  }
}
