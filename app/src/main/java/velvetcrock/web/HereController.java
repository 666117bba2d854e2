package velvetcrock.web;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Answers a page that asks, before it sends a form, whether the house is there and knows it. */
@Controller
class HereController {
  @GetMapping("/here")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void here() {
    // that it answers is the answer
  }

  /** The worker that asks for a lost answer again: it answers for what lies beside its script. */
  @GetMapping(path = "/sw.js", produces = "text/javascript;charset=UTF-8")
  @ResponseBody
  Resource worker() {
    return new ClassPathResource("static/assets/sw.js");
  }
}
