package velvetcrock.core.caution;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import velvetcrock.core.Problems;
import velvetcrock.core.materia.CatalogueFile;

/**
 * Finds words in a label's text that claim to heal or name what is to be healed: in many places
 * they make a product a medicine. It questions and does not forbid; local law decides. Words are
 * English, by the beginnings in {@code claims.csv}; what a herb is called is no claim.
 */
public final class Claims {
  private final Pattern words;

  private Claims(Collection<String> stems) {
    this.words =
        Pattern.compile(
            stems.stream().map(Claims::pattern).collect(Collectors.joining("|", "\\b(?:", ")\\b")),
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
  }

  private static String pattern(String stem) {
    return stem.endsWith(".")
        ? Pattern.quote(stem.substring(0, stem.length() - 1))
        : Pattern.quote(stem) + "\\w*";
  }

  /** Those that ship with the application. */
  public static Claims shipped() {
    Problems problems = new Problems();
    Claims claims =
        new Claims(
            CatalogueFile.read(
                    Claims.class, "claims.csv", problems, row -> row.get("stem"), stem -> stem)
                .keySet());
    problems.refuseIfAny();
    return claims;
  }

  /** What is asked of whoever writes such words; they are named in the order found. */
  public static String asked(List<String> found) {
    return "“%s” may count as a medical claim, which the law of many places forbids on what is not a"
            .formatted(String.join("”, “", found))
        + " medicine. Ask what yours says, or choose other words.";
  }

  /**
   * The claims in a text as they stand there, each once, in order; empty for a plain one.
   *
   * @param names what herbs are called, which is passed over
   */
  public List<String> in(String text, Collection<String> names) {
    String rest = text.toLowerCase(Locale.ROOT);
    for (String name : names) {
      rest = rest.replace(name.toLowerCase(Locale.ROOT), " ");
    }
    Set<String> found = new LinkedHashSet<>();
    Matcher matcher = words.matcher(rest);
    while (matcher.find()) {
      found.add(matcher.group());
    }
    return List.copyOf(found);
  }
}
