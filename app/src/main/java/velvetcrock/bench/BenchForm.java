package velvetcrock.bench;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The bench's sentence as it was typed; every field is kept whatever it says.
 *
 * @param amount herb by weight or volume; may be empty when a jar is filled by eye
 * @param ratioKind {@code weight}, {@code volume} or {@code fill}
 * @param ratio oil per herb; empty for the smallest that covers
 * @param herbFill share of the jar that the herb fills, when it is filled by eye
 * @param jar a jar's key; empty for the one that fits best
 * @param cover cover wanted, mm
 * @param place where it is to stand
 * @param use {@code SKIN} or {@code KITCHEN}
 * @param set a change to one field that a way out asks for, as {@code field=value}
 */
public record BenchForm(
    @Nullable String amount,
    @Nullable String herb,
    @Nullable String part,
    @Nullable String cut,
    @Nullable String carrier,
    @Nullable String ratioKind,
    @Nullable String ratio,
    @Nullable String herbFill,
    @Nullable String jar,
    @Nullable String cover,
    @Nullable String place,
    @Nullable String use,
    @Nullable String set) {

  /** A form with nothing typed. */
  static BenchForm empty() {
    return new BenchForm(
        null, null, null, null, null, null, null, null, null, null, null, null, null);
  }

  /** The same with nothing missing and the asked change made. */
  BenchForm completed(String usualCarrier, String usualPlace) {
    return new BenchForm(
        changed("amount", amount, "60 g"),
        changed("herb", herb, "yarrow"),
        changed("part", part, ""),
        changed("cut", cut, "CUT"),
        changed("carrier", carrier, usualCarrier),
        changed("ratioKind", ratioKind, "weight"),
        changed("ratio", ratio, ""),
        changed("herbFill", herbFill, "0.66"),
        changed("jar", jar, ""),
        changed("cover", cover, "12"),
        changed("place", place, usualPlace),
        changed("use", use, "SKIN"),
        null);
  }

  private String changed(String field, @Nullable String typed, String usual) {
    String wanted = set;
    if (wanted != null && wanted.startsWith(field + "=")) {
      return wanted.substring(field.length() + 1);
    }
    return Optional.ofNullable(typed).orElse(usual);
  }
}
