package velvetcrock.products;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.making.Drops;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductFacts;
import velvetcrock.kitchen.Catalogues;

/** The cautions that a product calls for, and its allergens. */
@Component
public class ProductCautions {
  private final Cautions cautions;
  private final Catalogues catalogues;

  ProductCautions(Cautions cautions, Catalogues catalogues) {
    this.cautions = cautions;
    this.catalogues = catalogues;
  }

  /**
   * Cautions.
   *
   * @param where whose skin it is for
   * @param drops essential oils that are in it
   */
  public List<Caution> of(Intent plan, List<PartIn> parts, Drops.Where where, List<DropsIn> drops) {
    return cautions.of(ProductFacts.of(plan, parts, where, drops, catalogues.current()));
  }

  /** What an allergic person has to be told, in words; empty for nothing. */
  public String allergens(List<PartIn> parts) {
    Catalogue catalogue = catalogues.current();
    return parts.stream()
        .filter(p -> p.kind() == PartIn.Kind.CARRIER)
        .flatMap(p -> p.blend(catalogue).shares().stream())
        .map(s -> s.carrier().allergen())
        .filter(a -> !a.isEmpty())
        .distinct()
        .collect(Collectors.joining(", "));
  }
}
