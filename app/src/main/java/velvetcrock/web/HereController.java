package velvetcrock.web;

import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Answers a page that asks, before it sends a form, whether the house is there and knows it. */
@Controller
class HereController {
  @GetMapping("/here")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void here() {
    // that it answers is the answer
  }
}
