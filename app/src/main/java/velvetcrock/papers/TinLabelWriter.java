package velvetcrock.papers;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.making.Drops;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.EssentialOil;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductRules;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinGroup;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.papers.LabelText.Run;
import velvetcrock.papers.LabelText.Style;
import velvetcrock.products.ProductCautions;
import velvetcrock.products.ProductRecord;
import velvetcrock.products.ProductWords;
import velvetcrock.web.Formats;

/** Writes what the label of a tin says. It makes no medical claim. */
@Component
class TinLabelWriter {
  /** Names of waxes and what is stirred in, as a cosmetic label has them. */
  private static final Map<String, String> INCI =
      Map.ofEntries(
          Map.entry("beeswax", "Cera Alba"),
          Map.entry("candelilla", "Euphorbia Cerifera Cera"),
          Map.entry("carnauba", "Copernicia Cerifera Cera"),
          Map.entry("soy-wax", "Hydrogenated Soybean Oil"),
          Map.entry("vitamin-e", "Tocopherol"),
          Map.entry("honey", "Mel"),
          Map.entry("aloe", "Aloe Barbadensis Leaf Juice"),
          Map.entry("clay", "Kaolin"),
          Map.entry("arrowroot", "Maranta Arundinacea Root Powder"),
          Map.entry("mica", "Mica"));

  /** Cautions for whoever makes it; a label says what matters to whoever holds it. */
  private static final Set<String> FOR_THE_MAKER =
      Set.of("hot-wax", "wet-addition", "essential-dilute");

  private final Households households;
  private final Catalogues catalogues;
  private final ProductCautions cautions;

  TinLabelWriter(Households households, Catalogues catalogues, ProductCautions cautions) {
    this.households = households;
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  /**
   * The label of the tins of a group.
   *
   * @param tin one of them; null for any
   */
  LabelText of(
      ProductRecord product, TinGroup group, @Nullable String tin, LabelWriter.Extras extras) {
    Formats fmt = households.formats(households.current());
    Catalogue catalogue = catalogues.current();
    ProductState state = product.state();
    ProductWords words = new ProductWords(catalogue, fmt);
    List<PartIn> parts = state.partsOf(group);
    String code = product.code() + "-" + (tin == null ? group.letter() : tin);
    List<Drops.Count> drops =
        new ProductRules(catalogue).drops(state.dropsOf(group, state.melt(catalogue)));
    double ml = group.ml() * group.count();
    LabelText.Writing writing = new LabelText.Writing();
    writing
        .add(new Run(code + "  " + words.name(state), Style.NAME))
        .add(Style.ITALIC, botanical(parts, catalogue))
        .add(
            Style.PLAIN,
            "%s of %s. %s."
                .formatted(
                    capital(ProductWords.making(state.plan().making())),
                    contents(parts, catalogue),
                    fmt.contents(group.ml())));
    if (!drops.isEmpty()) {
      writing.add(Style.PLAIN, "Essential oils: " + essential(drops, ml, fmt) + ".");
    }
    writing
        .add(
            new Run("Made ", Style.PLAIN),
            new Run(LabelWriter.date(product.madeOn(), fmt), Style.BOLD),
            new Run(", best before ", Style.PLAIN),
            new Run(LabelWriter.date(product.bestBefore(group), fmt), Style.BOLD))
        .add(Style.BOLD, "For " + ProductWords.where(group.where()) + ". Not for eating.");
    String passed = ProductRules.passed(drops, ml, group.where());
    if (!passed.isEmpty()) {
      writing.add(
          Style.BOLD,
          "Above the usual ceiling: "
              + passed
              + " "
              + (group.reason().isBlank() ? String.join("; ", state.reasons()) : group.reason()));
    }
    if (state.wet(group)) {
      writing.add(Style.BOLD, "Contains water and no preservative: keep in the fridge.");
    }
    String allergens = cautions.allergens(parts);
    if (!allergens.isEmpty()) {
      writing.add(
          new Run("Contains: ", Style.PLAIN),
          new Run(allergens, Style.BOLD),
          new Run(".", Style.PLAIN));
    }
    if (extras.cautions()) {
      cautions
          .of(state.plan(), parts, group.where(), state.dropsOf(group, state.melt(catalogue)))
          .stream()
          .filter(c -> c.level() != Caution.Level.NOTE)
          .filter(c -> !FOR_THE_MAKER.contains(c.code()))
          .forEach(c -> writing.add(Style.PLAIN, fmt.own(c.text())));
    }
    if (extras.inci()) {
      writing.add(Style.PLAIN, "INCI: " + inci(parts, drops, catalogue) + ".");
    }
    return writing
        .add(Style.PLAIN, extras.words())
        .add(Style.PLAIN, LabelWriter.ALWAYS)
        .label(code);
  }

  /** What herbs are called, which a claim in the label's words is not. */
  Set<String> herbNames(ProductState state) {
    Set<String> names = new LinkedHashSet<>();
    herbs(state.parts(), catalogues.current())
        .forEach(
            herb -> {
              names.add(herb.name());
              names.add(herb.botanical());
            });
    return names;
  }

  private static List<Herb> herbs(List<PartIn> parts, Catalogue catalogue) {
    return parts.stream()
        .filter(p -> p.infused() != null)
        .sorted(Comparator.comparingDouble(PartIn::massG).reversed())
        .flatMap(p -> p.infused().herbs().stream())
        .distinct()
        .map(catalogue::herb)
        .toList();
  }

  private static String botanical(List<PartIn> parts, Catalogue catalogue) {
    return herbs(parts, catalogue).stream().map(Herb::botanical).collect(Collectors.joining(", "));
  }

  /** Its parts, the heaviest first: yarrow in cold-pressed rapeseed oil, beeswax. */
  private static String contents(List<PartIn> parts, Catalogue catalogue) {
    List<String> said = new ArrayList<>();
    for (PartIn part : heaviestFirst(parts)) {
      PartIn.Infused infused = part.infused();
      if (infused != null) {
        String herbs =
            infused.herbs().stream()
                .map(h -> catalogue.herb(h).name())
                .collect(Collectors.joining(" and "));
        said.add(herbs + " in " + part.blend(catalogue).names() + " oil");
      } else {
        said.add(
            switch (part.kind()) {
              case CARRIER -> catalogue.carrier(part.key()).name();
              case WAX -> catalogue.wax(part.key()).name();
              case POWDER -> catalogue.powder(part.key()).name();
              case EXTRA -> part.key().replace('-', ' ');
            });
      }
    }
    return said.stream().distinct().collect(Collectors.joining(", ")).toLowerCase(Locale.ROOT);
  }

  private static List<PartIn> heaviestFirst(List<PartIn> parts) {
    return parts.stream().sorted(Comparator.comparingDouble(PartIn::massG).reversed()).toList();
  }

  private static String essential(List<Drops.Count> drops, double ml, Formats fmt) {
    return drops.stream()
        .map(
            d ->
                d.oil().name().toLowerCase(Locale.ROOT)
                    + " "
                    + fmt.number(100 * d.count() * Drops.USUAL_DROP_ML / ml, 1)
                    + " %")
        .collect(Collectors.joining(", "));
  }

  /**
   * Names for a cosmetic label by weight, what was drawn from herbs behind, essential oils last.
   */
  private static String inci(List<PartIn> parts, List<Drops.Count> drops, Catalogue catalogue) {
    Map<String, Double> grams = new LinkedHashMap<>();
    for (PartIn part : parts) {
      if (part.kind() == PartIn.Kind.CARRIER) {
        part.blend(catalogue)
            .shares()
            .forEach(s -> grams.merge(s.carrier().inci(), part.massG() * s.share(), Double::sum));
      } else {
        String name = INCI.getOrDefault(part.key(), capital(part.key().replace('-', ' ')));
        grams.merge(name, part.massG(), Double::sum);
      }
    }
    List<String> names = new ArrayList<>();
    grams.entrySet().stream()
        .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
        .forEach(e -> names.add(e.getKey()));
    herbs(parts, catalogue)
        .forEach(h -> names.add(LabelWriter.capitals(h.botanical()) + " Extract"));
    drops.stream()
        .map(Drops.Count::oil)
        .map(EssentialOil::botanical)
        .forEach(b -> names.add(LabelWriter.capitals(b) + " Oil"));
    return names.stream().distinct().collect(Collectors.joining(", "));
  }

  private static String capital(String text) {
    return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }
}
