package velvetcrock.core.materia;

import java.util.List;

/**
 * A herb of the catalogue.
 *
 * @param key lower-case key with hyphens
 * @param name common name
 * @param botanical botanical name
 * @param parts parts in use, the best first
 * @param waterFresh water content fresh, wet basis, 0–1
 * @param edible whether an oil of it may be eaten
 * @param handling how it is best used and drawn
 * @param colours colours to draw it with
 * @param cautions codes of its cautions
 * @param source where the figures come from
 */
public record Herb(
    String key,
    String name,
    String botanical,
    List<Part> parts,
    double waterFresh,
    boolean edible,
    Handling handling,
    Colours colours,
    List<String> cautions,
    String source) {

  /**
   * How it is best used and drawn.
   *
   * @param bestState how it is best used
   * @param drawing how it likes to be drawn
   * @param why why so, in a sentence or two
   */
  public record Handling(HerbState bestState, Drawing drawing, String why) {}

  /**
   * Colours to draw it with.
   *
   * @param tint colour that a pale oil usually takes, as {@code #rrggbb}
   * @param fleck colour of the herb itself, as {@code #rrggbb}
   */
  public record Colours(String tint, String fleck) {}

  /** Water content where nothing else is known of a dried herb: crisp (typical). */
  public static final double WATER_DRIED = 0.10;

  /**
   * A part as it is called now: bark was once counted among roots, and fruit among seeds. What was
   * stored so is read as what it is.
   */
  public Part partNow(Part stored) {
    if (parts.contains(stored)) {
      return stored;
    }
    Part finer =
        switch (stored) {
          case ROOT -> Part.BARK;
          case SEED -> Part.FRUIT;
          default -> stored;
        };
    return parts.contains(finer) ? finer : stored;
  }

  /** The part taken where none is named. */
  public Part bestPart() {
    return parts.get(0);
  }

  /**
   * Water content, wet basis, where it has not been measured. Wilted is taken halfway between fresh
   * and dried (typical).
   */
  public double waterFraction(HerbState state) {
    return switch (state) {
      case DRIED -> WATER_DRIED;
      case WILTED -> (WATER_DRIED + waterFresh) / 2;
      case FRESH -> waterFresh;
    };
  }
}
