package velvetcrock.kitchen;

import java.util.List;
import java.util.function.Function;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.EssentialOil;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Powder;
import velvetcrock.core.materia.Wax;

/** The kinds of things that a household may add to the catalogue or know better than it. */
public enum OwnKind {
  /** Herbs. */
  HERB(
      "herb",
      List.of(new Figure("water", "Water, fresh", "%", 30, 95)),
      shipped -> choices(shipped.herbs().stream().toList(), Herb::key, Herb::name)),
  /** Carrier oils and butters. */
  CARRIER(
      "oil or butter",
      List.of(
          new Figure("density", "Density", "g/ml", 0.8, 1),
          new Figure("months", "Keeps", "months", 1, 60),
          new Figure("melts", "Melts at", "°C", -40, 60),
          new Figure("hardness", "Hardness in a balm", "", 0, 100)),
      shipped -> choices(shipped.carriers().stream().toList(), Carrier::key, Carrier::name)),
  /** Waxes. */
  WAX(
      "wax",
      List.of(
          new Figure("hardness", "Hardness in a balm", "", 10, 400),
          new Figure("melts", "Melts at", "°C", 30, 100),
          new Figure("pellets", "Pellets, loose", "g/ml", 0.3, 0.9)),
      shipped -> choices(shipped.waxes().stream().toList(), Wax::key, Wax::name)),
  /** Powders for products. */
  POWDER(
      "powder",
      List.of(
          new Figure("bulk", "Loose by the spoon", "g/ml", 0.1, 1.5),
          new Figure("hardness", "Hardness in a balm", "", 0, 100)),
      shipped -> choices(shipped.powders().stream().toList(), Powder::key, Powder::name)),
  /** Essential oils; their ceilings are the ones of the bottle's own sheet. */
  ESSENTIAL_OIL(
      "essential oil",
      List.of(
          new Figure("ceiling", "Most on skin", "%", 0, 100),
          new Figure("pregnancy", "Most in pregnancy", "%", 0, 100),
          new Figure("child2To6", "Most from 2 to 6 years", "%", 0, 100),
          new Figure("child6To12", "Most from 6 to 12 years", "%", 0, 100)),
      shipped ->
          choices(
              shipped.essentialOils().stream().toList(), EssentialOil::key, EssentialOil::name));

  /** What becomes of what is left empty, for people. */
  public String hint() {
    return switch (this) {
      case HERB -> "It takes its colours and how it is infused, never its dangers.";
      case ESSENTIAL_OIL ->
          "It takes its ceilings where you leave them empty, never its dangers. Go by the sheet that"
              + " came with the bottle.";
      case CARRIER, WAX, POWDER -> "What you leave empty stays as with it.";
    };
  }

  /**
   * A figure that may be one's own.
   *
   * @param key names it
   * @param label what it is, for people
   * @param unit its unit; may be empty
   * @param low the least that can be
   * @param high the most that can be
   */
  public record Figure(String key, String label, String unit, double low, double high) {
    /** Whether it is a temperature, typed in the household’s degrees. */
    public boolean degrees() {
      return unit.equals("°C");
    }
  }

  /** A shipped thing to choose. */
  public record Choice(String key, String name) {}

  private final String word;
  private final List<Figure> figures;
  private final Function<Catalogue, List<Choice>> choices;

  OwnKind(String word, List<Figure> figures, Function<Catalogue, List<Choice>> choices) {
    this.word = word;
    this.figures = figures;
    this.choices = choices;
  }

  /** What one of them is called. */
  public String word() {
    return word;
  }

  /** The figures that a household may give itself. */
  public List<Figure> figures() {
    return figures;
  }

  /** Whether they have a botanical name. */
  public boolean botanical() {
    return this == HERB || this == ESSENTIAL_OIL;
  }

  /** Whether it has to be asked what they are safe for. */
  public boolean safety() {
    return this == HERB || this == CARRIER || this == ESSENTIAL_OIL;
  }

  /** What ships of this kind, by name. */
  public List<Choice> shipped(Catalogue shipped) {
    return choices.apply(shipped);
  }

  private static <T> List<Choice> choices(
      List<T> things, Function<T, String> key, Function<T, String> name) {
    return things.stream()
        .map(thing -> new Choice(key.apply(thing), name.apply(thing)))
        .sorted((a, b) -> a.name().compareToIgnoreCase(b.name()))
        .toList();
  }
}
