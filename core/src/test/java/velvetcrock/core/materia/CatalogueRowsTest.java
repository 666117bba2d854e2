package velvetcrock.core.materia;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A row that cannot be true is refused by its column. */
class CatalogueRowsTest {
  private static final String HERB =
      "key,name,botanical,parts,waterFresh,edible,bestState,draw,why,tint,fleck,cautions,source\n"
          + "sea-aster,Sea aster,Tripolium pannonicum,flower|leaf,0.84,no,dried,cool,It is mild.,#aabbcc,#112233,daisy-family,weighed";
  private static final String CARRIER =
      "key,name,inci,density20,meltsC,molarG,meltingKj,viscosity20,viscosity40,keepsMonths,edible,allergen,hardness,feel,absorption,smell,make,chosenFor,tint,source\n"
          + "walnut,Walnut,Juglans Regia Seed Oil,0.92,-15,880,0,60,30,8,yes,tree nut,0,light,fast,nutty,raw,face,#e0d080,sheet";
  private static final String WAX =
      "key,name,densitySolid,densityMelted,pelletDensity,pelletLow,pelletHigh,meltsC,hardness,source\n"
          + "rice-wax,Rice wax,0.97,0.84,0.52,0.45,0.60,79,200,sheet";
  private static final String ESSENTIAL =
      "key,name,botanical,ceiling,pregnancy,child2to6,child6to12,sun,cautions,source\n"
          + "yuzu,Yuzu,Citrus junos,2,,0,,yes,sun,sheet";

  private static CSVRecord row(String csv) {
    try (CSVParser parser =
        CSVParser.parse(
            csv, CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).get())) {
      return parser.getRecords().get(0);
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  private static String with(String csv, String column, String value) {
    String[] lines = csv.split("\n");
    String[] names = lines[0].split(",");
    String[] values = lines[1].split(",", -1);
    for (int i = 0; i < names.length; i++) {
      if (names[i].equals(column)) {
        values[i] = value;
      }
    }
    return lines[0] + "\n" + String.join(",", values);
  }

  @Test
  void aGoodRowOfEachKindIsReadWhole() {
    Herb herb = CatalogueRows.herb(row(HERB));
    Carrier carrier = CatalogueRows.carrier(row(CARRIER));
    Wax wax = CatalogueRows.wax(row(WAX));
    EssentialOil oil = CatalogueRows.essentialOil(row(ESSENTIAL));

    assertThat(herb.parts()).containsExactly(Part.FLOWER, Part.LEAF);
    assertThat(herb.handling().drawing()).isEqualTo(Drawing.COOL);
    assertThat(herb.cautions()).containsExactly("daisy-family");
    assertThat(carrier.allergen()).isEqualTo("tree nut");
    assertThat(carrier.opensForMonths()).isEqualTo(6);
    assertThat(wax.pelletRange().low()).isEqualTo(0.45);
    assertThat(oil.ceiling()).hasValue(2);
    assertThat(oil.pregnancy()).isEmpty();
    assertThat(oil.child2To6()).hasValue(0);
    assertThat(oil.sun()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "key, Sea Aster",
    "name, ''",
    "parts, petals",
    "waterFresh, 0.99",
    "waterFresh, much",
    "edible, perhaps",
    "bestState, damp",
    "draw, hot",
    "why, ''",
    "tint, gold",
    "source, ''"
  })
  void aHerbThatCannotBe(String column, String value) {
    refused(CatalogueRows::herb, with(HERB, column, value));
  }

  @ParameterizedTest
  @CsvSource({
    "density20, 1.3",
    "density20, 0",
    "meltsC, 90",
    "viscosity20, -1",
    "keepsMonths, 0",
    "keepsMonths, 600",
    "hardness, 150",
    "absorption, quick",
    "make, cooked",
    "feel, ''"
  })
  void aCarrierThatCannotBe(String column, String value) {
    refused(CatalogueRows::carrier, with(CARRIER, column, value));
  }

  @ParameterizedTest
  @CsvSource({
    "densitySolid, 2",
    "densityMelted, 0.2",
    "pelletLow, 0.7",
    "meltsC, 20",
    "hardness, 5"
  })
  void aWaxThatCannotBe(String column, String value) {
    refused(CatalogueRows::wax, with(WAX, column, value));
  }

  @ParameterizedTest
  @CsvSource({"ceiling, 120", "ceiling, -1", "pregnancy, none", "sun, maybe", "name, ''"})
  void anEssentialOilThatCannotBe(String column, String value) {
    refused(CatalogueRows::essentialOil, with(ESSENTIAL, column, value));
  }

  private static void refused(Function<CSVRecord, ?> reader, String csv) {
    assertThatThrownBy(() -> reader.apply(row(csv)))
        .isInstanceOfAny(velvetcrock.core.Refused.class, IllegalArgumentException.class);
  }
}
