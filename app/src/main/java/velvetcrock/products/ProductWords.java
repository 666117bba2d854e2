package velvetcrock.products;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Extra;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.Melt;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Whipping;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.Abandoned;
import velvetcrock.core.product.DropsIn;
import velvetcrock.core.product.MeltRead;
import velvetcrock.core.product.OilReckonedAnew;
import velvetcrock.core.product.PartIn;
import velvetcrock.core.product.Poured;
import velvetcrock.core.product.ProductBegun;
import velvetcrock.core.product.ProductEvent;
import velvetcrock.core.product.ProductRemarked;
import velvetcrock.core.product.ProductState;
import velvetcrock.core.product.ProductStruck;
import velvetcrock.core.product.SkinReacted;
import velvetcrock.core.product.SpoonTested;
import velvetcrock.core.product.StirredIn;
import velvetcrock.core.product.TinFate;
import velvetcrock.core.product.TinGroup;
import velvetcrock.core.product.TinWent;
import velvetcrock.core.product.WhippingSeen;
import velvetcrock.ledger.Told;
import velvetcrock.web.EnumWords;
import velvetcrock.web.Formats;
import velvetcrock.web.KeepingWords;

/** Says a product and what happened to it in the craft's words. */
public final class ProductWords implements ProductEvent.Visitor<Told> {
  private final Catalogue catalogue;
  private final Formats fmt;

  /** Words for one household. */
  public ProductWords(Catalogue catalogue, Formats fmt) {
    this.catalogue = catalogue;
    this.fmt = fmt;
  }

  /** What a product is called: its own name, or what it is of what herbs. */
  public String name(ProductState product) {
    if (!product.plan().name().isBlank()) {
      return product.plan().name();
    }
    List<String> herbs =
        product.parts().stream()
            .flatMap(p -> p.infused() == null ? Stream.of() : p.infused().herbs().stream())
            .distinct()
            .limit(2)
            .map(h -> catalogue.herb(h).name())
            .toList();
    String made = making(product.plan().making());
    return herbs.isEmpty()
        ? EnumWords.capital(made)
        : String.join(" and ", herbs) + " " + made.toLowerCase(Locale.ROOT);
  }

  /** What is made, in a word or two. */
  public static String making(ProductKind making) {
    return switch (making) {
      case COMPRESS_PADS -> "compress pads";
      case MASSAGE_OIL -> "massage oil";
      case BATH_OIL -> "bath oil";
      case DRAWN -> "oil for something else";
      default -> making.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    };
  }

  /** How what it is filled into is drawn. */
  static String shape(ProductKind making) {
    return switch (making) {
      case LOTION_BAR -> "bar";
      case COMPRESS_PADS -> "pad";
      case MASSAGE_OIL, BATH_OIL -> "bottle";
      default -> "tin";
    };
  }

  /** Whose skin. */
  public static String where(Drops.Where where) {
    return switch (where) {
      case FACE -> "the face";
      case BODY -> "the body";
      case SMALL_AREA -> "small areas";
      case PREGNANCY -> "in pregnancy";
      case CHILD_2_6 -> "children from 2 to 6";
      case CHILD_6_12 -> "children from 6 to 12";
      case UNDER_2 -> "a child under 2";
    };
  }

  /** Whose skin, by the names that a form sends. */
  static Map<String, String> wheres() {
    Map<String, String> wheres = new LinkedHashMap<>();
    for (Drops.Where where : Drops.Where.values()) {
      wheres.put(where.name(), where(where));
    }
    return wheres;
  }

  /** What became of a tin. */
  static String fate(TinFate fate) {
    return switch (fate) {
      case KEPT -> "kept";
      case GIVEN -> "given away";
      case USED_UP -> "used up, no trouble";
      case SPOILED -> "spoiled";
      case LOST -> "lost or broken";
    };
  }

  /** How a whipped butter looks. */
  static String look(Whipping.Look look) {
    return switch (look) {
      case LIQUID -> "still liquid";
      case EDGE_SET -> "set at the edge";
      case SET_THROUGH -> "set through";
      case PALE -> "pale and thick";
      case STANDS -> "stands in peaks";
      case MELTING -> "melting or splitting";
    };
  }

  /** What happened, and its particulars. */
  Told of(ProductEvent event) {
    return event.accept(this);
  }

  @Override
  public Told productBegun(ProductBegun event) {
    return new Told(
        "Weighed in: " + making(event.plan().making()),
        join(parts(event.parts()), drops(event.drops()), event.reason()));
  }

  @Override
  public Told stirredIn(StirredIn event) {
    return new Told("Added", join(parts(event.parts()), drops(event.drops()), event.reason()));
  }

  @Override
  public Told spoonTested(SpoonTested event) {
    return new Told("Spoon test: " + feel(event.harder()));
  }

  @Override
  public Told meltRead(MeltRead event) {
    return new Told("It reads " + fmt.degrees(event.celsius()));
  }

  @Override
  public Told whippingSeen(WhippingSeen event) {
    return new Told("It looks: " + look(event.look()));
  }

  @Override
  public Told poured(Poured event) {
    int tins = event.groups().stream().mapToInt(TinGroup::count).sum();
    return new Told(
        "Poured: " + tins + (tins == 1 ? " vessel" : " vessels"),
        event.groups().stream().map(this::group).collect(Collectors.joining("; ")));
  }

  private String group(TinGroup g) {
    return g.count()
        + " × "
        + fmt.ml(g.ml())
        + " for "
        + where(g.where())
        + (alone(g).isEmpty() ? "" : ", " + alone(g))
        + (g.reason().isBlank() ? "" : ", " + g.reason());
  }

  @Override
  public Told abandoned(Abandoned event) {
    return new Told(
        event.givenBack() ? "Abandoned, all given back" : "Abandoned, lost", event.why());
  }

  @Override
  public Told tinWent(TinWent event) {
    String to = event.to().isEmpty() ? "" : ", to " + event.to();
    return new Told("Tin " + event.tin() + ": " + fate(event.fate()) + to, event.remark());
  }

  @Override
  public Told skinReacted(SkinReacted event) {
    return new Told("A skin reacted to tin " + event.tin(), event.what());
  }

  @Override
  public Told productRemarked(ProductRemarked event) {
    return new Told("Remark", "“" + event.text() + "”");
  }

  @Override
  public Told oilReckonedAnew(OilReckonedAnew event) {
    return new Told(
        "Its oil " + event.oil() + " was good until " + fmt.fullDate(event.until()), event.why());
  }

  @Override
  public Told productStruck(ProductStruck event) {
    return new Told("Taken back");
  }

  /** A test in words. */
  static String feel(double harder) {
    if (Math.abs(harder) < 0.5) {
      return "right";
    }
    String how = Math.abs(harder) > 2.5 ? "far too " : "a bit ";
    return how + (harder > 0 ? "soft" : "hard");
  }

  /** What went into the tins of a group alone. */
  String alone(TinGroup group) {
    return Stream.of(drops(group.drops()), parts(group.extras()))
        .filter(t -> !t.isEmpty())
        .collect(Collectors.joining(", "));
  }

  /** Parts with their weights. */
  String parts(List<PartIn> parts) {
    return parts.stream()
        .map(p -> fmt.g(p.massG()) + " " + ProductParts.name(p, catalogue))
        .collect(Collectors.joining(", "));
  }

  /** Drops of essential oils. */
  String drops(List<DropsIn> drops) {
    return drops.stream()
        .map(
            d ->
                fmt.number(d.count(), 0)
                    + (d.count() == 1 ? " drop " : " drops ")
                    + catalogue.essentialOil(d.oil()).name().toLowerCase(Locale.ROOT))
        .collect(Collectors.joining(", "));
  }

  private static String join(String... texts) {
    return Stream.of(texts).filter(t -> !t.isBlank()).collect(Collectors.joining("; "));
  }

  /**
   * How much vitamin E would help, or that there is too much of it; empty where there is no oil.
   */
  static Optional<String> vitaminE(Melt melt, Formats fmt) {
    double there =
        melt.parts().stream()
            .filter(p -> p.key().equals(Extra.VITAMIN_E.key()))
            .mapToDouble(Ingredient::massG)
            .sum();
    return melt.vitaminE()
        .map(
            dose ->
                there > dose.massG().high()
                    ? fmt.g(there)
                        + " is too much and hastens rancidity: at most "
                        + fmt.g(dose.massG().high())
                    : there > 0
                        ? fmt.g(there) + " in it, against rancidity"
                        : "if you want it, " + KeepingWords.dose(dose, fmt));
  }
}
