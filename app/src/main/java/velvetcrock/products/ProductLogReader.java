package velvetcrock.products;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.making.Feel;
import velvetcrock.core.making.Whipping;
import velvetcrock.core.measure.Temperatures;
import velvetcrock.core.product.Abandoned;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.MeltRead;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductRemarked;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.SkinReacted;
import velvetcrock.core.product.SpoonTested;
import velvetcrock.core.product.StirredIn;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinWent;
import velvetcrock.core.product.WhippingSeen;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Typed;

/** Reads what is noted of a product, as it was typed. */
@Component
class ProductLogReader {
  private final ProductThings things;
  private final PourReader pours;
  private final Households households;
  private final Catalogues catalogues;

  ProductLogReader(
      ProductThings things, PourReader pours, Households households, Catalogues catalogues) {
    this.things = things;
    this.pours = pours;
    this.households = households;
    this.catalogues = catalogues;
  }

  /**
   * The entry that was typed.
   *
   * @throws Refused at the field that cannot be read
   */
  ProductEvent event(ProductForm form, ProductRecord product) {
    ProductState state = product.state();
    return switch (Typed.text(form.kind())) {
      case "tested" ->
          new SpoonTested(harder(form), state.melt(catalogues.current()).hardness(), still(form));
      case "read" ->
          new MeltRead(Typed.at("celsius", () -> celsius(Typed.text(form.read().celsius()))));
      case "looked" ->
          new WhippingSeen(Typed.named(Whipping.Look.class, form.read().look(), "look"));
      case "added" -> added(form);
      case "poured" -> pours.read(form, state);
      case "abandoned" -> new Abandoned(form.back() != null, Typed.text(form.text()));
      case "went" ->
          new TinWent(
              Typed.text(form.fates().tin()),
              Typed.named(TinFate.class, form.fates().fate(), "fate"),
              Typed.text(form.fates().to()),
              Typed.text(form.fates().remark()));
      case "reacted" -> new SkinReacted(Typed.text(form.fates().tin()), Typed.text(form.what()));
      case "remarked" -> new ProductRemarked(Typed.text(form.text()));
      default -> throw new Refused("kind", "Choose what to note.");
    };
  }

  /** A temperature; a bare number is in the household's degrees. */
  private double celsius(String typed) {
    return Temperatures.shown(typed, households.current().units().degrees());
  }

  private static double harder(ProductForm form) {
    if (!Typed.blank(form.spoon().feel())) {
      return Typed.named(Feel.class, form.spoon().feel(), "feel").deltaHardness();
    }
    return Typed.at("harder", () -> Typed.number(form.spoon().harder(), -6, 6, "of hardness"));
  }

  private StirredIn added(ProductForm form) {
    Problems problems = new Problems();
    Household house = households.current();
    List<PartIn> parts = new ArrayList<>();
    List<NewProductForm.Row> rows = form.parts() == null ? List.of() : form.parts();
    for (int i = 0; i < rows.size(); i++) {
      NewProductForm.Row row = rows.get(i);
      if (row == null || Typed.blank(row.amount())) {
        continue;
      }
      String at = "parts[" + i + "]";
      ProductThings.Thing thing = problems.attempt(at + ".thing", () -> things.find(row.thing()));
      if (thing != null) {
        String amount = Typed.text(row.amount());
        Double grams =
            problems.attempt(
                at + ".amount", () -> ProductReader.grams(thing, amount, house.kitchen()));
        if (grams != null) {
          parts.add(thing.weighed(grams, amount));
        }
      }
    }
    List<DropsIn> drops = ProductReader.drops(form.drops(), catalogues.current(), problems);
    problems.refuseIfAny();
    return new StirredIn(parts, drops, Typed.text(form.reason()));
  }

  /** What is still in the pan, g; null where nothing was said. */
  private static @Nullable Double still(ProductForm form) {
    String typed = Typed.text(form.spoon().still()).replaceAll("\\s*g$", "");
    return typed.isEmpty() ? null : Typed.at("still", () -> Typed.number(typed, 1, 100_000, "g"));
  }
}
