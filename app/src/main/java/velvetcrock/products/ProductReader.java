package velvetcrock.products;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import velvetcrock.core.Learned;
import velvetcrock.core.Problem;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.keeping.BalmKeeping;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.CompressPads;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Formula;
import velvetcrock.core.making.HardnessText;
import velvetcrock.core.making.Melt;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.measure.CrossCheck;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Lengths;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.core.measure.PartOfAll;
import velvetcrock.core.measure.Units;
import velvetcrock.core.measure.VesselSize;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.Intent;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.ProductRules;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.Typed;

/** Reads the sentence by which a product is weighed in. */
@Component
class ProductReader {
  static final double POCKET_C = 28;
  static final double COLD_C = 10;

  /** Of a salve, g/ml (typical), by which a vessel said by weight is taken. */
  private static final double USUAL_DENSITY = 0.93;

  private static final Pattern VAGUE =
      Pattern.compile("(?i)(?:some|a few|few|several|a couple(?: of)?|a lot)(?: drops)?");

  private static final double ROOM_C = 20;

  private final ProductThings things;
  private final Products products;
  private final Households households;
  private final Catalogues catalogues;

  ProductReader(
      ProductThings things, Products products, Households households, Catalogues catalogues) {
    this.things = things;
    this.products = products;
    this.households = households;
    this.catalogues = catalogues;
  }

  /**
   * Reads a completed form.
   *
   * @throws Refused with every problem, each at its field
   */
  ProductOrder read(NewProductForm form) {
    return order(form, rows(form));
  }

  /**
   * The product of a completed form of which is read what goes in.
   *
   * @throws Refused with every problem, each at its field
   */
  ProductOrder read(Rows rows) {
    return order(rows.form(), rows);
  }

  /** What else a form would make as it stands. */
  List<ProductKind> canBe(Rows rows) {
    return rows.wrong().isEmpty()
        ? Arrays.stream(ProductKind.values())
            .filter(kind -> !kind.name().equals(rows.form().making()))
            .filter(kind -> makes(rows.form().as(kind.name()), rows))
            .toList()
        : List.of();
  }

  /**
   * How long what was read keeps if it is made today.
   *
   * @throws Refused at {@code parts} where an oil of it is too old already
   */
  static BalmKeeping keeping(ProductOrder order, LocalDate today) {
    try {
      return ProductRules.keeping(order.parts(), order.plan().place(), today);
    } catch (Refused refused) {
      throw new Refused("parts", refused.problems().get(0).message());
    }
  }

  private boolean makes(NewProductForm form, Rows rows) {
    try {
      keeping(order(form, rows), households.today(rows.house()));
      return true;
    } catch (Refused refused) {
      return false;
    }
  }

  /**
   * A completed form of which is read what goes in, whatever is made of it.
   *
   * @param wanted the parts as they melt
   * @param inParts whether the amounts are parts of each other
   * @param wrong what could not be read
   */
  record Rows(
      NewProductForm form,
      Household house,
      List<PartIn> parts,
      List<Boolean> open,
      List<Melt.Wanted> wanted,
      boolean inParts,
      List<DropsIn> drops,
      List<Problem> wrong) {}

  /** Reads what goes in. */
  Rows rows(NewProductForm form) {
    Catalogue catalogue = catalogues.current();
    Household house = households.current();
    Kitchen kitchen = house.kitchen();
    double usedAtC = usedAtC(form);
    Problems problems = new Problems();
    List<PartIn> parts = new ArrayList<>();
    List<Boolean> open = new ArrayList<>();
    boolean inParts = inParts(Objects.requireNonNull(form.parts()), kitchen, problems);
    for (int i = 0; i < form.parts().size(); i++) {
      read(form.parts().get(i), i, kitchen, parts, open, problems);
    }
    List<DropsIn> drops = drops(form.drops(), catalogue, problems);
    List<Melt.Wanted> wanted = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      wanted.add(new Melt.Wanted(parts.get(i).ingredient(catalogue, usedAtC), open.get(i)));
    }
    return new Rows(form, house, parts, open, wanted, inParts, drops, problems.found());
  }

  private ProductOrder order(NewProductForm form, Rows rows) {
    Household house = rows.house();
    Problems problems = new Problems();
    ProductKind making =
        problems.attempt(() -> Typed.named(ProductKind.class, form.making(), "making"));
    problems.addAll(rows.wrong());
    List<PartIn> parts = rows.parts();
    boolean inParts = rows.inParts();
    Wax wax = wax(parts, catalogues.current());
    double usedAtC = usedAtC(form);
    Learned taste =
        Products.taste(
            products.tastes(wax.key()), Optional.ofNullable(making).flatMap(ProductKind::stiff));
    Double aim =
        making == null
            ? null
            : problems.attempt("hardness", () -> aim(form, making, wax, taste, house.units()));
    boolean whipped = making == ProductKind.WHIPPED_BUTTER;
    double growth = whipped ? products.overrun().mean() : 0;
    Vessels vessels = problems.attempt(() -> vessels(form, making, house.units()));
    Drops.Where where =
        problems.attempt(() -> Typed.named(Drops.Where.class, form.keeping().where(), "where"));
    Working.Vessel in =
        problems.attempt(() -> Typed.named(Working.Vessel.class, form.melting().in(), "in"));
    Store.Place place =
        problems.attempt(() -> Typed.named(Store.Place.class, form.keeping().place(), "place"));
    problems.require(
        !inParts || vessels == null || vessels.count() > 0,
        "count",
        "Parts say how much there is of each to the others: say how many of what size it fills, too.");
    problems.refuseIfAny();
    boolean tins = Objects.requireNonNull(making).filled() && making != ProductKind.COMPRESS_PADS;
    Intent plan =
        new Intent(
            Objects.requireNonNull(making),
            Typed.text(form.name()),
            Objects.requireNonNull(where),
            usedAtC,
            Objects.requireNonNull(aim),
            Objects.requireNonNull(in),
            form.melting().stirred() != null,
            Objects.requireNonNull(place),
            making == ProductKind.DRAWN ? Typed.text(form.keeping().forWhat()) : "",
            Typed.text(form.recipe()),
            tins ? new Intent.Tins(vessels.count(), vessels.ml()) : null);
    OptionalDouble target = ProductRules.target(plan);
    OptionalDouble volume = volume(Objects.requireNonNull(vessels), growth);
    Melt solved = Melt.solve(rows.wanted(), target, inParts ? OptionalDouble.empty() : volume);
    Melt melt =
        inParts
            ? solved.scaledTo(solved.massG() * volume.getAsDouble() / solved.volumeMl())
            : solved;
    if (inParts) {
      refuseMoreThanThere(form, melt);
    }
    String cannot = ProductRules.cannotBe(making, melt);
    problems.require(cannot.isEmpty(), "parts", cannot);
    problems.refuseIfAny();
    List<PartIn> weighed = new ArrayList<>();
    for (int i = 0; i < parts.size(); i++) {
      weighed.add(parts.get(i).withMassG(melt.parts().get(i).massG()));
    }
    return new ProductOrder(
        plan,
        weighed,
        rows.open(),
        melt,
        target,
        rows.drops(),
        Typed.text(form.reason()),
        vessels.count(),
        vessels.ml(),
        wax,
        taste,
        growth);
  }

  /** What has to be melted to fill the vessels, ml; empty where none are named. */
  private static OptionalDouble volume(Vessels vessels, double growth) {
    return vessels.count() == 0
        ? OptionalDouble.empty()
        : OptionalDouble.of(
            vessels.count() * vessels.ml() / (1 - Formula.POUR_LOSS) / (1 + growth));
  }

  /** Whether the rows that say something say parts; some with amounts beside them are refused. */
  private static boolean inParts(
      List<NewProductForm.Row> rows, Kitchen kitchen, Problems problems) {
    int said = 0;
    int inParts = 0;
    int first = 0;
    for (int i = 0; i < rows.size(); i++) {
      String amount = Typed.text(rows.get(i).amount());
      said += amount.isEmpty() ? 0 : 1;
      if (share(amount, kitchen).isPresent()) {
        first = inParts == 0 ? i : first;
        inParts++;
      }
    }
    problems.require(
        inParts == 0 || inParts == said,
        "parts[" + first + "].amount",
        "“"
            + Typed.text(rows.get(first).amount())
            + "” is parts, and others are amounts. Give each parts, or each an amount.");
    return inParts > 0;
  }

  /** How many parts are meant, by weight; empty where it is an amount, or nothing. */
  private static OptionalDouble share(String amount, Kitchen kitchen) {
    if (amount.isEmpty()) {
      return OptionalDouble.empty();
    }
    try {
      Measure any = new MeasureReader(kitchen).readAny(amount);
      return any.kind() == Measure.Kind.PARTS
          ? OptionalDouble.of(any.amount().middle())
          : OptionalDouble.empty();
    } catch (Refused unread) {
      return OptionalDouble.empty();
    }
  }

  /** Parts that come to more of a bottle than is in it. */
  private void refuseMoreThanThere(NewProductForm form, Melt melt) {
    Problems problems = new Problems();
    List<NewProductForm.Row> rows = Objects.requireNonNull(form.parts());
    for (int i = 0; i < rows.size(); i++) {
      ProductThings.Thing thing = things.find(rows.get(i).thing());
      double grams = melt.parts().get(i).massG();
      String typed = Typed.text(rows.get(i).amount());
      problems.attempt("parts[" + i + "].amount", () -> within(thing, grams, typed));
    }
    problems.refuseIfAny();
  }

  /** Reads a row; a row that cannot be read leaves the others readable. */
  private void read(
      NewProductForm.Row row,
      int index,
      Kitchen kitchen,
      List<PartIn> parts,
      List<Boolean> open,
      Problems problems) {
    String at = "parts[" + index + "]";
    ProductThings.Thing thing = problems.attempt(at + ".thing", () -> things.find(row.thing()));
    if (thing == null) {
      return;
    }
    String amount = Typed.text(row.amount());
    if (amount.isEmpty()) {
      parts.add(thing.part());
      open.add(true);
      return;
    }
    OptionalDouble share = share(amount, kitchen);
    Double grams =
        share.isPresent()
            ? Double.valueOf(share.getAsDouble())
            : problems.attempt(at + ".amount", () -> grams(thing, amount, kitchen));
    if (grams == null) {
      return;
    }
    PartIn read = problems.attempt(at + ".amount", () -> thing.weighed(grams, amount));
    if (read != null) {
      parts.add(read);
      open.add(false);
    }
  }

  /**
   * An amount of a thing in g; a weight is checked against a volume where both are given.
   *
   * @throws Refused if it is none, or more than there is in a bottle
   */
  static double grams(ProductThings.Thing thing, String amount, Kitchen kitchen) {
    OptionalDouble part = PartOfAll.read(amount);
    if (part.isPresent() && Double.isFinite(thing.thereG())) {
      return part.getAsDouble() * thing.thereG();
    }
    Measure read = CrossCheck.read(amount, kitchen, thing.substance());
    double grams =
        read.isWeight()
            ? read.amount().middle()
            : read.amount().middle() * thing.substance().usual();
    return within(thing, grams, amount);
  }

  private static double within(ProductThings.Thing thing, double grams, String amount) {
    if (thing.part().infused() != null && grams > thing.thereG() * 1.005 + 0.5) {
      throw new Refused(
          "amount",
          "There are "
              + Math.round(thing.thereG() / thing.substance().usual())
              + " ml of it; “"
              + amount
              + "” was read.");
    }
    return grams;
  }

  static List<DropsIn> drops(
      @Nullable List<NewProductForm.DropRow> rows, Catalogue catalogue, Problems problems) {
    List<DropsIn> drops = new ArrayList<>();
    List<NewProductForm.DropRow> all = rows == null ? List.of() : rows;
    for (int i = 0; i < all.size(); i++) {
      NewProductForm.DropRow row = all.get(i);
      String count = Typed.text(row.count());
      if (count.isEmpty() || count.equals("0")) {
        continue;
      }
      String at = "drops[" + i + "].count";
      Double read = problems.attempt(at, () -> drops(count));
      String oil = problems.attempt(at, () -> catalogue.essentialOil(Typed.text(row.oil())).key());
      if (read != null && oil != null) {
        drops.add(new DropsIn(oil, read));
      }
    }
    return drops;
  }

  /** Drops that were counted. */
  private static double drops(String typed) {
    if (VAGUE.matcher(typed).matches()) {
      throw new Refused(
          "", "How many did you count? “" + typed + "” may be too many for the skin.");
    }
    return Typed.number(typed.replaceFirst("(?i)\\s*drops?$", ""), 0.1, 5000, "drops");
  }

  private static Wax wax(List<PartIn> parts, Catalogue catalogue) {
    return parts.stream()
        .filter(p -> p.kind() == PartIn.Kind.WAX)
        .findFirst()
        .map(p -> catalogue.wax(p.key()))
        .orElseGet(() -> catalogue.wax("beeswax"));
  }

  static double usedAtC(NewProductForm form) {
    return switch (Typed.text(form.firmness().used())) {
      case "pocket" -> POCKET_C;
      case "cold" -> COLD_C;
      default -> ROOM_C;
    };
  }

  /** The hardness aimed at: what was typed, or the kind's middle as this household likes it. */
  private double aim(NewProductForm form, ProductKind making, Wax wax, Learned taste, Units units) {
    if (making.stiff().isEmpty()) {
      return 0;
    }
    String typed = Typed.text(form.firmness().hardness());
    if (typed.isEmpty()) {
      return Math.max(1, making.stiff().get().hardness().middle() + taste.mean());
    }
    return new HardnessText(wax, catalogues.current().carrier("olive"), units).read(typed);
  }

  /**
   * Vessels wanted.
   *
   * @param count 0 where none are named
   */
  private record Vessels(int count, double ml) {}

  private static Vessels vessels(NewProductForm form, @Nullable ProductKind making, Units units) {
    Problems problems = new Problems();
    String typed = Typed.text(form.tins().count());
    Double count =
        typed.isEmpty()
            ? Double.valueOf(0)
            : problems.attempt("count", () -> Typed.number(typed, 1, 500, "of them"));
    Double ml =
        making == ProductKind.COMPRESS_PADS
            ? problems.attempt(() -> mlPerPad(form, units))
            : problems.attempt("size", () -> ml(Typed.text(form.tins().size()), units.kitchen()));
    problems.refuseIfAny();
    return new Vessels((int) Math.round(Objects.requireNonNull(count)), Objects.requireNonNull(ml));
  }

  /** What a tin holds, ml. */
  static double ml(String size, Kitchen kitchen) {
    double ml = VesselSize.ml(size, kitchen, USUAL_DENSITY);
    if (ml < 1 || ml > 20_000) {
      throw new Refused("size", "Between 1 ml and 20 l; “" + size + "” was read.");
    }
    return ml;
  }

  /** Oil for a pad, ml. */
  private static double mlPerPad(NewProductForm form, Units units) {
    Problems problems = new Problems();
    List<Double> pad =
        problems.attempt(
            "pad", () -> Lengths.sides(Typed.text(form.wrap().pad()), units.lengths().large()));
    Double cloth =
        problems.attempt("cloth", () -> Typed.number(form.wrap().cloth(), 10, 1000, "g per m²"));
    Double layers =
        problems.attempt("layers", () -> Typed.number(form.wrap().layers(), 1, 64, "layers"));
    problems.refuseIfAny();
    return Typed.at(
            "pad",
            () ->
                CompressPads.mlPerPad(
                    Objects.requireNonNull(pad).get(0),
                    pad.get(1),
                    Objects.requireNonNull(cloth),
                    (int) Math.round(Objects.requireNonNull(layers))))
        .middle();
  }
}
