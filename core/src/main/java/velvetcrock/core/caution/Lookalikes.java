package velvetcrock.core.caution;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import velvetcrock.core.Problems;
import velvetcrock.core.materia.CatalogueFile;

/** What gathered herbs are taken for, by {@code lookalikes.csv}. */
public final class Lookalikes {
  private static final Map<String, String> SHIPPED = read();

  private Lookalikes() {}

  private record Row(String herbs, String code) {}

  private static Map<String, String> read() {
    Problems problems = new Problems();
    Map<String, String> codes = new HashMap<>();
    CatalogueFile.read(
            Lookalikes.class,
            "lookalikes.csv",
            problems,
            row -> new Row(row.get("herbs"), row.get("code")),
            Row::herbs)
        .values()
        .forEach(
            row -> Arrays.stream(row.herbs().split("\\|")).forEach(h -> codes.put(h, row.code())));
    if (!problems.none()) {
      throw new IllegalStateException(problems.found().toString());
    }
    return Map.copyOf(codes);
  }

  /** The caution of what a herb is taken for; empty for most. */
  public static Optional<String> of(String herb) {
    return Optional.ofNullable(SHIPPED.get(herb));
  }

  /** The codes of all. */
  static Iterable<String> codes() {
    return SHIPPED.values();
  }
}
