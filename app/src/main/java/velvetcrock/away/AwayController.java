package velvetcrock.away;

import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import velvetcrock.web.CanWait;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;
import velvetcrock.web.WorthKeeping;

/** Tells a phone what to keep, for whom, and what may wait on it; and shows what waits there. */
@Controller
class AwayController {
  /** Kept for every household, whatever stands in it. */
  static final String WAITING = "/waiting";

  private final List<WorthKeeping> places;
  private final CurrentHousehold current;
  private final ObjectProvider<RequestMappingHandlerMapping> routes;

  AwayController(
      List<WorthKeeping> places,
      CurrentHousehold current,
      @Qualifier("requestMappingHandlerMapping")
          ObjectProvider<RequestMappingHandlerMapping> routes) {
    this.places = places;
    this.current = current;
    this.routes = routes;
  }

  /**
   * What a phone is to keep.
   *
   * @param who whose pages these are: what waits of somebody else is not sent in his name
   * @param token what every form carries against forgery
   * @param pages to keep, those first that are wanted first
   * @param canWait paths of forms that may be held back, with a star for each part that varies
   */
  record Keep(String who, String token, List<WorthKeeping.Page> pages, List<String> canWait) {}

  @GetMapping("/kept")
  @ResponseBody
  ResponseEntity<Keep> kept(CsrfToken token) {
    List<WorthKeeping.Page> pages =
        places.stream().flatMap(place -> place.pages().stream()).distinct().toList();
    Keep keep =
        new Keep(
            current.who().map(AwayController::mark).orElse(""), token.getToken(), pages, canWait());
    return ResponseEntity.ok().cacheControl(CacheControl.noStore()).body(keep);
  }

  /** Names somebody on a phone, and tells a stranger who finds it nothing. */
  static String mark(InHousehold who) {
    return UUID.nameUUIDFromBytes(
            (who.householdId() + "/" + who.displayName())
                .getBytes(java.nio.charset.StandardCharsets.UTF_8))
        .toString();
  }

  private List<String> canWait() {
    return routes.getObject().getHandlerMethods().entrySet().stream()
        .filter(route -> route.getValue().hasMethodAnnotation(CanWait.class))
        .flatMap(route -> route.getKey().getPatternValues().stream())
        .map(path -> path.replaceAll("\\{[^}]+}", "*"))
        .sorted()
        .toList();
  }

  /** What waits on the phone that shows it; the page is filled by the phone, also with no house. */
  @GetMapping(WAITING)
  String waiting() {
    return "away/waiting";
  }

  /** The worker that keeps pages and what waits: it answers for all that lies beside its script. */
  @GetMapping(path = "/sw.js", produces = "text/javascript;charset=UTF-8")
  @ResponseBody
  Resource worker() {
    return new ClassPathResource("static/assets/sw.js");
  }
}
