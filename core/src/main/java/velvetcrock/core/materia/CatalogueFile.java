package velvetcrock.core.materia;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;

/**
 * Reads a commented CSV file that lies beside a class into a map in the order of its rows; what is
 * wrong with a row is noted with the file's name and line.
 */
public final class CatalogueFile {
  private static final CSVFormat FORMAT =
      CSVFormat.DEFAULT
          .builder()
          .setHeader()
          .setSkipHeaderRecord(true)
          .setCommentMarker('#')
          .setIgnoreEmptyLines(true)
          .setTrim(true)
          .get();

  private CatalogueFile() {}

  /**
   * Reads a file.
   *
   * @param beside the class in whose package the file lies
   * @param problems where rows that cannot be true are noted
   * @param row turns a row into a thing or refuses it
   * @param key the thing's key; no two rows may share one
   */
  public static <T> Map<String, T> read(
      Class<?> beside,
      String file,
      Problems problems,
      Function<CSVRecord, T> row,
      Function<T, String> key) {
    Map<String, T> things = new LinkedHashMap<>();
    try (InputStream in = Objects.requireNonNull(beside.getResourceAsStream(file), file);
        CSVParser parser =
            CSVParser.parse(new InputStreamReader(in, StandardCharsets.UTF_8), FORMAT)) {
      for (CSVRecord csv : parser) {
        String where = file + " line " + parser.getCurrentLineNumber();
        try {
          T thing = row.apply(csv);
          problems.require(
              things.put(key.apply(thing), thing) == null,
              where,
              () -> "“" + key.apply(thing) + "” stands twice.");
        } catch (Refused | IllegalArgumentException wrong) {
          problems.add(where, String.valueOf(wrong.getMessage()));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return things;
  }
}
