package velvetcrock.pots;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.melt.PartIn;
import velvetcrock.core.melt.PotEvent;
import velvetcrock.core.melt.PotState;
import velvetcrock.core.pot.Drops;
import velvetcrock.core.pot.Extra;
import velvetcrock.core.pot.Ingredient;
import velvetcrock.core.pot.Making;
import velvetcrock.core.pot.Melt;
import velvetcrock.core.pot.Whipping;
import velvetcrock.web.Formats;
import velvetcrock.web.KeepingWords;

/** Says a pot and what happened to it in the craft's words. */
public final class PotWords {
  private final Catalogue catalogue;
  private final Formats fmt;

  /** Words for one household. */
  public PotWords(Catalogue catalogue, Formats fmt) {
    this.catalogue = catalogue;
    this.fmt = fmt;
  }

  /** What a pot is called: its own name, or what it is of what herbs. */
  public String name(PotState pot) {
    if (!pot.plan().name().isBlank()) {
      return pot.plan().name();
    }
    List<String> herbs =
        pot.parts().stream()
            .flatMap(p -> p.infused() == null ? Stream.of() : p.infused().herbs().stream())
            .distinct()
            .limit(2)
            .map(h -> catalogue.herb(h).name())
            .toList();
    String made = making(pot.plan().making());
    return herbs.isEmpty()
        ? capital(made)
        : String.join(" and ", herbs) + " " + made.toLowerCase(Locale.ROOT);
  }

  private static String capital(String text) {
    return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
  }

  /** What is made, in a word or two. */
  public static String making(Making making) {
    return switch (making) {
      case COMPRESS_PADS -> "compress pads";
      case MASSAGE_OIL -> "massage oil";
      case BATH_OIL -> "bath oil";
      case DRAWN -> "oil for something else";
      default -> making.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    };
  }

  /** How what it is filled into is drawn. */
  static String shape(Making making) {
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
  static String fate(PotEvent.Fate fate) {
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

  /** What happened, in a few words. */
  String title(PotEvent event) {
    if (event instanceof PotEvent.Begun e) {
      return "Weighed in: " + making(e.plan().making());
    } else if (event instanceof PotEvent.Added) {
      return "Added";
    } else if (event instanceof PotEvent.Tested e) {
      return "Spoon test: " + feel(e.harder());
    } else if (event instanceof PotEvent.Read e) {
      return "It reads " + fmt.degrees(e.celsius());
    } else if (event instanceof PotEvent.Looked e) {
      return "It looks: " + look(e.look());
    } else if (event instanceof PotEvent.Poured e) {
      int tins = e.groups().stream().mapToInt(PotEvent.Group::count).sum();
      return "Poured: " + tins + (tins == 1 ? " vessel" : " vessels");
    } else if (event instanceof PotEvent.Abandoned e) {
      return e.givenBack() ? "Abandoned, all given back" : "Abandoned, lost";
    } else if (event instanceof PotEvent.Went e) {
      return "Tin " + e.tin() + ": " + fate(e.fate()) + (e.to().isEmpty() ? "" : ", to " + e.to());
    } else if (event instanceof PotEvent.Reacted e) {
      return "A skin reacted to tin " + e.tin();
    } else if (event instanceof PotEvent.Remarked) {
      return "Remark";
    }
    return "Taken back";
  }

  /** A test in words. */
  static String feel(double harder) {
    if (Math.abs(harder) < 0.5) {
      return "right";
    }
    String how = Math.abs(harder) > 2.5 ? "far too " : "a bit ";
    return how + (harder > 0 ? "soft" : "hard");
  }

  /** The particulars; may be empty. */
  String detail(PotEvent event) {
    if (event instanceof PotEvent.Begun e) {
      return join(parts(e.parts()), drops(e.drops()), e.reason());
    } else if (event instanceof PotEvent.Added e) {
      return join(parts(e.parts()), drops(e.drops()), e.reason());
    } else if (event instanceof PotEvent.Poured e) {
      return e.groups().stream()
          .map(
              g ->
                  g.count()
                      + " × "
                      + fmt.ml(g.ml())
                      + " for "
                      + where(g.where())
                      + (alone(g).isEmpty() ? "" : ", " + alone(g))
                      + (g.reason().isBlank() ? "" : ", " + g.reason()))
          .collect(Collectors.joining("; "));
    } else if (event instanceof PotEvent.Abandoned e) {
      return e.why();
    } else if (event instanceof PotEvent.Went e) {
      return e.remark();
    } else if (event instanceof PotEvent.Reacted e) {
      return e.what();
    } else if (event instanceof PotEvent.Remarked e) {
      return e.text();
    }
    return "";
  }

  /** What went into the tins of a group alone. */
  String alone(PotEvent.Group group) {
    return Stream.of(drops(group.drops()), parts(group.extras()))
        .filter(t -> !t.isEmpty())
        .collect(Collectors.joining(", "));
  }

  /** Parts with their weights. */
  String parts(List<PartIn> parts) {
    return parts.stream()
        .map(p -> fmt.g(p.massG()) + " " + PotParts.name(p, catalogue))
        .collect(Collectors.joining(", "));
  }

  /** Drops of essential oils. */
  String drops(List<PotEvent.DropsIn> drops) {
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
