package velvetcrock.core.materia;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Every row of every table says where it comes from. */
class ReferencesTest {
  private static final References ALL = References.shipped();
  private static final Catalogue CATALOGUE = Catalogue.shipped();

  static Stream<Path> tables() throws IOException {
    try (Stream<Path> files = Files.walk(Path.of("src/main/resources/velvetcrock/core"))) {
      return files
          .filter(f -> f.toString().endsWith(".csv"))
          // rules.csv says when a caution is due; the caution cites. The bibliography is cited.
          .filter(f -> !Set.of("rules.csv", "references.csv").contains(f.getFileName().toString()))
          .toList()
          .stream();
    }
  }

  @ParameterizedTest
  @MethodSource("tables")
  void everyRowCitesTheBibliography(Path table) throws IOException {
    Set<String> keys = ALL.all().stream().map(Reference::key).collect(Collectors.toSet());
    List<String> rows =
        Files.readAllLines(table).stream().filter(l -> !l.isBlank() && !l.startsWith("#")).toList();
    assertThat(rows.get(0)).endsWith(",cites");
    assertThat(rows.subList(1, rows.size()))
        .isNotEmpty()
        .allSatisfy(
            row ->
                assertThat(row.substring(row.lastIndexOf(',') + 1).split("\\|"))
                    .as(row)
                    .allSatisfy(key -> assertThat(key).isIn(keys)));
  }

  @Test
  void everythingInTheCatalogueCanBeLookedUp() {
    CATALOGUE
        .herbs()
        .forEach(h -> assertThat(ALL.of(References.Table.HERBS, h.key())).isNotEmpty());
    CATALOGUE
        .carriers()
        .forEach(c -> assertThat(ALL.of(References.Table.CARRIERS, c.key())).isNotEmpty());
    for (Part part : Part.values()) {
      assertThat(ALL.of(References.Table.BEDS, part.name().toLowerCase())).isNotEmpty();
    }
    assertThat(ALL.of(References.Table.HERBS, "own-foxglove")).isEmpty();
    assertThat(ALL.of(References.Table.CARRIERS, "rapeseed"))
        .extracting(Reference::worth)
        .contains(Reference.Worth.REFERENCE);
  }

  @Test
  void worksAreNamedWithTheirYearAndTheRestSaysWhatItIs() {
    assertThat(ALL.all())
        .filteredOn(r -> r.worth() == Reference.Worth.REFERENCE)
        .hasSizeGreaterThan(14)
        .allSatisfy(r -> assertThat(r.text()).hasSizeGreaterThan(20));
    assertThat(ALL.all()).extracting(Reference::worth).contains(Reference.Worth.values());
  }

  /** What was stored under a part of former days is read as what it is. */
  @ParameterizedTest
  @CsvSource({
    "cinnamon, ROOT, BARK", "cinnamon, BARK, BARK", "cayenne, SEED, FRUIT",
    "lemon-peel, SEED, FRUIT", "ginger, ROOT, ROOT", "fennel, SEED, SEED",
    "willow-bark, ROOT, BARK", "yarrow, ROOT, ROOT", "witch-hazel, ROOT, BARK",
  })
  void barkIsBarkAndFruitIsFruit(String herb, Part stored, Part now) {
    assertThat(CATALOGUE.herb(herb).partNow(stored)).isEqualTo(now);
    assertThat(
            velvetcrock.core.charge.HerbPortion.usual(
                    CATALOGUE.herb(herb), stored, Cut.CUT, HerbState.DRIED, 10)
                .part())
        .isEqualTo(now);
  }
}
