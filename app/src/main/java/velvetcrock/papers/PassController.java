package velvetcrock.papers;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.batch.BatchRecord;
import velvetcrock.batch.Batches;
import velvetcrock.batch.BottleBook;
import velvetcrock.batch.BottleRecord;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinGroup;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.products.ProductCautions;
import velvetcrock.products.ProductRecord;
import velvetcrock.products.Products;
import velvetcrock.web.Formats;
import velvetcrock.web.NotFound;

/** The page that opens for whoever holds a bottle, without sign-in, and how it is made void. */
@Controller
class PassController {
  private final Passes passes;
  private final Batches batches;
  private final BottleBook book;
  private final LabelWriter labels;
  private final TinLabelWriter tinLabels;
  private final Products products;
  private final ProductCautions potCautions;
  private final Households households;
  private final Catalogues catalogues;
  private final Cautions cautions;
  private final Clock clock;

  PassController(
      Passes passes,
      Batches batches,
      BottleBook book,
      LabelWriter labels,
      TinLabelWriter tinLabels,
      Products products,
      ProductCautions potCautions,
      Households households,
      Catalogues catalogues,
      Cautions cautions,
      Clock clock) {
    this.passes = passes;
    this.batches = batches;
    this.book = book;
    this.labels = labels;
    this.tinLabels = tinLabels;
    this.products = products;
    this.potCautions = potCautions;
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
    this.clock = clock;
  }

  /**
   * A bottle's page for whoever holds it.
   *
   * @param until its best-before
   * @param over whether that is past
   * @param gone whether it has been noted as gone or has turned
   */
  record Held(LabelText label, String until, boolean over, boolean gone, List<Caution> cautions) {}

  @GetMapping("/b/{token}")
  String held(@PathVariable String token, Model model, HttpServletResponse response) {
    Held held =
        passes
            .opened(token, this::held)
            .orElseThrow(() -> new NotFound("This code opens nothing, or nothing any more."));
    response.setHeader(HttpHeaders.CACHE_CONTROL, CacheControl.noStore().getHeaderValue());
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("X-Robots-Tag", "noindex, nofollow");
    model.addAttribute("held", held);
    return "papers/held";
  }

  private Held held(Passes.Held found) {
    if (found.product() != null) {
      return tins(found.product(), found.letter());
    }
    BatchRecord batch = batches.find(Objects.requireNonNull(found.batch()));
    BottleRecord bottle = book.one(batch, found.letter());
    Formats fmt = households.formats(households.current());
    LocalDate today = fmt.date(clock.instant());
    BatchReckoning reckoning = new BatchReckoning(catalogues.current(), batch.state());
    return new Held(
        labels.of(bottle, new LabelWriter.Extras(true, "", false)),
        fmt.fullDate(bottle.bestBefore()),
        bottle.bestBefore().isBefore(today),
        bottle.bottle().goneAt() != null || bottle.bottle().spoiled(),
        cautions.forBottle(reckoning.order(), batch.state().charge().use()));
  }

  private Held tins(String code, String letter) {
    ProductRecord product = products.find(code);
    TinGroup group =
        product.state().group(letter).orElseThrow(() -> new NotFound("There are no such tins."));
    Formats fmt = households.formats(households.current());
    boolean gone =
        product.state().tins().stream()
            .filter(t -> t.group().equals(letter))
            .anyMatch(t -> t.fate() == TinFate.SPOILED);
    return new Held(
        tinLabels.of(product, group, null, new LabelWriter.Extras(true, "", false)),
        fmt.fullDate(product.bestBefore(group)),
        product.bestBefore(group).isBefore(fmt.today()),
        gone,
        potCautions.of(
            product.state().plan(),
            product.state().partsOf(group),
            group.where(),
            product.state().dropsOf(group, product.state().melt(catalogues.current()))));
  }

  @PostMapping("/products/{code}/groups/{letter}/void-pass")
  String makeTinsVoid(
      @PathVariable String code, @PathVariable String letter, RedirectAttributes flash) {
    ProductRecord product = products.find(code);
    passes.revokeProduct(product.id(), letter.toUpperCase(Locale.ROOT));
    flash.addFlashAttribute("notice", "Those codes open nothing any more. Print new labels.");
    return "redirect:/products/" + product.code();
  }

  @PostMapping("/cellar/{code}/{letter}/void-pass")
  String makeVoid(
      @PathVariable String code, @PathVariable String letter, RedirectAttributes flash) {
    BatchRecord batch = batches.find(code);
    BottleRecord bottle = book.one(batch, letter.toUpperCase(Locale.ROOT));
    passes.revoke(batch, bottle.bottle().letter());
    flash.addFlashAttribute(
        "notice",
        "The codes printed for " + bottle.code() + " open nothing any more. Print a new label.");
    return "redirect:/cellar/" + batch.code() + "/" + bottle.bottle().letter();
  }
}
