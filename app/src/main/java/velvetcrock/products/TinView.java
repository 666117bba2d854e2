package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinFate;
import velvetcrock.web.Formats;

/**
 * Tins of one group.
 *
 * @param drops how the essential oils in them stand against their ceilings
 * @param reason why a ceiling is passed; empty where none is
 */
record TinView(
    String letter,
    String words,
    String scent,
    List<NewProductView.DropLine> drops,
    String passed,
    String reason,
    List<One> tins) {

  /**
   * A tin.
   *
   * @param look how it is drawn: full, away, troubled
   */
  record One(String name, String fate, String look, List<String> reactions, boolean there) {}

  static One one(ProductState.Tin tin, Formats fmt) {
    TinFate fate = tin.fate();
    String said =
        fate == null
            ? ""
            : ProductWords.fate(fate)
                + (tin.to().isEmpty() ? "" : ", to " + tin.to())
                + (tin.since() == null ? "" : ", " + fmt.shortDate(fmt.date(tin.since())))
                + (tin.remark().isEmpty() ? "" : ": " + tin.remark());
    String look = !tin.reactions().isEmpty() ? "troubled" : tin.there() ? "full" : "away";
    return new One(tin.name(), said, look, new ArrayList<>(tin.reactions()), tin.there());
  }
}
