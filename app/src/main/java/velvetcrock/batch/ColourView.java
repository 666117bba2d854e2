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
  private static final double CLEARLY = 5;

  /**
   * A swatch.
   *
   * @param change how far from the look before, in words; empty for the plain carrier
   */
  public record Swatch(String colour, String when, String change) {}

  /** Shows a story. */
  public static ColourView of(ColourStory story, Formats fmt) {
    List<Swatch> swatches = new ArrayList<>();
    swatches.add(new Swatch(story.plain().hex(), "plain oil", ""));
    List<ColourStory.Look> looks = story.looks();
    for (int i = Math.max(0, looks.size() - MOST); i < looks.size(); i++) {
      ColourStory.Look look = looks.get(i);
      swatches.add(
          new Swatch(
              look.colour().hex(), fmt.shortDate(fmt.date(look.at())), change(look.fromLast())));
    }
    boolean settled = story.settled().orElse(false);
    String lead =
        looks.isEmpty()
            ? "No colour noted yet"
            : looks.size() == 1
                ? "Seen once: " + change(looks.get(0).fromPlain()) + " from the plain oil"
                : settled ? "Settled" : "Still changing";
    return new ColourView(lead, settled ? "ready" : "resting", swatches);
  }

  /** How far apart two colours look. */
  private static String change(double deltaE) {
    return deltaE <= ColourStory.CHANGING
        ? "alike"
        : deltaE <= CLEARLY ? "a little off" : "far off";
  }

  /** The same in words, for who cannot see it. */
  public String words() {
    return lead + ", from the plain oil through " + (swatches.size() - 1) + " looks";
  }
}
