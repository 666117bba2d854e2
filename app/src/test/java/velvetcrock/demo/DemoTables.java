package velvetcrock.demo;

import java.util.List;
import java.util.stream.Stream;

/** The tables that are known when the demo is cleared. */
public final class DemoTables {
  private DemoTables() {}

  /** Those that are cleared, those that go with others, and those that stay. */
  public static List<String> known() {
    return Stream.of(Clearing.TABLES, Clearing.WITH_THEIR_OWNERS, Clearing.STAYS)
        .flatMap(List::stream)
        .toList();
  }
}
