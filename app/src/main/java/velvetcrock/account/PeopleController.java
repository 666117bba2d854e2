package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
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
import velvetcrock.web.FieldErrors;
import velvetcrock.web.HouseName;
import velvetcrock.web.Typed;

/** The people of a household, who is invited, and what each may do. */
@Controller
class PeopleController {
  private static final String BACK = "redirect:/people";

  private final Accounts accounts;
  private final Invitations invitations;
  private final Membership membership;
  private final Recoveries recoveries;
  private final Tokens tokens;
  private final Entrance entrance;
  private final HouseName house;

  PeopleController(
      Accounts accounts,
      Invitations invitations,
      Membership membership,
      Recoveries recoveries,
      Tokens tokens,
      Entrance entrance,
      HouseName house) {
    this.accounts = accounts;
    this.invitations = invitations;
    this.membership = membership;
    this.recoveries = recoveries;
    this.tokens = tokens;
    this.entrance = entrance;
    this.house = house;
  }

  @GetMapping("/people")
  String people(Model model) {
    return page(new TokenForm("", Scope.LOG.name(), ""), FieldErrors.none(), model);
  }

  @PostMapping("/people/invitations")
  String invite(@RequestParam(defaultValue = "MEMBER") String role, RedirectAttributes flash) {
    String secret = invitations.invite(role(role));
    flash.addFlashAttribute("invitationLink", link("join", secret));
    return BACK;
  }

  @PostMapping("/people/invitations/{id}/withdraw")
  String withdraw(@PathVariable UUID id, RedirectAttributes flash) {
    invitations.withdraw(id);
    flash.addFlashAttribute("notice", "Taken back. The link opens nothing any more.");
    return BACK;
  }

  @GetMapping("/people/{member}")
  String one(@PathVariable UUID member, Model model) {
    return one(member, null, FieldErrors.none(), model);
  }

  @PostMapping("/people/{member}/role")
  String role(
      @PathVariable UUID member,
      @RequestParam(defaultValue = "") String role,
      @RequestParam(defaultValue = "") String password,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    try {
      entrance.showAgain(Me.signedIn(), password, request);
      Member changed = membership.become(member, role(role));
      flash.addFlashAttribute(
          "notice", changed.name() + " is " + changed.role().called() + " from now on.");
      return BACK;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return one(member, role, FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/people/{member}/remove")
  String remove(
      @PathVariable UUID member,
      @RequestParam(defaultValue = "") String password,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    try {
      entrance.showAgain(Me.signedIn(), password, request);
      Member gone = membership.remove(member);
      flash.addFlashAttribute(
          "notice", gone.name() + " cannot come in any more. The name stays in the log.");
      return BACK;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return one(member, null, FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/people/{member}/recover")
  String recover(
      @PathVariable UUID member,
      @RequestParam(defaultValue = "") String password,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    try {
      entrance.showAgain(Me.signedIn(), password, request);
      String secret = recoveries.ask(member);
      flash.addFlashAttribute("recoveryLink", link("back-in", secret));
      flash.addFlashAttribute("recoveryOf", membership.find(member).name());
      return BACK;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return one(member, null, FieldErrors.of(refused), model);
    }
  }

  /** What keepers are told of has been seen by the one who is signed in. */
  @PostMapping("/people/told")
  String told() {
    accounts.told(Me.signedIn().getUsername());
    return "redirect:/";
  }

  /** What is typed for a token; kept when it is refused. */
  record TokenForm(@Nullable String tokenName, @Nullable String scope, @Nullable String tokenDays) {
    int days() {
      return Typed.blank(tokenDays)
          ? 0
          : Typed.at("tokenDays", () -> (int) Typed.number(tokenDays, 1, 3650, "A number of days"));
    }
  }

  @PostMapping("/people/tokens")
  String token(
      TokenForm form, RedirectAttributes flash, Model model, HttpServletResponse response) {
    try {
      Scope scope = Typed.blank(form.scope()) ? Scope.LOG : scope(Typed.text(form.scope()));
      flash.addFlashAttribute(
          "tokenSecret", tokens.make(Typed.text(form.tokenName()), scope, form.days()));
      return BACK;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return page(form, FieldErrors.of(refused), model);
    }
  }

  @PostMapping("/people/tokens/{id}/revoke")
  String revoke(@PathVariable UUID id) {
    tokens.revoke(id);
    return BACK;
  }

  private static Scope scope(String typed) {
    return Typed.named(Scope.class, typed, "scope");
  }

  private static Role role(String typed) {
    Role role = Typed.named(Role.class, typed, "role");
    if (!Role.given().contains(role)) {
      throw new Refused("role", "Choose what somebody may do.");
    }
    return role;
  }

  private String link(String door, String secret) {
    return house.link().pathSegment(door, secret).toUriString();
  }

  private String one(UUID id, @Nullable String chosen, FieldErrors errors, Model model) {
    Member member = membership.find(id);
    model.addAttribute("member", member);
    model.addAttribute("chosen", chosen == null ? member.role().name() : chosen);
    model.addAttribute("roles", Role.given());
    model.addAttribute("errors", errors);
    return "account/member";
  }

  private String page(TokenForm form, FieldErrors errors, Model model) {
    model.addAttribute("members", accounts.members());
    model.addAttribute("invitations", invitations.open());
    model.addAttribute("roles", Role.given());
    model.addAttribute("tokens", tokens.all());
    model.addAttribute("scopes", Scope.values());
    model.addAttribute("form", form);
    model.addAttribute("errors", errors);
    return "account/people";
  }
}
