package velvetcrock.kitchen;

import java.time.Instant;
import java.time.Period;
import java.time.ZoneOffset;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** How long a household keeps every reading of a jar that is done; after that it keeps a few. */
public enum KeepsReadings {
  /** For good. */
  ALL("all of them, for good", null),
  /** A year after the last. */
  A_YEAR("all for a year, then thinned", Period.ofYears(1)),
  /** Three years after the last. */
  THREE_YEARS("all for three years, then thinned", Period.ofYears(3));

  private final String words;
  private final @Nullable Period all;

  KeepsReadings(String words, @Nullable Period all) {
    this.words = words;
    this.all = all;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** Until when a jar’s last reading was taken if it is time to thin them; empty for never. */
  public Optional<Instant> before(Instant now) {
    return Optional.ofNullable(all).map(time -> now.atZone(ZoneOffset.UTC).minus(time).toInstant());
  }
}
