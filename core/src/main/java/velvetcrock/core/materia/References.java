package velvetcrock.core.materia;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import velvetcrock.core.Problems;

/** The bibliography, and what each row of each table cites of it. */
public final class References {
  private static final References SHIPPED = read();

  /** A table whose rows have figures that a household may look up. */
  public enum Table {
    /** Herbs. */
    HERBS("herbs.csv", "key"),
    /** Oils and fats. */
    CARRIERS("carriers.csv", "key"),
    /** Waxes. */
    WAXES("waxes.csv", "key"),
    /** Essential oils. */
    ESSENTIAL_OILS("essential-oils.csv", "key"),
    /** Powders. */
    POWDERS("powders.csv", "key"),
    /** How herbs pack. */
    BEDS("beds.csv", "part");

    private final String file;
    private final String key;

    Table(String file, String key) {
      this.file = file;
      this.key = key;
    }
  }

  private record Cited(String key, List<String> references) {}

  private final Map<String, Reference> all;
  private final Map<Table, Map<String, Cited>> cited;

  private References(Map<String, Reference> all, Map<Table, Map<String, Cited>> cited) {
    this.all = all;
    this.cited = cited;
  }

  /** Those that come with it. */
  public static References shipped() {
    return SHIPPED;
  }

  private static References read() {
    Problems problems = new Problems();
    Map<String, Reference> all =
        CatalogueFile.read(
            References.class,
            "references.csv",
            problems,
            row ->
                new Reference(
                    row.get("key"),
                    Reference.Worth.valueOf(row.get("standing").toUpperCase(Locale.ROOT)),
                    row.get("text")),
            Reference::key);
    Map<Table, Map<String, Cited>> cited = new LinkedHashMap<>();
    for (Table table : Table.values()) {
      cited.put(
          table,
          CatalogueFile.read(
              References.class,
              table.file,
              problems,
              row -> new Cited(row.get(table.key), List.of(row.get("cites").split("\\|"))),
              Cited::key));
    }
    cited
        .values()
        .forEach(
            rows ->
                rows.values()
                    .forEach(
                        row ->
                            row.references()
                                .forEach(
                                    key ->
                                        problems.require(
                                            all.containsKey(key),
                                            row.key(),
                                            () -> "“" + key + "” is not in references.csv."))));
    problems.refuseIfAny();
    return new References(all, cited);
  }

  /** All of them. */
  public List<Reference> all() {
    return List.copyOf(all.values());
  }

  /**
   * What a row cites, the best first; nothing for what is not in the table, which is a household's
   * own.
   */
  public List<Reference> of(Table table, String key) {
    Cited row = cited.getOrDefault(table, Map.of()).get(key);
    return row == null ? List.of() : row.references().stream().map(all::get).toList();
  }
}
