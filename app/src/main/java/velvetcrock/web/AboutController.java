package velvetcrock.web;

import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** What the application is made of, and whom to tell of a hole in it. */
@Controller
class AboutController {
  private static final Duration GOOD_FOR = Duration.ofDays(180);

  private final Licences licences;
  private final Clock clock;
  private final String contact;

  AboutController(
      Licences licences, Clock clock, @Value("${velvetcrock.security-contact:}") String contact) {
    this.licences = licences;
    this.clock = clock;
    this.contact = contact;
  }

  @GetMapping("/licences")
  String licences(Model model) {
    model.addAttribute("licences", licences.all());
    return "web/licences";
  }

  /** Whom to tell (RFC 9116); there where whoever runs this house has said so. */
  @GetMapping(path = "/.well-known/security.txt", produces = MediaType.TEXT_PLAIN_VALUE)
  @ResponseBody
  String contact() {
    if (contact.isBlank()) {
      throw new NotFound("Nobody has said whom to tell.");
    }
    return "Contact: %s\nExpires: %s\nPreferred-Languages: en\n"
        .formatted(contact, clock.instant().plus(GOOD_FOR).truncatedTo(ChronoUnit.DAYS));
  }
}
