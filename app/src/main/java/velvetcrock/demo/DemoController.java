package velvetcrock.demo;

import io.github.bucket4j.Bucket;
import java.time.Duration;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.kitchen.Households;
import velvetcrock.web.NotFound;

/** One button puts the demo back as it was. */
@Controller
class DemoController {
  private final DemoHousehold demo;
  private final Households households;

  /** It takes seconds of work, and anybody may press the button. */
  private final Bucket once =
      Bucket.builder()
          .addLimit(limit -> limit.capacity(1).refillGreedy(1, Duration.ofMinutes(1)))
          .build();

  DemoController(DemoHousehold demo, Households households) {
    this.demo = demo;
    this.households = households;
  }

  @PostMapping("/demo/anew")
  String anew(RedirectAttributes flash) {
    if (demo.here().filter(d -> d.id().equals(households.current().id())).isEmpty()) {
      throw new NotFound("This is not the demo.");
    }
    if (once.tryConsume(1)) {
      demo.putBack();
      flash.addFlashAttribute("notice", "The demo is as it was, with the dates of today.");
    } else {
      flash.addFlashAttribute("problem", "It was put back a moment ago. Wait a minute.");
    }
    return "redirect:/";
  }
}
