package velvetcrock.products;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.making.HardnessText;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductState;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.web.Formats;

/** Gathers what is known of a product for its page. */
@Component
class ProductBasis {
  private static final Duration STOVE_FRESH = Duration.ofMinutes(10);

  private final Products products;
  private final PourReader pours;
  private final ProductCost money;
  private final ProductCautions cautions;
  private final Tracing tracing;
  private final BatchReadings readings;
  private final Catalogues catalogues;

  ProductBasis(
      Products products,
      PourReader pours,
      ProductCost money,
      ProductCautions cautions,
      Tracing tracing,
      BatchReadings readings,
      Catalogues catalogues) {
    this.products = products;
    this.pours = pours;
    this.money = money;
    this.cautions = cautions;
    this.tracing = tracing;
    this.readings = readings;
    this.catalogues = catalogues;
  }

  /** All that is known of it, in a household's units. */
  ProductView.Basis of(ProductRecord product, Household house, Formats fmt) {
    Catalogue catalogue = catalogues.current();
    ProductState state = product.state();
    Wax wax = catalogue.wax(mainWax(state));
    int tins = Math.max(1, state.filling().tins().size());
    boolean inThePan = state.status() == ProductState.Status.IN_THE_PAN;
    return new ProductView.Basis(
        product,
        products.log(product),
        tracing.sources(product, fmt),
        money.bill(state.parts(), tins),
        Products.taste(products.tastes(wax.key()), state.plan().making().stiff()),
        new HardnessText(wax, catalogue.carrier("olive"), house.units()),
        cautions.of(state.plan(), allParts(state), state.plan().where(), allDrops(state)),
        inThePan ? stove(fmt) : Optional.empty(),
        pours.fillsMl(state));
  }

  private Optional<ProductState.Reading> stove(Formats fmt) {
    return readings
        .onTheStove(fmt.now().minus(STOVE_FRESH))
        .map(r -> new ProductState.Reading(r.at(), r.celsius()));
  }

  private static List<PartIn> allParts(ProductState state) {
    List<PartIn> parts = new ArrayList<>(state.parts());
    state.filling().groups().forEach(g -> parts.addAll(g.extras()));
    return parts;
  }

  private static List<DropsIn> allDrops(ProductState state) {
    List<DropsIn> drops = new ArrayList<>(state.drops());
    state.filling().groups().forEach(g -> drops.addAll(g.drops()));
    return drops;
  }

  private static String mainWax(ProductState state) {
    return state.parts().stream()
        .filter(p -> p.kind() == PartIn.Kind.WAX)
        .max((a, b) -> Double.compare(a.massG(), b.massG()))
        .map(PartIn::key)
        .orElse("beeswax");
  }
}
