package velvetcrock.kitchen;

import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Drawing;
import velvetcrock.core.materia.Herb;
import velvetcrock.web.EnumWords;

/** What is known of herbs and oils, in words. */
public final class CatalogueWords {
  /** How a herb is best used. */
  public String best(Herb herb) {
    Drawing drawing = herb.handling().drawing();
    String state = "best " + EnumWords.of(herb.handling().bestState());
    return drawing == Drawing.ANY ? state : state + ", " + EnumWords.of(drawing);
  }

  /** How an oil feels and smells, and what it is chosen for. */
  public String nature(Carrier oil) {
    Carrier.Nature nature = oil.nature();
    String takenUp =
        switch (nature.absorption()) {
          case "fast" -> "fast";
          case "slow" -> "slowly";
          default -> "steadily";
        };
    return EnumWords.capital(nature.feel())
        + ", taken up "
        + takenUp
        + ", smell: "
        + nature.smell()
        + ". For "
        + nature.chosenFor()
        + ".";
  }

  /** How a herb likes to be infused, in one line. */
  public String inOneLine(Herb herb) {
    return herb.name() + ": " + best(herb) + ". " + herb.handling().why();
  }

  /** How an oil feels, what it suits and how long it keeps, in one line. */
  public String inOneLine(Carrier oil) {
    return oil.name()
        + ": "
        + EnumWords.capital(oil.nature().feel()).toLowerCase(java.util.Locale.ROOT)
        + ", for "
        + oil.nature().chosenFor()
        + "; keeps "
        + oil.keepsMonths()
        + " months unopened";
  }

  /** What is to be said of eating it, after all else. */
  public String eating(boolean edible) {
    return edible ? "" : "; not for eating";
  }
}
