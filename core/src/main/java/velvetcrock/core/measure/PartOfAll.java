package velvetcrock.core.measure;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Refused;

/** Reads how much of what there is is meant: {@code all of it}, {@code the rest}, {@code half}. */
public final class PartOfAll {
  private static final Pattern ALL =
      Pattern.compile(
          "(?:all|everything|the (?:rest|lot|whole lot)|what(?: i|’|')s left)(?: (?:of it|left|there is|that is left))?");
  private static final Pattern PART =
      Pattern.compile(
          "(.*(?:half|third|quarter|fifth|tenth)s?|[½⅓⅔¼¾])(?: of (?:it|them|what is left))?");

  private PartOfAll() {}

  /**
   * The part that is meant.
   *
   * @return above 0 and at most 1; empty where an amount of its own is said
   */
  public static OptionalDouble read(String typed) {
    String text = typed.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    if (ALL.matcher(text).matches()) {
      return OptionalDouble.of(1);
    }
    Matcher part = PART.matcher(text);
    if (!part.matches()) {
      return OptionalDouble.empty();
    }
    try {
      double share =
          new MeasureReader(Kitchen.METRIC).bare("parts").readAny(part.group(1)).amount().middle();
      return share < 1 ? OptionalDouble.of(share) : OptionalDouble.empty();
    } catch (Refused noPart) {
      return OptionalDouble.empty();
    }
  }
}
