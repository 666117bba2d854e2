package velvetcrock.products;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Refused;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.ProductKind;
import velvetcrock.core.making.Working;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.product.DropsIn;
import velvetcrock.kitchen.Catalogues;

/** Recipes written to a file and read from one. */
class RecipeFileTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Random RANDOM = new Random(44);
  private static final JsonMapper JSON = new JsonMapper();

  private RecipeFile file;

  @BeforeEach
  void withWhatShips() {
    Catalogues catalogues = mock(Catalogues.class);
    when(catalogues.current()).thenReturn(CATALOGUE);
    file = new RecipeFile(JSON, catalogues);
  }

  private static <T> T any(Collection<T> all) {
    return List.copyOf(all).get(RANDOM.nextInt(all.size()));
  }

  private static <E extends Enum<E>> E any(Class<E> type) {
    return any(List.of(type.getEnumConstants()));
  }

  private static RecipeBody anyRecipe() {
    List<RecipeBody.Part> parts = new ArrayList<>();
    parts.add(
        new RecipeBody.Part(
            "carrier:" + any(CATALOGUE.carriers()).key(),
            RANDOM.nextBoolean() ? List.of() : List.of(any(CATALOGUE.herbs()).key(), "yarrow"),
            grams()));
    parts.add(new RecipeBody.Part("wax:" + any(CATALOGUE.waxes()).key(), List.of(), grams()));
    parts.add(new RecipeBody.Part("powder:clay", List.of(), grams()));
    parts.add(new RecipeBody.Part("extra:honey", List.of(), grams()));
    return new RecipeBody(
        "Recipe " + RANDOM.nextInt(),
        any(ProductKind.class),
        any(Drops.Where.class),
        RANDOM.nextInt(40),
        RANDOM.nextInt(80),
        any(Working.Vessel.class),
        RANDOM.nextBoolean(),
        any(Store.Place.class),
        parts,
        List.of(new DropsIn(any(CATALOGUE.essentialOils()).key(), 1 + RANDOM.nextInt(30))),
        RANDOM.nextBoolean() ? "" : "stir “well”\nand slowly");
  }

  private static double grams() {
    return 1 + RANDOM.nextInt(50_000) / 100.0;
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  @RepeatedTest(40)
  void whatIsWrittenIsReadAsItWas() {
    RecipeBody body = anyRecipe();

    assertThat(file.read(bytes(file.write(body, 3, List.of())))).isEqualTo(body);
  }

  @Test
  void theFileHasTheTermsOfTheOpenFormat() {
    JsonNode root =
        JSON.readTree(
            file.write(
                anyRecipe(),
                7,
                List.of(new StepWords.WordedStep("Pour", "Slowly.", "60 °C", true, List.of()))));

    assertThat(root.path("@context").asString()).isEqualTo("https://schema.org");
    assertThat(root.path("@type").asString()).isEqualTo("HowTo");
    assertThat(root.path("version").asString()).isEqualTo("7");
    assertThat(root.path("supply").get(1).path("@type").asString()).isEqualTo("HowToSupply");
    JsonNode quantity = root.path("supply").get(1).path("requiredQuantity");
    assertThat(quantity.path("@type").asString()).isEqualTo("QuantitativeValue");
    assertThat(quantity.path("unitCode").asString()).isEqualTo("GRM");
    assertThat(root.path("supply").get(4).path("requiredQuantity").path("unitText").asString())
        .isEqualTo("drops");
    JsonNode step = root.path("step").get(0);
    assertThat(step.path("@type").asString()).isEqualTo("HowToStep");
    assertThat(step.path("position").asInt()).isEqualTo(1);
    assertThat(step.path("text").asString()).isEqualTo("Slowly. (60 °C)");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"\"making\":\"CAKE\"|SALVE", "\"making\":\"STICK\"|STICK", "\"other\":\"x\"|SALVE"})
  void whatIsNotKnownIsAsUsual(String property, String making) {
    String name = property.split("\"")[1];
    String value = property.split("\"")[3];
    RecipeBody read =
        file.read(
            bytes(
                "{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[{\"name\":\"Olive\","
                    + "\"requiredQuantity\":{\"value\":10}}],\"additionalProperty\":[{\"name\":\""
                    + name
                    + "\",\"value\":\""
                    + value
                    + "\"}]}"));

    assertThat(read.making()).isEqualTo(ProductKind.valueOf(making));
    assertThat(read.usedAtC()).isEqualTo(20);
    assertThat(read.place()).isEqualTo(Store.Place.COOL);
  }

  @Test
  void aFileThatIsTooLargeOrNamesTooMuchIsRefused() {
    assertThatThrownBy(() -> file.read(new byte[300_000])).isInstanceOf(Refused.class);
    String supply = "{\"name\":\"Olive\",\"requiredQuantity\":{\"value\":1}}";
    String many = String.join(",", Collections.nCopies(61, supply));
    assertThatThrownBy(
            () ->
                file.read(bytes("{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[" + many + "]}")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("between 1 and 60");
    String herbs =
        "{\"name\":\"Olive\",\"requiredQuantity\":{\"value\":1},\"additionalProperty\":"
            + "[{\"name\":\"herbs\",\"value\":\"dragonroot\"}]}";
    assertThatThrownBy(
            () ->
                file.read(bytes("{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[" + herbs + "]}")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("dragonroot");
  }
}
