package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.chronicle.Chronicle;
import velvetcrock.chronicle.Deed;
import velvetcrock.core.Refused;
import velvetcrock.web.FieldErrors;

/** What somebody sees to of his own: name, password, the ways back in, devices, leaving. */
@Controller
class AccountController {
  private static final String BACK = "redirect:/account";

  private final Accounts accounts;
  private final Membership membership;
  private final Recoveries recoveries;
  private final Devices devices;
  private final Entrance entrance;
  private final SecurityContextRepository contexts;
  private final Chronicle chronicle;
  private final Passkeys passkeys;

  AccountController(
      Accounts accounts,
      Membership membership,
      Recoveries recoveries,
      Devices devices,
      Entrance entrance,
      SecurityContextRepository contexts,
      Chronicle chronicle,
      Passkeys passkeys) {
    this.passkeys = passkeys;
    this.accounts = accounts;
    this.membership = membership;
    this.recoveries = recoveries;
    this.devices = devices;
    this.entrance = entrance;
    this.contexts = contexts;
    this.chronicle = chronicle;
  }

  @GetMapping("/account")
  String account(Model model, HttpServletRequest request) {
    return page(Me.signedIn().displayName(), FieldErrors.none(), model, request);
  }

  @PostMapping("/account/name")
  String name(
      @RequestParam(defaultValue = "") String name,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    try {
      become(accounts.rename(Me.signedIn().getUsername(), name), request, response);
      flash.addFlashAttribute("notice", "That is how you stand in the log from now on.");
      return BACK;
    } catch (Refused refused) {
      return refused(name, refused, model, request, response);
    }
  }

  @PostMapping("/account/password")
  String password(
      @RequestParam(defaultValue = "") String password,
      @RequestParam(defaultValue = "") String newPassword,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    MemberDetails me = Me.signedIn();
    try {
      entrance.showAgain(me, password, request);
      accounts.changePassword(me.getUsername(), newPassword);
      chronicle.note(Deed.PASSWORD_CHANGED, "");
      int others = devices.signOutAll(me.getUsername(), here(request));
      flash.addFlashAttribute(
          "notice",
          "The new password is good from now on"
              + (others == 0 ? "." : ", and your other devices are signed out."));
      return BACK;
    } catch (Refused refused) {
      return refused(me.displayName(), refused, model, request, response);
    }
  }

  /** Where somebody who has just come in for the first time is shown the codes. */
  @GetMapping("/account/codes")
  String newCodes() {
    return "account/codes";
  }

  @PostMapping("/account/codes")
  String codes(
      @RequestParam(defaultValue = "") String password,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response,
      RedirectAttributes flash) {
    MemberDetails me = Me.signedIn();
    try {
      entrance.showAgain(me, password, request);
      flash.addFlashAttribute("codes", recoveries.makeCodes(me.getUsername()));
      return BACK;
    } catch (Refused refused) {
      return refused(me.displayName(), refused, model, request, response);
    }
  }

  @PostMapping("/account/devices/{device}/sign-out")
  String signOut(@PathVariable String device, RedirectAttributes flash) {
    devices
        .signOut(Me.signedIn().getUsername(), device)
        .ifPresent(
            what -> {
              chronicle.note(Deed.DEVICE_SIGNED_OUT, what);
              flash.addFlashAttribute("notice", what + " is signed out.");
            });
    return BACK;
  }

  @PostMapping("/account/devices/sign-out")
  String signOutOthers(HttpServletRequest request, RedirectAttributes flash) {
    int gone = devices.signOutAll(Me.signedIn().getUsername(), here(request));
    chronicle.note(Deed.DEVICE_SIGNED_OUT, "all but one");
    flash.addFlashAttribute(
        "notice", gone == 1 ? "One device is signed out." : gone + " devices are signed out.");
    return BACK;
  }

  @PostMapping("/account/recoveries/{recovery}/stop")
  String stop(@PathVariable UUID recovery, RedirectAttributes flash) {
    recoveries.stop(recovery);
    flash.addFlashAttribute("notice", "Stopped. That link opens nothing.");
    return "redirect:/";
  }

  @PostMapping("/account/passkeys/{passkey}/remove")
  String remove(@PathVariable String passkey, RedirectAttributes flash) {
    passkeys.remove(Me.signedIn().getUsername(), passkey);
    flash.addFlashAttribute("notice", "That passkey opens nothing any more.");
    return BACK;
  }

  @PostMapping("/account/leave")
  String leave(
      @RequestParam(defaultValue = "") String password,
      @RequestParam @Nullable String sure,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    MemberDetails me = Me.signedIn();
    try {
      entrance.showAgain(me, password, request);
      if (sure == null) {
        throw new Refused("sure", "Say that you are sure: you cannot come back by yourself.");
      }
      membership.leave(accounts.find(me.getUsername()).orElseThrow().id());
      HttpSession session = request.getSession(false);
      if (session != null) {
        session.invalidate();
      }
      SecurityContextHolder.clearContext();
      return "redirect:/sign-in";
    } catch (Refused refused) {
      return refused(me.displayName(), refused, model, request, response);
    }
  }

  /** This device and all others know it from now on. */
  private void become(Member member, HttpServletRequest request, HttpServletResponse response) {
    devices.refresh(member);
    contexts.saveContext(Devices.context(member), request, response);
  }

  private String refused(
      String name,
      Refused refused,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
    return page(name, FieldErrors.of(refused), model, request);
  }

  private String page(String name, FieldErrors errors, Model model, HttpServletRequest request) {
    String login = Me.signedIn().getUsername();
    model.addAttribute("name", name);
    model.addAttribute("login", login);
    model.addAttribute("codesLeft", recoveries.codesLeft(login));
    model.addAttribute("devices", devices.of(login, here(request)));
    model.addAttribute("passkeys", passkeys.of(login));
    model.addAttribute("freshly", entrance.fresh(request));
    model.addAttribute("errors", errors);
    return "account/account";
  }

  private static @Nullable String here(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    return session == null ? null : session.getId();
  }
}
