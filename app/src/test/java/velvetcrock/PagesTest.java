package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.allOf;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.materia.Catalogue;

/** What stands on the pages, beyond the path from herb to bottle. */
class PagesTest extends AppTest {
  private void say(String code, BatchEvent event) {
    as(keeper, () -> acts.append(code, event, null, null, UUID.randomUUID().toString()));
  }

  @Test
  void aSpoiledJarIsNotStrainedWithoutBeingToldSo() throws Exception {
    String code = charge(30);
    say(code, new Smelled(null, OffSmell.MUSTY));

    visit(keeper, "/batches/" + code + "/strain")
        .andExpect(content().string(containsString("A musty smell is mould")));
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("spoiled: throw it out")));
  }

  @Test
  void aJarThatIsNotCoveredIsDrawnAndReadAsSuch() throws Exception {
    String code = charge(2);
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("drawn to scale: herb to")))
        .andExpect(content().string(not(containsString("not covered by its oil"))));

    say(code, new Looked(false, null, null, null, null, null));

    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("not covered by its oil")));
    visit(keeper, "/").andExpect(content().string(containsString("not covered")));
  }

  @Test
  void aUsKitchenReadsCupsAndAMetricOneDoesNot() throws Exception {
    send(
            keeper,
            "/kitchen/settings",
            "household",
            "Test kitchen",
            "zone",
            "America/Chicago",
            "kitchen",
            "US")
        .andExpect(redirectedUrl("/kitchen"));

    visit(keeper, "/bench?amount=2+oz").andExpect(status().isOk());
    visit(keeper, "/kitchen").andExpect(content().string(containsString("America/Chicago")));
    assertThat(as(keeper, () -> households.current()).zone().getId()).isEqualTo("America/Chicago");
  }

  @ParameterizedTest
  @CsvSource({
    "household, '', Give it a name",
    "zone, Atlantis, not a time zone",
    "kitchen, TROY, Choose one of the list"
  })
  void settingsThatCannotBeAreSaidAtTheirField(String field, String typed, String said)
      throws Exception {
    send(
            keeper,
            "/kitchen/settings",
            "household",
            field.equals("household") ? typed : "Test kitchen",
            "zone",
            field.equals("zone") ? typed : "Europe/Oslo",
            "kitchen",
            field.equals("kitchen") ? typed : "US")
        .andExpect(status().is(422))
        .andExpect(content().string(containsString(said)));
    assertThat(as(keeper, () -> households.current()).zone().getId()).isEqualTo("Europe/Oslo");
  }

  @Test
  void thePlaceOfAJarDecidesWhereItIsShown() throws Exception {
    String code = charge(5);
    String window = as(keeper, () -> places.all().get(2).id().toString());

    send(keeper, "/batches/" + code + "/log", "kind", "moved", "place", window, "key", "m" + code)
        .andExpect(status().is3xxRedirection());

    visit(keeper, "/batches/" + code).andExpect(content().string(containsString("South window")));
    assertThat(as(keeper, () -> batches.find(code)).state().stand().place()).isEqualTo(window);
  }

  @Test
  void theDoorShowsAPlankAndNothingOfAnybodysKitchen() throws Exception {
    String code = charge(5);

    mvc.perform(get("/sign-in"))
        .andExpect(
            content()
                .string(
                    allOf(
                        containsString("From the herb in your hand"),
                        containsString("class=\"jar\""),
                        not(containsString(code)))));
  }

  @Test
  void whatIsNotThereIsNotFound() throws Exception {
    mvc.perform(get("/attic").with(authentication(signedIn(keeper))))
        .andExpect(status().isNotFound());
    visit(keeper, "/batches/ZZZ").andExpect(status().isNotFound());
    visit(keeper, "/cellar/ZZZ/A").andExpect(status().isNotFound());
  }

  @Test
  void theCataloguePageKnowsEveryHerbAndOil() throws Exception {
    String page =
        visit(keeper, "/kitchen/catalogue").andReturn().getResponse().getContentAsString();
    Catalogue shipped = Catalogue.shipped();

    shipped.herbs().forEach(h -> assertThat(page).contains(h.botanical()));
    shipped.carriers().forEach(c -> assertThat(page).contains(c.nature().chosenFor()));
    assertThat(page).contains("not for eating").contains("allergen: tree nut");
  }

  @Test
  void theTagCarriesWhatALidNeeds() throws Exception {
    String code = charge(0);

    visit(keeper, "/batches/" + code + "/tag")
        .andExpect(
            content()
                .string(
                    allOf(
                        containsString(code),
                        containsString("Yarrow"),
                        containsString("Achillea millefolium"),
                        containsString("apeseed"))));
  }

  @Test
  void longNotesStandInTheLogEscaped() throws Exception {
    String code = charge(3);
    String note = "<script>alert(1)</script> & " + "long ".repeat(300);

    send(keeper, "/batches/" + code + "/log", "kind", "note", "text", note, "key", "n" + code)
        .andExpect(status().is3xxRedirection());

    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("&lt;script&gt;alert(1)")))
        .andExpect(content().string(not(containsString("<script>alert"))));
  }
}
