package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Filling;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.PriceText;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.Poured;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.TinGroup;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Formats;
import velvetcrock.web.Typed;

/** Reads how a product is shared out over its tins. */
@Component
class PourReader {
  /** Tins are filled a little less than full rather than not at all, as a share of all. */
  private static final double LACKING_WITHIN = 0.08;

  private static final double LEAST_ML = 1;

  private final Products products;
  private final ProductThings things;
  private final Households households;
  private final Catalogues catalogues;

  PourReader(
      Products products, ProductThings things, Households households, Catalogues catalogues) {
    this.products = products;
    this.things = things;
    this.households = households;
    this.catalogues = catalogues;
  }

  /** What there is left to fill, ml: whipped it has grown, and some stays in the pan. */
  double fillsMl(ProductState state) {
    double growth =
        state.plan().making() == ProductKind.WHIPPED_BUTTER ? products.overrun().mean() : 0;
    return Math.max(0, state.melt(catalogues.current()).fillsMl(growth) - state.pouredMl());
  }

  /**
   * Reads it.
   *
   * @throws Refused at {@code groups[i].…}, {@code groups} or {@code bought}
   */
  Poured read(ProductForm form, ProductState state) {
    if (state.filling().pouredAt() != null && !state.filling().kept()) {
      throw new Refused("kind", "It is poured already.");
    }
    Kitchen kitchen = households.current().kitchen();
    Catalogue catalogue = catalogues.current();
    List<ProductForm.GroupRow> rows = form.filled();
    if (rows.isEmpty()) {
      throw new Refused("groups[0].size", "Say what it is poured into.");
    }
    Problems problems = new Problems();
    List<Filling.Vessel> vessels = vessels(rows, kitchen, problems);
    problems.refuseIfAny();
    double there = fillsMl(state);
    Filling filling = Filling.of(there, vessels);
    if (state.plan().making() != ProductKind.WHIPPED_BUTTER) {
      enough(rows, vessels, filling, there, problems);
    }
    int before = state.filling().groups().size();
    List<TinGroup> groups = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      ProductForm.GroupRow row = rows.get(i);
      int count = Objects.requireNonNull(filling.vessels().get(i).count());
      String at = "groups[" + i + "]";
      boolean partFull = partFull(vessels.get(i), count, filling, there);
      if (count < 1 && !partFull) {
        problems.add(at + ".count", "There is not enough left to fill one of these.");
        continue;
      }
      double ml = partFull ? restFor(i, vessels, there) : vessels.get(i).ml();
      String letter = String.valueOf((char) ('A' + before + i));
      List<DropsIn> drops = new ArrayList<>();
      drop(row.oil(), row.drops(), at, catalogue, drops, problems);
      drop(row.oil2(), row.drops2(), at, catalogue, drops, problems);
      List<PartIn> extras = extras(row, at, kitchen, problems);
      TinGroup group =
          problems.attempt(
              at + ".size",
              () ->
                  new TinGroup(
                      letter,
                      Typed.text(row.vessel()),
                      ml,
                      Math.max(1, count),
                      Typed.named(Drops.Where.class, row.where(), at + ".where"),
                      drops,
                      extras,
                      Typed.text(row.reason())));
      if (group != null) {
        groups.add(group);
      }
    }
    Long bought = problems.attempt("bought", () -> price(form.pour().bought()));
    problems.refuseIfAny();
    return new Poured(
        groups, form.pour().stirred() != null, bought, "KEPT".equals(form.pour().left()));
  }

  /** One that is larger than all that there is for it is filled as far as that goes. */
  private static boolean partFull(Filling.Vessel vessel, int count, Filling filling, double there) {
    boolean none = vessel.count() == null && count == 0 && filling.restMl() >= LEAST_ML;
    boolean larger = vessel.count() != null && vessel.count() == 1 && vessel.ml() > there;
    return none || larger;
  }

  /** What is left for a vessel once the others are filled, ml. */
  private static double restFor(int index, List<Filling.Vessel> vessels, double there) {
    double others = 0;
    for (int i = 0; i < vessels.size(); i++) {
      Integer count = vessels.get(i).count();
      others += i == index || count == null ? 0 : count * vessels.get(i).ml();
    }
    return Math.max(LEAST_ML, there - others);
  }

  /** More than there is to fill is asked about, with what is missing. */
  private void enough(
      List<ProductForm.GroupRow> rows,
      List<Filling.Vessel> vessels,
      Filling filling,
      double there,
      Problems problems) {
    boolean alone = vessels.size() == 1 && Integer.valueOf(1).equals(vessels.get(0).count());
    if (alone || filling.lackingMl() <= LACKING_WITHIN * there) {
      return;
    }
    Formats fmt = households.formats(households.current());
    for (int i = 0; i < rows.size(); i++) {
      Integer count = vessels.get(i).count();
      if (count != null && count > 0) {
        problems.add(
            "groups[" + i + "].count",
            count
                + " of "
                + fmt.ml(vessels.get(i).ml())
                + " need "
                + fmt.ml(filling.lackingMl())
                + " more than the "
                + fmt.ml(there)
                + " that there are.");
        return;
      }
    }
  }

  /** Rows with the counts that leave the least over, and how much that is. */
  record Exact(List<ProductForm.GroupRow> rows, double restMl) {}

  /** The rows with the counts that leave the least over. */
  Exact exact(ProductForm form, ProductState state) {
    Problems problems = new Problems();
    List<ProductForm.GroupRow> rows = form.filled();
    List<Filling.Vessel> atHand = vessels(rows, households.current().kitchen(), problems);
    problems.refuseIfAny();
    Filling filling = Filling.exact(fillsMl(state), atHand);
    List<ProductForm.GroupRow> counted = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      counted.add(rows.get(i).counted(Objects.requireNonNull(filling.vessels().get(i).count())));
    }
    return new Exact(counted, filling.restMl());
  }

  private static List<Filling.Vessel> vessels(
      List<ProductForm.GroupRow> rows, Kitchen kitchen, Problems problems) {
    List<Filling.Vessel> vessels = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      ProductForm.GroupRow row = rows.get(i);
      String at = "groups[" + i + "]";
      Double ml =
          problems.attempt(at + ".size", () -> ProductReader.ml(Typed.text(row.size()), kitchen));
      String typed = Typed.text(row.count());
      Double count =
          typed.isEmpty()
              ? null
              : problems.attempt(at + ".count", () -> Typed.number(typed, 0, 500, "of them"));
      if (ml != null) {
        vessels.add(new Filling.Vessel(ml, count == null ? null : (int) Math.round(count)));
      }
    }
    return vessels;
  }

  private List<PartIn> extras(
      ProductForm.GroupRow row, String at, Kitchen kitchen, Problems problems) {
    String amount = Typed.text(row.amount());
    if (Typed.blank(row.thing()) && amount.isEmpty()) {
      return List.of();
    }
    if (!problems.require(!Typed.blank(row.thing()), at + ".thing", "Say what is stirred in.")
        || !problems.require(!amount.isEmpty(), at + ".amount", "Say how much is stirred in.")) {
      return List.of();
    }
    PartIn part =
        problems.attempt(
            at + ".amount",
            () -> {
              ProductThings.Thing thing = things.find(row.thing());
              return thing.weighed(ProductReader.grams(thing, amount, kitchen), amount);
            });
    return part == null ? List.of() : List.of(part);
  }

  private static void drop(
      @Nullable String oil,
      @Nullable String count,
      String at,
      Catalogue catalogue,
      List<DropsIn> drops,
      Problems problems) {
    if (Typed.blank(oil) && Typed.blank(count) || Typed.text(count).equals("0")) {
      return;
    }
    if (!problems.require(!Typed.blank(oil), at + ".drops", "Say of which oil the drops are.")
        || !problems.require(!Typed.blank(count), at + ".drops", "Say how many drops.")) {
      return;
    }
    DropsIn read =
        problems.attempt(
            at + ".drops",
            () ->
                new DropsIn(
                    catalogue.essentialOil(Typed.text(oil)).key(),
                    Typed.number(count, 0.1, 5000, "drops")));
    if (read != null) {
      drops.add(read);
    }
  }

  private static @Nullable Long price(@Nullable String typed) {
    return PriceText.minor(Typed.text(typed), null, Kitchen.METRIC);
  }
}
