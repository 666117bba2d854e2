package velvetcrock.core.colour;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How a batch's colour went, look by look, beside the plain carrier.
 *
 * @param plain the plain carrier
 * @param looks oldest first
 */
public record ColourStory(Rgb plain, List<Look> looks) {
  /** The last two looks differ by more than this while the colour still changes, ΔE00. */
  public static final double CHANGING = 2;

  /** A colour as seen. */
  public record Seen(Instant at, Rgb colour) {}

  /**
   * A look with what has become of it.
   *
   * @param fromPlain difference to the plain carrier, ΔE00
   * @param fromLast difference to the look before, ΔE00; the first one's to the plain carrier
   */
  public record Look(Instant at, Rgb colour, double fromPlain, double fromLast) {}

  /**
   * Tells it.
   *
   * @param seen in order of time; may be empty
   */
  public static ColourStory of(Rgb plain, List<Seen> seen) {
    List<Look> looks = new ArrayList<>();
    Rgb last = plain;
    for (Seen one : seen) {
      looks.add(
          new Look(
              one.at(),
              one.colour(),
              one.colour().difference(plain),
              one.colour().difference(last)));
      last = one.colour();
    }
    return new ColourStory(plain, List.copyOf(looks));
  }

  /** Whether the last two looks agree; empty before there are two. */
  public Optional<Boolean> settled() {
    return looks.size() < 2
        ? Optional.empty()
        : Optional.of(looks.get(looks.size() - 1).fromLast() <= CHANGING);
  }

  /** The colour last seen. */
  public Optional<Rgb> last() {
    return looks.isEmpty() ? Optional.empty() : Optional.of(looks.get(looks.size() - 1).colour());
  }
}
