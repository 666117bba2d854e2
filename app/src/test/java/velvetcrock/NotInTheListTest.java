package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.kitchen.Catalogues;

/** What no list holds: asked for once, with what safety needs, and back into the sentence. */
class NotInTheListTest extends AppTest {
  @Autowired private Catalogues catalogues;

  private String page(String path) throws Exception {
    return visit(keeper, path).andReturn().getResponse().getContentAsString();
  }

  @Test
  void aHerbOfOnesOwnComesBackIntoTheSentenceThatItWasMissedIn() throws Exception {
    assertThat(page("/bench")).contains("/kitchen/own/HERB?field=");
    send(
            keeper,
            "/kitchen/own/HERB",
            "name",
            "Sea wormwood",
            "like",
            "yarrow",
            "edible",
            "unknown",
            "allergen",
            "unknown",
            "field",
            "herbs[0].herb",
            "back",
            "/bench?amount=30+g&herbs%5B0%5D.herb=yarrow")
        .andExpect(redirectedUrl("/bench?amount=30+g&herbs%5B0%5D.herb=own-sea-wormwood"));
    assertThat(as(keeper, () -> catalogues.current().herb("own-sea-wormwood")).name())
        .isEqualTo("Sea wormwood");
    assertThat(page("/bench?amount=30g&herbs[0].herb=own-sea-wormwood"))
        .containsPattern("(?s)value=\"own-sea-wormwood\"[^>]*selected");
  }

  @Test
  void anOilOfOnesOwnIsAnIngredientOfAProduct() throws Exception {
    send(
            keeper,
            "/kitchen/own/CARRIER",
            "name",
            "Own walnut",
            "like",
            "hazelnut",
            "edible",
            "yes",
            "allergen",
            "tree nut",
            "hazards",
            "none",
            "as",
            "carrier:",
            "field",
            "parts[0].thing",
            "back",
            "/products/new?making=SALVE")
        .andExpect(status().is3xxRedirection())
        .andExpect(
            redirectedUrl("/products/new?making=SALVE&parts%5B0%5D.thing=carrier:own-own-walnut"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"https://elsewhere", "//elsewhere", "/\\elsewhere", "", "javascript:x"})
  void itLeadsNowhereButIntoTheHouse(String back) throws Exception {
    send(keeper, "/kitchen/own/WAX", "name", "Bay wax", "like", "beeswax", "back", back)
        .andExpect(redirectedUrl("/kitchen/catalogue"));
  }

  @Test
  void withoutANameItIsRefusedAndWhatWasTickedStays() throws Exception {
    send(
            keeper,
            "/kitchen/own/HERB",
            "name",
            " ",
            "like",
            "heather",
            "edible",
            "no",
            "hazards",
            "hot",
            "back",
            "/bench?amount=1+cup")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("What is it called?")))
        .andExpect(content().string(containsString("/bench?amount=1+cup")));
  }

  /** A source is asked for where a figure was changed, and only there. */
  @Test
  void noSourceIsAskedForWhereNoFigureWasChanged() throws Exception {
    send(keeper, "/kitchen/catalogue/own/HERB", "like", "yarrow", "name", "White yarrow")
        .andExpect(status().is3xxRedirection());
    send(
            keeper,
            "/kitchen/catalogue/own/HERB",
            "like",
            "yarrow",
            "name",
            "",
            "figures[water]",
            "80")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("Say where the figure comes from")));
  }

  @Test
  void listsBeginWithWhatTheHouseUsesMost() throws Exception {
    visit(keeper, "/bench").andExpect(content().string(not(containsString("Used most here"))));
    charge(3);
    charge(4);
    String bench = page("/bench");
    assertThat(bench).contains("Used most here");
    assertThat(bench.indexOf("Used most here")).isLessThan(bench.indexOf("value=\"yarrow\""));
  }
}
