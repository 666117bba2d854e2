package velvetcrock.products;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Reckoning;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.keeping.BalmKeeping;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Feel;
import velvetcrock.core.making.HardnessText;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.PartIn;
import velvetcrock.web.Formats;

/**
 * What a product comes to before it is weighed in.
 *
 * @param scale null for what has no hardness
 * @param found what was left open and has been found, in words
 * @param passed which ceilings are passed; empty for none
 * @param drops how the drops stand against their ceilings
 */
record NewProductView(
    String headline,
    PanDrawing pan,
    @Nullable HardnessScale scale,
    List<String> found,
    Map<String, String> facts,
    List<DropLine> drops,
    String passed,
    List<StepWords.WordedStep> steps,
    List<Caution> cautions,
    Reckoning reckoning) {

  /** An essential oil against its ceiling. */
  record DropLine(String name, String percent, String ceiling, double share, boolean over) {}

  /**
   * What is known besides the order.
   *
   * @param keeping until when it will be good
   * @param passed ceilings that are passed, in words
   */
  record Basis(
      ProductOrder order,
      BalmKeeping keeping,
      ProductCost.Bill bill,
      String passed,
      List<StepWords.WordedStep> steps,
      List<Caution> cautions,
      HardnessText said) {}

  static NewProductView of(Basis known, Catalogue catalogue, Formats fmt) {
    ProductOrder order = known.order();
    ProductKind making = order.plan().making();
    List<String> found = new ArrayList<>();
    for (int i = 0; i < order.parts().size(); i++) {
      if (order.open().get(i)) {
        PartIn part = order.parts().get(i);
        String name = ProductParts.name(part, catalogue);
        found.add(
            fmt.g(part.massG())
                + " of "
                + (part.infused() == null ? name.toLowerCase(Locale.ROOT) : name));
      }
    }
    HardnessScale scale =
        making.stiff().isEmpty()
            ? null
            : HardnessScale.of(
                order.melt().hardness(),
                order.melt(),
                order.target().isPresent() ? order.target().getAsDouble() : null,
                making.stiff().get(),
                known.said(),
                order.taste(),
                fmt);
    return new NewProductView(
        headline(order, fmt),
        PanDrawing.of(order.parts(), order.melt(), catalogue, fmt),
        scale,
        found,
        facts(known, fmt),
        drops(order, catalogue, fmt),
        known.passed(),
        known.steps(),
        known.cautions(),
        order.melt().reckoning());
  }

  private static String headline(ProductOrder order, Formats fmt) {
    ProductKind making = order.plan().making();
    String volume = fmt.ml(order.melt().volumeMl());
    if (!making.filled()) {
      return making == ProductKind.POULTICE
          ? fmt.g(order.melt().massG()) + " of spent herb"
          : fmt.ml(order.melt().volumeMl()) + " of oil";
    }
    int tins = (int) Math.floor(order.fillsMl() / order.tinMl() + 1e-6);
    double rest = order.fillsMl() - tins * order.tinMl();
    String vessel = vessel(making, tins);
    return tins
        + " "
        + vessel
        + " of "
        + fmt.ml(order.tinMl())
        + (rest >= 1 ? " and " + fmt.ml(rest) + " over" : "")
        + ", from "
        + volume
        + " of melt";
  }

  /** What it is filled into. */
  static String vessel(ProductKind making, int count) {
    String one =
        switch (making) {
          case LOTION_BAR -> "mould";
          case COMPRESS_PADS -> "pad";
          case WHIPPED_BUTTER -> "jar";
          case MASSAGE_OIL, BATH_OIL -> "bottle";
          case STICK -> "tube";
          default -> "tin";
        };
    return count == 1 ? one : one + "s";
  }

  private static Map<String, String> facts(Basis known, Formats fmt) {
    ProductOrder order = known.order();
    Map<String, String> facts = new LinkedHashMap<>();
    facts.put("Weighs", fmt.g(order.melt().massG()));
    if (order.plan().making().filled()) {
      LocalDate until = known.keeping().bestBefore();
      facts.put("Good until", fmt.fullDate(until) + ", " + known.keeping().why());
    }
    ProductWords.vitaminE(order.melt(), fmt).ifPresent(words -> facts.put("Vitamin E", words));
    known
        .bill()
        .words("each, by your lots’ prices", fmt)
        .ifPresent(words -> facts.put("Costs", words));
    if (order.growth() > 0) {
      facts.put("Grows", "by " + fmt.percent(order.growth()) + " in whipping");
    }
    if (order.plan().stirred() && order.plan().making().stiff().isPresent()) {
      facts.put("Stirred cool", "ends up 1.5 softer, so it is mixed that much harder");
    }
    return facts;
  }

  private static List<DropLine> drops(ProductOrder order, Catalogue catalogue, Formats fmt) {
    if (order.drops().isEmpty()) {
      return List.of();
    }
    List<Drops.Count> counts = new ArrayList<>();
    for (DropsIn in : order.drops()) {
      counts.add(new Drops.Count(catalogue.essentialOil(in.oil()), in.count()));
    }
    Drops drops =
        Drops.of(counts, order.melt().volumeMl(), Drops.USUAL_DROP_ML, order.plan().where());
    return lines(drops, fmt);
  }

  /** Drops against their ceilings. */
  static List<DropLine> lines(Drops drops, Formats fmt) {
    List<DropLine> lines = new ArrayList<>();
    for (Drops.Each each : drops.each()) {
      lines.add(line(each.oil().name(), each.percent(), each.ceilingPercent(), !each.ok(), fmt));
    }
    lines.add(
        line(
            "Together",
            drops.percent(),
            drops.ceilingPercent(),
            drops.percent() > drops.ceilingPercent() + 1e-9,
            fmt));
    return lines;
  }

  private static DropLine line(
      String name, double percent, double ceiling, boolean over, Formats fmt) {
    double share = ceiling <= 0 ? 100 : Math.min(100, 100 * percent / ceiling);
    return new DropLine(
        name,
        fmt.number(percent, 2) + " %",
        ceiling >= 100 ? "no ceiling of its own" : "at most " + fmt.number(ceiling, 2) + " %",
        Math.round(share * 10) / 10.0,
        over);
  }

  /** The words of the spoon test, for a choice. */
  static Map<String, String> feels() {
    Map<String, String> feels = new LinkedHashMap<>();
    feels.put(Feel.FAR_TOO_SOFT.name(), "far too soft");
    feels.put(Feel.A_BIT_SOFT.name(), "a bit soft");
    feels.put(Feel.RIGHT.name(), "right");
    feels.put(Feel.A_BIT_HARD.name(), "a bit hard");
    feels.put(Feel.FAR_TOO_HARD.name(), "far too hard");
    return feels;
  }
}
