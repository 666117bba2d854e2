package velvetcrock.erasure;

import java.util.List;
import java.util.stream.Stream;

/** The tables that are known when a household is cleared. */
public final class ClearedTables {
  private ClearedTables() {}

  /** Those that are cleared and those that stay. */
  public static List<String> known() {
    return Stream.of(Clearing.TABLES, Clearing.STAYS).flatMap(List::stream).toList();
  }
}
