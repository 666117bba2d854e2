package velvetcrock.plans;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.measure.Quantity;
import velvetcrock.web.Choices;
import velvetcrock.web.Formats;

/**
 * The planner's sentence as it was typed; every field is kept whatever it says.
 *
 * @param things what is wanted, at least one
 * @param carrier key of the oil
 * @param by the day, as a date field sends it
 * @param safeFor for whom it has to be safe
 * @param from {@code drawer} or {@code shopping}
 * @param ratio oil per herb; empty for the smallest that covers
 * @param way the way that is looked at, such as {@code COLD-COVERING}; empty for the best
 * @param key names the deciding, so that a second tap decides nothing twice
 * @param set {@code things+} or {@code things-1}: a row more or less
 */
record WantForm(
    @Nullable List<Row> things,
    @Nullable String herb,
    @Nullable String part,
    @Nullable String cut,
    @Nullable String carrier,
    @Nullable String by,
    @Nullable List<String> safeFor,
    @Nullable String from,
    @Nullable String ratio,
    @Nullable String way,
    @Nullable String key,
    @Nullable String set) {
  private static final int MOST_THINGS = 6;

  /** What may be wanted; oil is told by volume or weight from its size. */
  static List<Choices.Choice> whats() {
    return Arrays.stream(Thing.Wanted.values())
        .map(Thing.Wanted::words)
        .distinct()
        .map(
            words ->
                new Choices.Choice(
                    words.toUpperCase(Locale.ROOT),
                    words.equals(Thing.Wanted.OIL_ML.words()) ? words + ":" : words))
        .toList();
  }

  /**
   * A thing as typed.
   *
   * @param size what one holds, weighs or measures, such as {@code 30 ml} or {@code 10 cm}
   * @param kind of product, for tins
   */
  record Row(
      @Nullable String what, @Nullable String count, @Nullable String size, @Nullable String kind) {
    Row completed(Formats fmt) {
      return new Row(
          or(what, "TINS"), or(count, "12"), or(size, fmt.usualVessel()), or(kind, "SALVE"));
    }
  }

  /** The same with nothing missing and the asked row added or left out. */
  WantForm completed(
      String usualHerb, String usualCarrier, String usualBy, String freshKey, Formats fmt) {
    List<Row> rows = new ArrayList<>();
    if (things != null) {
      things.stream()
          .filter(Objects::nonNull)
          .limit(MOST_THINGS)
          .forEach(row -> rows.add(row.completed(fmt)));
    }
    String change = set == null ? "" : set;
    if (rows.isEmpty()) {
      rows.add(new Row(null, null, null, null).completed(fmt));
    }
    if (change.equals("things+") && rows.size() < MOST_THINGS) {
      rows.add(
          new Row("BOTTLES", "2", fmt.proposed(Quantity.VOLUME, "100 ml", "4 fl oz"), "SALVE"));
    }
    IntStream.range(0, rows.size())
        .filter(i -> rows.size() > 1 && change.equals("things-" + i))
        .findFirst()
        .ifPresent(i -> rows.remove(i));
    return new WantForm(
        rows,
        or(herb, usualHerb),
        or(part, ""),
        or(cut, "CUT"),
        or(carrier, usualCarrier),
        or(by, usualBy),
        safeFor == null ? List.of() : safeFor,
        or(from, "shopping"),
        or(ratio, ""),
        or(way, ""),
        or(key, freshKey),
        null);
  }

  /** Whether it has to be safe for somebody. */
  public boolean isSafeFor(String whom) {
    return safeFor != null && safeFor.contains(whom);
  }

  private static String or(@Nullable String typed, String usual) {
    return Optional.ofNullable(typed).orElse(usual);
  }
}
