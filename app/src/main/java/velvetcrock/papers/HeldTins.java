package velvetcrock.papers;

import java.util.Locale;
import org.springframework.stereotype.Component;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinGroup;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.products.ProductCautions;
import velvetcrock.products.ProductRecord;
import velvetcrock.products.Products;
import velvetcrock.web.Formats;
import velvetcrock.web.NotFound;

/** What the code on a tin opens. */
@Component
class HeldTins {
  private final Passes passes;
  private final Products products;
  private final TinLabelWriter tinLabels;
  private final ProductCautions cautions;
  private final Households households;
  private final Catalogues catalogues;

  HeldTins(
      Passes passes,
      Products products,
      TinLabelWriter tinLabels,
      ProductCautions cautions,
      Households households,
      Catalogues catalogues) {
    this.passes = passes;
    this.products = products;
    this.tinLabels = tinLabels;
    this.cautions = cautions;
    this.households = households;
    this.catalogues = catalogues;
  }

  /** The page of the tins of one group. */
  HeldView held(String code, String letter) {
    ProductRecord product = products.find(code);
    TinGroup group =
        product.state().group(letter).orElseThrow(() -> new NotFound("There are no such tins."));
    Formats fmt = households.formats(households.current());
    boolean gone =
        product.state().filling().tins().stream()
            .filter(t -> t.group().equals(letter))
            .anyMatch(t -> t.fate() == TinFate.SPOILED);
    return new HeldView(
        tinLabels.of(product, group, null, new LabelWriter.Extras(true, "", false)),
        fmt.fullDate(product.bestBefore(group)),
        product.bestBefore(group).isBefore(fmt.today()),
        gone,
        cautions.of(
            product.state().plan(),
            product.state().partsOf(group),
            group.where(),
            product.state().dropsOf(group, product.state().melt(catalogues.current()))));
  }

  /** Makes the codes of a group of tins open nothing any more; answers the product. */
  ProductRecord makeVoid(String code, String letter) {
    ProductRecord product = products.find(code);
    passes.revokeProduct(product.id(), letter.toUpperCase(Locale.ROOT));
    return product;
  }
}
