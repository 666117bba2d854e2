package velvetcrock.products;

import java.util.List;
import java.util.OptionalDouble;
import velvetcrock.core.Learned;
import velvetcrock.core.making.Melt;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductBegun;

/**
 * A product as it was read from the sentence.
 *
 * @param parts weighed out, the open ones found
 * @param open which of them were found
 * @param target the hardness aimed at, shifted for place and stirring; empty where none is
 * @param tins how many are wanted; 0 where none were named
 * @param tinMl what one holds, ml
 * @param wax by which hardness is said
 * @param taste how much harder than usual the household likes that
 * @param growth by how much whipping makes it grow; 0 for what is not whipped
 */
record ProductOrder(
    Intent plan,
    List<PartIn> parts,
    List<Boolean> open,
    Melt melt,
    OptionalDouble target,
    List<DropsIn> drops,
    String reason,
    int tins,
    double tinMl,
    Wax wax,
    Learned taste,
    double growth) {
  /** The entry by which it is weighed in. */
  ProductBegun begun() {
    return new ProductBegun(plan, parts, drops, reason);
  }

  /** What it fills, with what stays in the pan taken off, ml. */
  double fillsMl() {
    return melt.fillsMl(growth);
  }
}
