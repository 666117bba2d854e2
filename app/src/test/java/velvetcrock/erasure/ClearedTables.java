package velvetcrock.erasure;

import java.util.List;
import java.util.stream.Stream;

/** The tables that are known when a household is cleared. */
public final class ClearedTables {
  private ClearedTables() {}

  /** Those that are cleared, those that go with others, and those that stay. */
  public static List<String> known() {
    return Stream.of(Clearing.TABLES, Clearing.WITH_THEIR_OWNERS, Clearing.STAYS)
        .flatMap(List::stream)
        .toList();
  }
}
