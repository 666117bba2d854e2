package velvetcrock.products;

import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.product.PartIn;
import velvetcrock.drawer.Drawer;
import velvetcrock.drawer.LotRecord;

/** Parts of a product by what they come from, for whoever makes one without typing a sentence. */
@Component
public class ProductSources {
  private final ProductThings things;
  private final Drawer drawer;

  ProductSources(ProductThings things, Drawer drawer) {
    this.things = things;
    this.drawer = drawer;
  }

  /** So much of a bottle, ml. */
  @Transactional(readOnly = true)
  public PartIn bottle(String code, double ml) {
    ProductThings.Thing thing = things.find("bottle:" + code);
    return thing.weighed(ml * thing.substance().usual(), Math.round(ml) + " ml");
  }

  /** So much of a wax or carrier, g, from the lot to be used first if there is one. */
  @Transactional(readOnly = true)
  public PartIn fromDrawer(String value, double grams) {
    String[] named = value.split(":", 2);
    LotDetails.Kind kind = named[0].equals("wax") ? LotDetails.Kind.WAX : LotDetails.Kind.CARRIER;
    Optional<LotRecord> lot = drawer.meant(kind, named[1], null, "");
    ProductThings.Thing thing = things.find(lot.map(l -> "lot:" + l.id()).orElse(value));
    return thing.weighed(grams, Math.round(grams) + " g");
  }
}
