package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import velvetcrock.batch.Batches;
import velvetcrock.core.making.Suspects;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductState;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotWords;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;
import velvetcrock.web.SameUntilChanged;

/** All products, and those that a lot or a batch went into. */
@Controller
class ProductsController {
  private static final int MOST_DRAWN = 12;
  private static final int SOON_DAYS = 30;

  private final Products products;
  private final Tracing tracing;
  private final Drawer drawer;
  private final Batches batches;
  private final Households households;
  private final Catalogues catalogues;

  ProductsController(
      Products products,
      Tracing tracing,
      Drawer drawer,
      Batches batches,
      Households households,
      Catalogues catalogues) {
    this.products = products;
    this.tracing = tracing;
    this.drawer = drawer;
    this.batches = batches;
    this.households = households;
    this.catalogues = catalogues;
  }

  /**
   * A product on its board.
   *
   * @param tins how its tins are drawn: full, away, troubled
   * @param more how many stand behind these
   * @param mood whether its date is near or past
   */
  record Card(
      String code,
      String name,
      String making,
      String left,
      String until,
      String mood,
      String tint,
      String shape,
      List<String> tins,
      int more,
      List<String> given) {}

  @SameUntilChanged(held = true)
  @GetMapping("/products")
  String products(Model model) {
    Formats fmt = households.formats(households.current());
    model.addAttribute("standing", cards(products.standing(), fmt));
    model.addAttribute("printAgain", products.toPrintAgain(fmt.today()));
    model.addAttribute("past", cards(products.past(), fmt));
    return "products/products";
  }

  @SameUntilChanged(held = true)
  @GetMapping("/products/of/lots/{id}")
  String ofLot(@PathVariable("id") UUID lot, Model model) {
    Formats fmt = households.formats(households.current());
    LotWords words = new LotWords(catalogues.current(), fmt);
    var record = drawer.lot(lot);
    model.addAttribute("what", words.name(record.lot()) + ", " + words.origin(record.lot()));
    model.addAttribute("back", "/drawer/lots/" + lot);
    model.addAttribute("found", cards(tracing.ofLot(lot), fmt));
    return "products/of";
  }

  @SameUntilChanged(held = true)
  @GetMapping("/products/of/batches/{code}")
  String ofBatch(@PathVariable String code, Model model) {
    Formats fmt = households.formats(households.current());
    String batch = batches.find(code).code();
    model.addAttribute("what", "batch " + batch);
    model.addAttribute("back", "/batches/" + batch);
    model.addAttribute("found", cards(tracing.ofBatch(batch), fmt));
    return "products/of";
  }

  /**
   * A report of a skin that reacted.
   *
   * @param contents everything that was in the tin
   * @param others whom else tins of the product were given to
   */
  record ReportView(
      String tin,
      String link,
      String product,
      String to,
      List<String> what,
      List<String> contents,
      List<String> others) {}

  /**
   * Something that tins share.
   *
   * @param given whom tins went to that have it in them
   */
  record SuspectView(String thing, String sure, String words, List<String> given) {}

  @SameUntilChanged(held = true)
  @GetMapping("/products/reactions")
  String reactions(Model model) {
    Formats fmt = households.formats(households.current());
    ProductWords words = new ProductWords(catalogues.current(), fmt);
    List<Tracing.Seen> tins = tracing.tins(fmt);
    List<ReportView> views = new ArrayList<>();
    for (Tracing.Seen tin : tins) {
      if (tin.troubled()) {
        views.add(
            new ReportView(
                tin.name(),
                "/products/" + tin.product().code(),
                words.name(tin.product().state()),
                tin.tin().to(),
                tin.tin().reactions(),
                List.copyOf(tin.contents()),
                Tracing.given(
                    tins,
                    t ->
                        t.product().id().equals(tin.product().id())
                            && !t.name().equals(tin.name()))));
      }
    }
    Suspects suspects = Tracing.suspects(tins, fmt);
    model.addAttribute("reports", views);
    model.addAttribute("fine", suspects.fine());
    model.addAttribute(
        "only",
        suspects.onlyInReports().stream()
            .map(s -> suspect(s, Tracing.given(tins, t -> t.contents().contains(s.thing())), fmt))
            .toList());
    model.addAttribute(
        "also",
        suspects.shared().stream()
            .filter(s -> s.inFine() > 0)
            .map(s -> suspect(s, List.of(), fmt))
            .toList());
    return "products/reactions";
  }

  private static SuspectView suspect(Suspects.Suspect suspect, List<String> given, Formats fmt) {
    String sure =
        switch (suspect.sureness()) {
          case LIKELY -> "likely";
          case PERHAPS -> "perhaps";
          case OPEN -> "cannot be told yet";
        };
    long in = Math.round(1 / Math.max(1e-6, suspect.byChance()));
    String chance =
        suspect.byChance() > 0.5
            ? "chance alone would explain it"
            : "by chance alone about once in " + fmt.number(in, 0);
    return new SuspectView(
        suspect.thing(),
        sure,
        (suspect.inFine() == 0
                ? "in no trouble-free tin"
                : "in " + suspect.inFine() + " trouble-free too")
            + "; "
            + chance,
        given);
  }

  private List<Card> cards(List<ProductRecord> records, Formats fmt) {
    List<Card> cards = new ArrayList<>();
    Catalogue catalogue = catalogues.current();
    ProductWords words = new ProductWords(catalogue, fmt);
    for (ProductRecord record : records) {
      ProductState state = record.state();
      List<String> tins =
          state.filling().tins().stream()
              .limit(MOST_DRAWN)
              .map(t -> TinView.one(t, fmt).look())
              .toList();
      boolean stands = state.status().stands();
      boolean over = stands && record.bestBefore().isBefore(fmt.today());
      boolean soon = stands && record.bestBefore().isBefore(fmt.today().plusDays(SOON_DAYS));
      long there = state.filling().tins().stream().filter(ProductState.Tin::there).count();
      cards.add(
          new Card(
              record.code(),
              words.name(state),
              ProductWords.making(state.plan().making()),
              left(state, there),
              stands
                  ? "until " + fmt.shortDate(record.bestBefore())
                  : fmt.shortDate(record.madeOn()),
              over ? "over" : soon ? "care" : "rest",
              tint(state, catalogue),
              ProductWords.shape(state.plan().making()),
              tins,
              Math.max(0, state.filling().tins().size() - MOST_DRAWN),
              state.filling().tins().stream()
                  .map(ProductState.Tin::to)
                  .filter(t -> !t.isEmpty())
                  .distinct()
                  .toList()));
    }
    return cards;
  }

  private static String left(ProductState state, long there) {
    return switch (state.status()) {
      case IN_THE_PAN -> "in the pan";
      case POURED -> there + " of " + state.filling().tins().size() + " here";
      case GONE -> state.plan().making().filled() ? "all gone" : "made";
      case ABANDONED -> "abandoned";
    };
  }

  private static String tint(ProductState state, Catalogue catalogue) {
    return state.parts().stream()
        .filter(p -> p.kind() == PartIn.Kind.CARRIER)
        .findFirst()
        .map(
            p ->
                p.infused() == null || p.infused().herbs().isEmpty()
                    ? ProductParts.colour(p, catalogue)
                    : catalogue.herb(p.infused().herbs().get(0)).colours().tint())
        .orElse("#e8da96");
  }
}
