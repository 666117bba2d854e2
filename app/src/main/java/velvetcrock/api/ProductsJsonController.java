package velvetcrock.api;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import velvetcrock.core.making.Melt;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinGroup;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.products.ProductRecord;
import velvetcrock.products.Products;

/** The products of a household, for reading. Needs a session or a token. */
@RestController
@RequestMapping({"/api/v1/pots", "/api/v1/products"})
@Tag(
    name = "products",
    description = "A household’s products; needs a session or Authorization: Bearer.")
class ProductsJsonController {
  private final Products products;
  private final Catalogues catalogues;

  ProductsJsonController(Products products, Catalogues catalogues) {
    this.products = products;
    this.catalogues = catalogues;
  }

  /** A product in a list. */
  record ProductOut(
      String code,
      String name,
      String kind,
      String status,
      LocalDate madeOn,
      LocalDate bestBefore,
      int tins,
      int tinsLeft) {
    static ProductOut of(ProductRecord product) {
      ProductState state = product.state();
      return new ProductOut(
          product.code(),
          state.plan().name(),
          Reader.word(state.plan().making()),
          Reader.word(state.status()),
          product.madeOn(),
          product.bestBefore(),
          state.filling().tins().size(),
          (int) state.filling().tins().stream().filter(ProductState.Tin::there).count());
    }
  }

  /**
   * A part of what is in the pan.
   *
   * @param bottle the bottle, or the batch never bottled, that an infused oil is of
   * @param lot the lot of the drawer that it was taken from
   */
  @JsonInclude(JsonInclude.Include.NON_EMPTY)
  record ProductPartOut(
      String kind,
      String key,
      double massG,
      double percent,
      @Nullable String bottle,
      List<String> herbs,
      @Nullable UUID lot,
      @Nullable LocalDate goodUntil) {}

  /** Drops of an essential oil. */
  record DropsOut(String oil, double count) {}

  /**
   * A tin.
   *
   * @param where whose skin it is for
   * @param fate what became of it; absent while nothing is noted
   */
  @JsonInclude(JsonInclude.Include.NON_EMPTY)
  record TinOut(
      String name,
      double ml,
      String where,
      LocalDate bestBefore,
      List<DropsOut> drops,
      @Nullable String fate,
      @Nullable Instant since,
      String to,
      List<String> reactions) {}

  /** A whole product. */
  record WholeOut(
      ProductOut product,
      double massG,
      double volumeMl,
      double hardness,
      List<ProductPartOut> parts,
      List<DropsOut> drops,
      List<String> reasons,
      List<TinOut> tins) {}

  @GetMapping
  @Operation(
      summary = "The products: those that stand, what should be used first on top, then others.")
  List<ProductOut> list() {
    return Stream.concat(products.standing().stream(), products.past().stream())
        .map(ProductOut::of)
        .toList();
  }

  @GetMapping("/{code}")
  @Operation(
      summary =
          "A product with its parts, where they came from, and its tins. Drops of a tin are its share.")
  WholeOut product(@PathVariable String code) {
    ProductRecord product = products.find(code);
    ProductState state = product.state();
    Melt melt = state.melt(catalogues.current());
    List<Double> percents = melt.percents();
    List<ProductPartOut> parts = new ArrayList<>();
    for (int i = 0; i < state.parts().size(); i++) {
      parts.add(part(state.parts().get(i), percents.get(i)));
    }
    return new WholeOut(
        ProductOut.of(product),
        melt.massG(),
        melt.volumeMl(),
        melt.hardness(),
        parts,
        drops(state.drops(), 1),
        state.reasons(),
        state.filling().tins().stream().map(tin -> tin(product, melt, tin)).toList());
  }

  private static ProductPartOut part(PartIn part, double percent) {
    PartIn.Infused infused = part.infused();
    return new ProductPartOut(
        Reader.word(part.kind()),
        part.key(),
        part.massG(),
        percent,
        infused == null ? null : infused.code(),
        infused == null ? List.of() : infused.herbs(),
        part.lot(),
        part.goodUntil());
  }

  private static TinOut tin(ProductRecord product, Melt melt, ProductState.Tin tin) {
    TinGroup group = product.state().group(tin.group()).orElseThrow();
    return new TinOut(
        tin.name(),
        group.ml(),
        Reader.word(group.where()),
        product.bestBefore(group),
        drops(product.state().dropsOf(group, melt), group.count()),
        tin.fate() == null ? null : Reader.word(tin.fate()),
        tin.since(),
        tin.to(),
        tin.reactions());
  }

  private static List<DropsOut> drops(List<DropsIn> drops, int among) {
    return drops.stream().map(d -> new DropsOut(d.oil(), d.count() / among)).toList();
  }
}
