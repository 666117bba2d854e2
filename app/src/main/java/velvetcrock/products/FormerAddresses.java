package velvetcrock.products;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.view.RedirectView;

/** Pages of products were once at another address, which is written down in calendars and notes. */
@Controller
class FormerAddresses {
  private static final String FORMER = "/pots";

  @GetMapping({FORMER, FORMER + "/**"})
  RedirectView moved(HttpServletRequest request) {
    String rest = request.getRequestURI().substring(FORMER.length());
    RedirectView view = new RedirectView("/products" + rest);
    view.setStatusCode(HttpStatus.MOVED_PERMANENTLY);
    return view;
  }
}
