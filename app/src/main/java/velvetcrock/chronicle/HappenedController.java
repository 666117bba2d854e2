package velvetcrock.chronicle;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Shows keepers what happened here. */
@Controller
class HappenedController {
  private static final int A_PAGE = 50;

  private final Chronicle chronicle;

  HappenedController(Chronicle chronicle) {
    this.chronicle = chronicle;
  }

  @GetMapping("/happened")
  String happened(@RequestParam @Nullable Long before, Model model) {
    List<Chronicle.Line> lines = chronicle.newest(A_PAGE + 1, before);
    model.addAttribute("lines", lines.subList(0, Math.min(A_PAGE, lines.size())));
    model.addAttribute("more", lines.size() > A_PAGE ? lines.get(A_PAGE - 1).id() : null);
    return "chronicle/happened";
  }
}
