package velvetcrock.house;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import velvetcrock.web.AtTheDoor;
import velvetcrock.web.HouseName;
import velvetcrock.web.NotFound;
import velvetcrock.web.QrCode;

/** Three steps that bring a phone into the house, and the check that it has come. */
@Controller
class PhonesController {
  private final HouseName house;
  private final Authority authority;
  private final Arrivals arrivals;

  PhonesController(HouseName house, Authority authority, Arrivals arrivals) {
    this.house = house;
    this.authority = authority;
    this.arrivals = arrivals;
  }

  /** An address to scan, and what to read of it. */
  record Address(String words, QrCode code) {
    static Address of(String address) {
      return new Address(address, QrCode.of(address));
    }

    Address said(String words) {
      return new Address(words, code);
    }
  }

  @GetMapping("/phones")
  String phones(Model model) {
    model.addAttribute("given", house.given());
    if (house.given()) {
      String secret = arrivals.await();
      model.addAttribute("certificate", Address.of("http://" + house.host() + "/certificate"));
      model.addAttribute("fingerprint", authority.fingerprint().orElse(null));
      model.addAttribute(
          "arrive",
          Address.of(house.link().pathSegment("arrive", secret).toUriString())
              .said(house.origin()));
      model.addAttribute(
          "start", Address.of(house.link().path("/").toUriString()).said(house.origin()));
      waiting(secret, model);
    }
    return "house/phones";
  }

  /** Asked for by the page until the phone has come. */
  @GetMapping("/phones/{secret}/arrived")
  String whether(@PathVariable String secret, Model model) {
    waiting(secret, model);
    return "house/phones :: arrived";
  }

  /** The page that the phone opens: that it is seen is the check. */
  @AtTheDoor
  @GetMapping("/arrive/{secret}")
  String arrive(@PathVariable String secret, HttpServletRequest request) {
    if (!arrivals.known(secret)) {
      throw new NotFound("This address has served its time. Open “Bring a phone in” once more.");
    }
    if (request.isSecure()) {
      arrivals.arrived(secret);
    }
    return "house/arrived";
  }

  private void waiting(String secret, Model model) {
    model.addAttribute("secret", secret);
    model.addAttribute("waited", arrivals.known(secret));
    model.addAttribute("at", arrivals.at(secret).orElse(null));
  }
}
