package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Percentages;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.PartIn;
import velvetcrock.web.Formats;

/**
 * What a recipe says.
 *
 * @param aim the hardness aimed at; 0 for none
 * @param parts in g
 * @param drops of essential oils, for these weights
 * @param notes in its writer's words
 */
record RecipeBody(
    String name,
    ProductKind making,
    Drops.Where where,
    double usedAtC,
    double aim,
    Working.Vessel in,
    boolean stirred,
    Store.Place place,
    List<Part> parts,
    List<DropsIn> drops,
    String notes) {

  /**
   * A part.
   *
   * @param thing what it is in the catalogue, such as {@code wax:beeswax}
   * @param herbs keys of the herbs that an oil is infused with; empty for plain
   */
  record Part(String thing, List<String> herbs, double grams) {
    /** Copies the list. */
    Part {
      herbs = herbs == null ? List.of() : List.copyOf(herbs);
    }
  }

  /** Copies the lists. */
  RecipeBody {
    parts = List.copyOf(parts);
    drops = drops == null ? List.of() : List.copyOf(drops);
  }

  /** The recipe that a product followed. */
  static RecipeBody of(Intent plan, List<PartIn> parts, List<DropsIn> drops) {
    List<Part> all = new ArrayList<>();
    for (PartIn part : parts) {
      PartIn.Infused infused = part.infused();
      all.add(
          infused == null
              ? new Part(ProductParts.value(part), List.of(), part.massG())
              : new Part("carrier:" + mainOil(infused), infused.herbs(), part.massG()));
    }
    return new RecipeBody(
        plan.name(),
        plan.making(),
        plan.where(),
        plan.usedAtC(),
        plan.aim(),
        plan.in(),
        plan.stirred(),
        plan.place(),
        all,
        drops,
        "");
  }

  private static String mainOil(PartIn.Infused infused) {
    return infused.oils().stream()
        .max((a, b) -> Double.compare(a.share(), b.share()))
        .orElseThrow()
        .carrier();
  }

  RecipeBody named(String called, String said) {
    return new RecipeBody(
        called, making, where, usedAtC, aim, in, stirred, place, parts, drops, said);
  }

  double grams() {
    return parts.stream().mapToDouble(Part::grams).sum();
  }

  /** Shares by weight that add to 100.0. */
  List<Double> percents() {
    return Percentages.of(parts.stream().map(Part::grams).toList());
  }

  /** Its parts as they would be weighed in, the oils plain. */
  List<PartIn> plainParts() {
    return parts.stream().map(p -> ProductParts.plain(p.thing(), p.grams())).toList();
  }

  /** What it makes, as a product would be begun with it. */
  Intent plan() {
    return new Intent(making, name, where, usedAtC, aim, in, stirred, place, "", "");
  }

  /** The name of a part. */
  static String name(Part part, Catalogue catalogue) {
    String plain = ProductParts.name(ProductParts.plain(part.thing(), 1), catalogue);
    if (part.herbs().isEmpty()) {
      return plain;
    }
    List<String> herbs = part.herbs().stream().map(h -> catalogue.herb(h).name()).toList();
    return String.join(" and ", herbs) + " in " + plain.toLowerCase(Locale.ROOT);
  }

  /** What this says otherwise than another version did. */
  List<String> changedFrom(RecipeBody before, Catalogue catalogue, Formats fmt) {
    List<String> changes = new ArrayList<>();
    if (before.making != making) {
      changes.add(ProductWords.making(before.making) + " became " + ProductWords.making(making));
    }
    for (int i = 0; i < parts.size(); i++) {
      Part part = parts.get(i);
      double now = percents().get(i);
      int was = before.indexOf(part);
      String name = name(part, catalogue);
      if (was < 0) {
        changes.add(name + " new, " + fmt.number(now, 1) + " %");
      } else if (Math.abs(before.percents().get(was) - now) >= 0.1) {
        changes.add(
            name
                + " "
                + fmt.number(before.percents().get(was), 1)
                + " → "
                + fmt.number(now, 1)
                + " %");
      }
    }
    for (Part part : before.parts) {
      if (indexOf(part) < 0) {
        changes.add(name(part, catalogue) + " left out");
      }
    }
    if (!drops.equals(before.drops)) {
      changes.add("essential oils otherwise");
    }
    if (Math.abs(aim - before.aim) >= 0.05) {
      changes.add("hardness " + fmt.number(before.aim, 1) + " → " + fmt.number(aim, 1));
    }
    return changes;
  }

  private int indexOf(Part part) {
    for (int i = 0; i < parts.size(); i++) {
      if (parts.get(i).thing().equals(part.thing()) && parts.get(i).herbs().equals(part.herbs())) {
        return i;
      }
    }
    return -1;
  }
}
