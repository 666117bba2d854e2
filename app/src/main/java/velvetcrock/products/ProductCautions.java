package velvetcrock.products;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.PartIn;
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
    Catalogue catalogue = catalogues.current();
    Set<String> codes = new LinkedHashSet<>();
    boolean wet = parts.stream().anyMatch(PartIn::wet);
    if (wet) {
      codes.add("wet-addition");
    }
    if (parts.stream().anyMatch(p -> p.key().equals("honey"))) {
      codes.add("honey-infant");
    }
    if (!drops.isEmpty()) {
      codes.addAll(where.cautions());
      codes.add("essential-dilute");
    }
    drops.forEach(d -> codes.addAll(catalogue.essentialOil(d.oil()).cautions()));
    for (PartIn part : parts) {
      if (part.infused() != null) {
        part.infused().herbs().forEach(h -> codes.addAll(catalogue.herb(h).cautions()));
      }
    }
    boolean avoided = codes.remove("pregnancy-avoid");
    switch (where) {
      case PREGNANCY -> codes.add(avoided ? "pregnancy-stop" : "pregnancy-ask");
      case UNDER_2 -> codes.add("baby-ask");
      case FACE, BODY, SMALL_AREA, CHILD_2_6, CHILD_6_12 -> {
        // nothing more
      }
    }
    making(plan, codes);
    codes.add("patch-test");
    codes.add("latex");
    codes.add("home-preparation");
    return cautions.of(List.copyOf(codes));
  }

  private static void making(Intent plan, Set<String> codes) {
    ProductKind making = plan.making();
    if (making.melted()) {
      codes.add("hot-wax");
    }
    switch (making) {
      case COMPRESS_PADS -> codes.add("pads-fridge");
      case POULTICE -> codes.add("poultice-once");
      case MASSAGE_OIL -> codes.add("massage-slippery");
      case BATH_OIL -> codes.add("bath-slippery");
      case DRAWN -> {
        switch (plan.forWhat()) {
          case "soap" -> codes.add("drawn-lye");
          case "candle" -> codes.add("drawn-candle");
          default -> codes.add("drawn-water");
        }
      }
      default -> {
        // what is melted has its caution
      }
    }
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
