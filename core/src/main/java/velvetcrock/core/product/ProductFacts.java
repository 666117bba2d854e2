package velvetcrock.core.product;

import java.util.List;
import java.util.Set;
import velvetcrock.core.caution.About;
import velvetcrock.core.caution.Facts;
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
    List<String> herbs =
        parts.stream()
            .filter(p -> p.infused() != null)
            .flatMap(p -> p.infused().herbs().stream())
            .flatMap(herb -> catalogue.herb(herb).cautions().stream())
            .toList();
    String forWhat = OWN_WORDS.contains(plan.forWhat()) ? plan.forWhat() : "water";
    return with(where, drops.stream().map(DropsIn::oil).toList(), herbs, catalogue)
        .note(plan.making().melted(), "melted")
        .note(true, "kind:" + Facts.word(plan.making()))
        .note(plan.making() == ProductKind.DRAWN, "drawn:" + forWhat)
        .note(parts.stream().anyMatch(PartIn::wet), "part:wet")
        .note(parts.stream().anyMatch(p -> p.key().equals("honey")), "part:honey");
  }

  /** Of a melt that nothing more is known of. */
  public static Facts ofMelt() {
    return Facts.about(About.PRODUCT).note(true, "melted");
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
    return Facts.about(About.PRODUCT)
        .note(!oils.isEmpty(), "with:drops")
        .note(true, "for:" + Facts.word(where))
        .note(avoided, "avoided")
        .bringing(essential)
        .bringing(herbs);
  }
}
