package velvetcrock.products;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchActs;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.DrawnUnbottled;
import velvetcrock.core.batch.GivenBack;
import velvetcrock.core.log.Entry;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.drawer.Drawer;
import velvetcrock.kitchen.Catalogues;

/**
 * Takes what goes into a product from bottles, from oil straight from the cloth and from lots, each
 * by an entry in its log under a key of its own, so that nothing is taken twice; and gives it back.
 */
@Component
class ProductTaker {
  private final BatchActs acts;
  private final Drawer drawer;
  private final Catalogues catalogues;

  ProductTaker(BatchActs acts, Drawer drawer, Catalogues catalogues) {
    this.acts = acts;
    this.drawer = drawer;
    this.catalogues = catalogues;
  }

  /**
   * Takes.
   *
   * @param product its code
   * @param entry the entry by which the parts went in, at its time
   * @return what lots lacked, in words
   * @throws Refused at {@code parts[i].amount} where a bottle holds less
   */
  List<String> take(String product, Entry<ProductEvent> entry, List<PartIn> parts) {
    List<String> lacked = new ArrayList<>();
    for (int i : inOrder(parts)) {
      PartIn part = parts.get(i);
      String key = key(entry.id(), i);
      if (ProductParts.isMarc(part)) {
        continue;
      }
      PartIn.Infused infused = part.infused();
      if (infused != null) {
        draw(product, part, infused, entry.at(), key, "parts[" + i + "].amount");
      } else if (part.lot() != null) {
        double wanted = ProductParts.inLot(part, catalogues.current());
        double taken = drawer.take(part.lot(), wanted, "product " + product, key);
        if (taken < wanted - 1e-6) {
          lacked.add(ProductParts.name(part, catalogues.current()));
        }
      }
    }
    return lacked;
  }

  private void draw(
      String product, PartIn part, PartIn.Infused infused, Instant at, String key, String field) {
    double ml = ProductParts.ml(part, catalogues.current());
    String letter = infused.letter();
    BatchEvent event =
        letter == null
            ? new DrawnUnbottled(ml, part.text(), "product " + product)
            : new Drawn(letter, ml, part.text(), "product " + product);
    try {
      acts.append(infused.batch(), event, at, null, key);
    } catch (Refused refused) {
      throw new Refused(field, refused.problems().get(0).message());
    }
  }

  /** Gives back all that an entry took. */
  void giveBack(String product, UUID entry, List<PartIn> parts) {
    for (int i : inOrder(parts)) {
      PartIn part = parts.get(i);
      PartIn.Infused infused = part.infused();
      if (ProductParts.isMarc(part)) {
        continue;
      }
      if (infused != null) {
        acts.append(
            infused.batch(),
            new GivenBack(
                infused.letter(),
                ProductParts.ml(part, catalogues.current()),
                "product " + product),
            null,
            null,
            "potback:" + entry + ":" + i);
      } else if (part.lot() != null) {
        drawer.giveBack(part.lot(), key(entry, i));
      }
    }
  }

  /** Always in one order, so that two who take from the same bottles and lots take turns. */
  private static List<Integer> inOrder(List<PartIn> parts) {
    return IntStream.range(0, parts.size())
        .boxed()
        .sorted(Comparator.comparing((Integer i) -> source(parts.get(i))))
        .toList();
  }

  private static String source(PartIn part) {
    PartIn.Infused infused = part.infused();
    UUID lot = part.lot();
    return infused != null ? "1" + infused.code() : lot == null ? "3" : "2" + lot;
  }

  private static String key(UUID entry, int index) {
    return BatchActs.PRODUCT_KEY + entry + ":" + index;
  }
}
