package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockMultipartFile;
import velvetcrock.products.ProductRecord;

/** Recipes, in their versions and in files, and the sentence scaled. */
class RecipesTest extends ProductHouse {
  @Test
  void aRecipeIsKeptRevisedMadeAgainAndCarriedInAFile() throws Exception {
    String code = bottled(40);
    ProductRecord product = begun(salve(code, "60 ml", "10 g"));
    String link =
        send(
                keeper,
                "/products/" + product.code() + "/recipe",
                "name",
                "Ferry salve",
                "notes",
                "stir well")
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    String id = link.substring(link.lastIndexOf('/') + 1);
    assertThat(page("/products/new?recipe=" + id)).contains("1:5.5");
    ProductRecord second =
        begun(
            ofBottle(
                code,
                "SALVE",
                "60 ml",
                "recipe",
                id + "-1",
                "parts[1].thing",
                "wax:beeswax",
                "parts[1].amount",
                "14 g"));
    send(
            keeper,
            "/products/" + second.code() + "/recipe",
            "name",
            "Ferry salve",
            "revises",
            id + "-1")
        .andExpect(status().is3xxRedirection());
    assertThat(page("/products/recipes/" + id))
        .contains("Version 2")
        .contains("Changed:")
        .contains("Beeswax 15.4 → 20.3 %")
        .doesNotContain("Older ones are kept");
    TestCluster.shared()
        .owner()
        .update(
            "update recipe_version set number = number + 60 where household_id = ?", house.id());
    assertThat(page("/products/recipes/" + id)).contains("Older ones are kept");
    TestCluster.shared()
        .owner()
        .update(
            "update recipe_version set number = number - 60 where household_id = ?", house.id());
    assertThat(page("/products/recipes"))
        .contains("Ferry salve Make it salve for the body, hardness 16, version 2")
        .contains("Beeswax 20.3 %")
        .doesNotContain("15.4 %");

    String file =
        visit(keeper, "/products/recipes/" + id + "/1.json")
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(file)
        .contains("\"@type\" : \"HowTo\"")
        .contains("HowToSupply")
        .contains("\"unitCode\" : \"GRM\"")
        .contains("HowToStep");
    String read = read(file.getBytes(StandardCharsets.UTF_8));
    String back =
        visit(keeper, "/products/recipes/" + read.substring(read.lastIndexOf('/') + 1) + "/1.json")
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(back).isEqualTo(file);
  }

  private String read(byte[] bytes) throws Exception {
    return mvc.perform(
            multipart("/products/recipes")
                .file(new MockMultipartFile("recipe", "r.json", "application/json", bytes))
                .with(authentication(signedIn(keeper)))
                .with(csrf()))
        .andExpect(status().is3xxRedirection())
        .andReturn()
        .getResponse()
        .getRedirectedUrl();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "no json",
        "[]",
        "{\"@type\":\"Recipe\"}",
        "{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[]}",
        "{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[{\"name\":\"Dragon fat\",\"requiredQuantity\":{\"value\":3,\"unitCode\":\"GRM\"}}]}",
        "{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[{\"name\":\"Olive\",\"requiredQuantity\":{\"value\":-3,\"unitCode\":\"GRM\"}}]}",
        "{\"@type\":\"HowTo\",\"name\":\"x\",\"supply\":[{\"name\":\"Olive\",\"requiredQuantity\":{\"value\":3,\"unitCode\":\"ONZ\"}}]}"
      })
  void aFileThatIsNoRecipeIsRefusedWithWhatIsWrong(String text) throws Exception {
    mvc.perform(
            multipart("/products/recipes")
                .file(
                    new MockMultipartFile(
                        "recipe", "r.json", "application/json", text.getBytes("UTF-8")))
                .with(authentication(signedIn(keeper)))
                .with(csrf()))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("wrong-file")));
  }

  @Test
  void aForeignRecipeIsReadByItsNames() throws Exception {
    String link =
        read(
            ("{\"@context\":\"https://schema.org\",\"@type\":\"HowTo\",\"name\":\"Plain balm\","
                    + "\"supply\":[{\"@type\":\"HowToSupply\",\"name\":\"Olive\","
                    + "\"requiredQuantity\":{\"value\":0.1,\"unitCode\":\"KGM\"}},"
                    + "{\"name\":\"Beeswax\",\"requiredQuantity\":{\"value\":20}}]}")
                .getBytes(StandardCharsets.UTF_8));

    assertThat(page(link)).contains("Plain balm").contains("83.3 %").contains("16.7 %");
  }

  @Test
  void theSentenceIsScaledAndPartsExchanged() throws Exception {
    String code = bottled(40);
    List<String> fields = new ArrayList<>(List.of(salve(code, "50 ml", "10 g")));
    fields.addAll(List.of("to", "all"));
    String scaled =
        send(keeper, "/products/new/scale", fields.toArray(String[]::new))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(scaled).contains("value=\"137.3 g\"").contains("value=\"30 g\"");
    fields.addAll(List.of("part", "1", "instead", "wax:candelilla"));
    send(keeper, "/products/new/exchange", fields.toArray(String[]::new))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Candelilla wax")));
  }

  @Test
  void aVersionSaysWhatChangedAndOneThatChangesNothingIsRefused() throws Exception {
    ProductRecord product = begun(salve(bottled(40), "60 ml", "10 g"));
    String link =
        send(keeper, "/products/" + product.code() + "/recipe", "name", "Ferry salve", "notes", "")
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    String revises = link.substring(link.lastIndexOf('/') + 1) + "-1";

    send(
            keeper,
            "/products/" + product.code() + "/recipe",
            "name",
            "Ferry salve",
            "revises",
            revises)
        .andExpect(redirectedUrl("/products/" + product.code() + "#recipe"))
        .andExpect(flash().attributeExists("typedRecipe"));
    send(
            keeper,
            "/products/" + product.code() + "/recipe",
            "name",
            "Crew salve",
            "revises",
            revises)
        .andExpect(status().is3xxRedirection());
    assertThat(page(link)).contains("Version 2").contains("now called Crew salve");
  }

  @ParameterizedTest
  @CsvSource({
    "'', '', A name of 1 to 120 letters",
    "#121, '', A name of 1 to 120 letters",
    "Salve, #2001, At most 2000 letters"
  })
  void aRecipeWithoutANameOrWithTooManyWordsIsRefused(String name, String notes, String said)
      throws Exception {
    ProductRecord product = begun(salve(bottled(40), "60 ml", "10 g"));

    Map<String, ?> flash =
        send(
                keeper,
                "/products/" + product.code() + "/recipe",
                "name",
                many(name),
                "notes",
                many(notes))
            .andExpect(redirectedUrl("/products/" + product.code() + "#recipe"))
            .andReturn()
            .getFlashMap();

    mvc.perform(
            get("/products/" + product.code())
                .with(authentication(signedIn(keeper)))
                .flashAttr("typedRecipe", flash.get("typedRecipe")))
        .andExpect(content().string(containsString(said)))
        .andExpect(content().string(containsString(many(name))))
        .andExpect(content().string(containsString(many(notes))));
    assertThat(page("/products/recipes")).contains("None yet");
  }

  private static String many(String typed) {
    return typed.startsWith("#") ? "x".repeat(Integer.parseInt(typed.substring(1))) : typed;
  }
}
