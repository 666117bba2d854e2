package velvetcrock.batch;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.colour.ColourStory;
import velvetcrock.web.Formats;

/**
 * The strip of colours that were seen, beside the plain carrier.
 *
 * @param lead whether it still changes
 * @param mood how that is shown
 */
public record ColourView(String lead, String mood, List<Swatch> swatches) {
  private static final int MOST = 12;

  /**
   * A swatch.
   *
   * @param x where it begins, in units of the strip
   * @param change ΔE00 from the look before; empty for the plain carrier
   */
  public record Swatch(String colour, String when, String change, int x) {}

  /** How wide a swatch is, in units of the strip. */
  public static final int WIDE = 64;

  /** Shows a story. */
  public static ColourView of(ColourStory story, Formats fmt) {
    List<Swatch> swatches = new ArrayList<>();
    swatches.add(new Swatch(story.plain().hex(), "plain oil", "", 0));
    List<ColourStory.Look> looks = story.looks();
    for (int i = Math.max(0, looks.size() - MOST); i < looks.size(); i++) {
      ColourStory.Look look = looks.get(i);
      swatches.add(
          new Swatch(
              look.colour().hex(),
              fmt.shortDate(fmt.date(look.at())),
              "ΔE " + fmt.number(look.fromLast(), 1),
              swatches.size() * WIDE));
    }
    boolean settled = story.settled().orElse(false);
    String lead =
        looks.isEmpty()
            ? "No colour noted yet"
            : looks.size() == 1
                ? "Seen once, " + fmt.number(looks.get(0).fromPlain(), 1) + " ΔE from the plain oil"
                : settled ? "Settled" : "Still changing";
    return new ColourView(lead, settled ? "ready" : "resting", swatches);
  }

  /** How wide the strip is, in its units. */
  public int width() {
    return swatches.size() * WIDE;
  }

  /** The same in words, for who cannot see it. */
  public String words() {
    return lead + ", from the plain oil through " + (swatches.size() - 1) + " looks";
  }
}
