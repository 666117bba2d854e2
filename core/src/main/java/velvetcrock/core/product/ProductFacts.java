package velvetcrock.core.product;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import velvetcrock.core.caution.About;
import velvetcrock.core.caution.Facts;
import velvetcrock.core.caution.ForWhom;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.keeping.Wetness;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.materia.Catalogue;

/** Gathers the facts about a product that its cautions go by. */
public final class ProductFacts {
  private static final String AVOIDED = "pregnancy-avoid";
  private static final Set<String> OWN_WORDS = Set.of("soap", "candle");

  private ProductFacts() {}

  /**
   * Of a product: what it is, what is in it and whose skin it is for.
   *
   * @param drops essential oils that are in it
   */
  public static Facts of(
      Intent plan,
      List<PartIn> parts,
      Drops.Where where,
      List<DropsIn> drops,
      Catalogue catalogue) {
    List<String> keys =
        parts.stream()
            .flatMap(
                p ->
                    p.infused() == null
                        ? Stream.of(p.key())
                        : Stream.concat(
                            p.infused().herbs().stream(),
                            p.infused().oils().stream().map(PartIn.OilShare::carrier)))
            .toList();
    List<String> herbs =
        parts.stream()
            .filter(p -> p.infused() != null)
            .flatMap(p -> p.infused().herbs().stream())
            .flatMap(herb -> catalogue.herb(herb).cautions().stream())
            .toList();
    String forWhat = OWN_WORDS.contains(plan.forWhat()) ? plan.forWhat() : "water";
    Facts facts = with(where, drops.stream().map(DropsIn::oil).toList(), herbs, catalogue);
    keys.forEach(key -> facts.keptFrom(ForWhom.shipped().of(key, Purpose.of(where))));
    parts.forEach(part -> facts.carrying(part.hazards()));
    return facts
        .bringing(allergens(parts, catalogue))
        .note(
            plan.making().melted() && parts.stream().anyMatch(p -> p.kind() == PartIn.Kind.WAX),
            "melted")
        .note(true, "kind:" + Facts.word(plan.making()))
        .note(plan.making() == ProductKind.DRAWN, "drawn:" + forWhat)
        .note(PartIn.wetness(parts) == Wetness.WET, "part:wet")
        .note(parts.stream().anyMatch(PartIn::honey), "part:honey");
  }

  /** Codes of the allergens of every carrier in it, plain or infused. */
  private static List<String> allergens(List<PartIn> parts, Catalogue catalogue) {
    return parts.stream()
        .filter(p -> p.kind() == PartIn.Kind.CARRIER)
        .flatMap(
            p ->
                p.infused() == null
                    ? Stream.of(p.key())
                    : p.infused().oils().stream().map(PartIn.OilShare::carrier))
        .map(key -> catalogue.carrier(key).allergen())
        .filter(allergen -> !allergen.isEmpty())
        .map(allergen -> allergen.replace(' ', '-'))
        .distinct()
        .toList();
  }

  /**
   * Of a melt that nothing more is known of.
   *
   * @param wax whether there is wax in it
   */
  public static Facts ofMelt(boolean wax) {
    return Facts.about(About.PRODUCT).note(wax, "melted");
  }

  /**
   * Of essential oils for somebody's skin.
   *
   * @param oils their keys
   */
  public static Facts ofDrops(Drops.Where where, List<String> oils, Catalogue catalogue) {
    return with(where, oils, List.of(), catalogue);
  }

  private static Facts with(
      Drops.Where where, List<String> oils, List<String> herbs, Catalogue catalogue) {
    List<String> essential =
        oils.stream().flatMap(oil -> catalogue.essentialOil(oil).cautions().stream()).toList();
    boolean avoided = herbs.contains(AVOIDED) || essential.contains(AVOIDED);
    Facts facts = Facts.about(About.PRODUCT);
    oils.forEach(oil -> facts.keptFrom(ForWhom.shipped().of(oil, Purpose.of(where))));
    return facts
        .note(!oils.isEmpty(), "with:drops")
        .note(true, "for:" + Facts.word(where))
        .note(avoided, "avoided")
        .bringing(essential)
        .bringing(herbs);
  }
}
