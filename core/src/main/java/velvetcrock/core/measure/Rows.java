package velvetcrock.core.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;

/**
 * The rows of a mix as people say them: an amount each, parts each, or so much of the one before,
 * such as {@code half as much} or {@code the same}. A bare figure is parts.
 */
public final class Rows {
  private static final Set<String> SAME =
      Set.of(
          "the same",
          "same",
          "same again",
          "the same again",
          "the same amount",
          "as much",
          "as much again",
          "ditto");
  private static final Pattern AS_MUCH =
      Pattern.compile("(.+?)(?: times)? (?:as much(?: again)?|that|of that|of it|the amount)");

  private final List<Measure> said;

  private Rows(List<Measure> said) {
    this.said = List.copyOf(said);
  }

  /**
   * Reads them.
   *
   * @param typed a row each; an empty one is one part, or the same where amounts stand before it
   * @param field what a row's field is called
   * @throws Refused at the field of each row that cannot be read, or of the first that is parts
   *     where others are amounts
   */
  public static Rows read(List<String> typed, Kitchen kitchen, IntFunction<String> field) {
    Problems problems = new Problems();
    MeasureReader reader = new MeasureReader(kitchen).bare("parts");
    List<Measure> said = new ArrayList<>();
    for (int i = 0; i < typed.size(); i++) {
      String text = typed.get(i).strip();
      Measure before = said.isEmpty() ? null : said.get(said.size() - 1);
      Measure row =
          problems.attempt(
              field.apply(i),
              () -> {
                Optional<Double> factor = factor(text, reader);
                if (text.isEmpty() && before == null) {
                  return reader.readAny("1");
                }
                if (text.isEmpty() || factor.isPresent()) {
                  if (before == null) {
                    throw new Refused("", "“" + text + "” wants an amount before it.");
                  }
                  return before.times(factor.orElse(1.0), text);
                }
                Measure any = reader.readAny(text);
                if (any.kind() == Measure.Kind.DEPTH) {
                  throw new Refused("", "“" + text + "” is a depth. Give an amount or parts.");
                }
                return any;
              });
      said.add(row == null ? reader.readAny("1") : row);
    }
    problems.refuseIfAny();
    Rows rows = new Rows(said);
    rows.refuseMixed(field);
    return rows;
  }

  private static Optional<Double> factor(String text, MeasureReader reader) {
    String lower = text.toLowerCase(Locale.ROOT);
    if (SAME.contains(lower)) {
      return Optional.of(1.0);
    }
    if (lower.equals("double")) {
      return Optional.of(2.0);
    }
    Matcher asMuch = AS_MUCH.matcher(lower);
    if (!asMuch.matches()) {
      return Optional.empty();
    }
    return switch (asMuch.group(1)) {
      case "twice", "double" -> Optional.of(2.0);
      case "thrice" -> Optional.of(3.0);
      default -> Optional.of(reader.readAny(asMuch.group(1)).amount().middle());
    };
  }

  /** Each as it was read. */
  public List<Measure> each() {
    return said;
  }

  /** Whether all of them are parts of a whole that is told elsewhere. */
  public boolean parts() {
    return said.stream().allMatch(m -> m.kind() == Measure.Kind.PARTS);
  }

  /** Whether all of them are amounts. */
  public boolean amounts() {
    return said.stream().noneMatch(m -> m.kind() == Measure.Kind.PARTS);
  }

  private void refuseMixed(IntFunction<String> field) {
    if (parts() || amounts()) {
      return;
    }
    for (int i = 0; i < said.size(); i++) {
      if (said.get(i).kind() == Measure.Kind.PARTS) {
        throw new Refused(
            field.apply(i),
            "“"
                + said.get(i).text()
                + "” is parts, and others are amounts. Say an amount, or such as “half as much”.");
      }
    }
  }
}
