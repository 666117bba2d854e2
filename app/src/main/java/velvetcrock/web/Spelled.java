package velvetcrock.web;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * Texts are written with Britain’s spelling; this writes them with America’s. The words are in
 * {@code american.csv}, each form by itself. What stands between quotation marks is left as it is.
 */
final class Spelled {
  private static final String WORDS = "american.csv";
  private static final Map<String, String> AMERICAN = words();
  private static final Pattern BRITISH =
      Pattern.compile(
          "“[^”]*”|\\b(" + String.join("|", AMERICAN.keySet()) + ")\\b",
          Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CHARACTER_CLASS);

  private Spelled() {}

  private static Map<String, String> words() {
    Map<String, String> words = new HashMap<>();
    CSVFormat format = CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).get();
    try (Reader file =
        new InputStreamReader(
            Objects.requireNonNull(Spelled.class.getResourceAsStream(WORDS)),
            StandardCharsets.UTF_8)) {
      for (CSVRecord row : format.parse(file)) {
        words.put(row.get("british"), row.get("american"));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return words;
  }

  /** A text as one of the two writes it. */
  static String of(String text, Customs.Spelling spelling) {
    return spelling == Customs.Spelling.BRITISH
        ? text
        : BRITISH
            .matcher(text)
            .replaceAll(word -> Matcher.quoteReplacement(american(word.group())));
  }

  private static String american(String word) {
    String american = AMERICAN.get(word.toLowerCase(Locale.ROOT));
    if (american == null) {
      return word;
    }
    return Character.isUpperCase(word.charAt(0))
        ? Character.toUpperCase(american.charAt(0)) + american.substring(1)
        : american;
  }
}
