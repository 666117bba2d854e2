package velvetcrock.colour;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;

/**
 * A place on a picture that somebody tapped, in px of the picture as it is shown. {@code
 * Tap.of(tap.toString())} is the same tap again.
 */
record Tap(int x, int y) {
  private static final Pattern WRITTEN = Pattern.compile("(\\d{1,4}),(\\d{1,4})");

  /**
   * Reads {@code 120,88}.
   *
   * @return nothing for nothing
   * @throws Refused at {@code tap} if it is something else
   */
  static Optional<Tap> of(@Nullable String written) {
    if (written == null || written.isBlank()) {
      return Optional.empty();
    }
    Matcher matcher = WRITTEN.matcher(written);
    if (!matcher.matches()) {
      throw new Refused("tap", "Tap the picture.");
    }
    return Optional.of(
        new Tap(Integer.parseInt(matcher.group(1)), Integer.parseInt(matcher.group(2))));
  }

  @Override
  public String toString() {
    return x + "," + y;
  }
}
