package velvetcrock.papers;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Objects;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BottleRecord;
import velvetcrock.products.ProductRecord;
import velvetcrock.web.AtTheDoor;
import velvetcrock.web.NotFound;

/**
 * The page that opens for whoever holds a bottle or a tin, without sign-in, and how it is made
 * void.
 */
@Controller
class PassController {
  private final Passes passes;
  private final HeldBottle bottles;
  private final HeldTins tins;

  PassController(Passes passes, HeldBottle bottles, HeldTins tins) {
    this.passes = passes;
    this.bottles = bottles;
    this.tins = tins;
  }

  @AtTheDoor
  @GetMapping("/b/{token}")
  String held(@PathVariable String token, Model model, HttpServletResponse response) {
    HeldView held =
        passes
            .opened(token, this::held)
            .orElseThrow(() -> new NotFound("This code opens nothing, or nothing any more."));
    response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noStore().getHeaderValue());
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("X-Robots-Tag", "noindex, nofollow");
    model.addAttribute("held", held);
    return "papers/held";
  }

  private HeldView held(Passes.Held found) {
    return found.product() != null
        ? tins.held(found.product(), found.letter())
        : bottles.held(Objects.requireNonNull(found.batch()), found.letter());
  }

  @PostMapping("/products/{code}/groups/{letter}/void-pass")
  String makeTinsVoid(
      @PathVariable String code, @PathVariable String letter, RedirectAttributes flash) {
    ProductRecord product = tins.makeVoid(code, letter);
    flash.addFlashAttribute("notice", "Those codes open nothing any more. Print new labels.");
    return "redirect:/products/" + product.code();
  }

  @PostMapping("/cellar/{code}/{letter}/void-pass")
  String makeVoid(
      @PathVariable String code, @PathVariable String letter, RedirectAttributes flash) {
    BottleRecord bottle = bottles.makeVoid(code, letter);
    flash.addFlashAttribute(
        "notice",
        "The codes printed for " + bottle.code() + " open nothing any more. Print a new label.");
    return "redirect:/cellar/" + bottle.batch().code() + "/" + bottle.bottle().letter();
  }
}
