package velvetcrock.account;

import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import velvetcrock.core.Refused;
import velvetcrock.web.FieldErrors;

/** The people of a household and the tokens of its scripts. */
@Controller
class PeopleController {
  private final Accounts accounts;
  private final Tokens tokens;

  PeopleController(Accounts accounts, Tokens tokens) {
    this.accounts = accounts;
    this.tokens = tokens;
  }

  @GetMapping("/people")
  String people(Model model) {
    return page("", FieldErrors.none(), model);
  }

  @PostMapping("/people/invitations")
  String invite(RedirectAttributes flash) {
    String link =
        ServletUriComponentsBuilder.fromCurrentContextPath()
            .pathSegment("join", accounts.invite())
            .toUriString();
    flash.addFlashAttribute("invitationLink", link);
    return "redirect:/people";
  }

  @PostMapping("/people/tokens")
  String token(
      @RequestParam(defaultValue = "") String tokenName,
      RedirectAttributes flash,
      Model model,
      HttpServletResponse response) {
    try {
      flash.addFlashAttribute("tokenSecret", tokens.make(tokenName));
      return "redirect:/people";
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(tokenName, FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/people/tokens/{id}/revoke")
  String revoke(@PathVariable UUID id) {
    tokens.revoke(id);
    return "redirect:/people";
  }

  private String page(String tokenName, FieldErrors errors, Model model) {
    model.addAttribute("members", accounts.members());
    model.addAttribute("tokens", tokens.all());
    model.addAttribute("tokenName", tokenName);
    model.addAttribute("errors", errors);
    return "account/people";
  }
}
