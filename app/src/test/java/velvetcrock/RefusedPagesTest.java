package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;

/** What was refused is told once at the top, with the field that it belongs to. */
class RefusedPagesTest extends AppTest {
  private Document refused(String path, String... fields) throws Exception {
    return Jsoup.parse(
        send(keeper, path, fields)
            .andExpect(status().isUnprocessableContent())
            .andReturn()
            .getResponse()
            .getContentAsString());
  }

  @Test
  void everyFormTellsItAtTheTop() throws Exception {
    String code = charge(9);
    Document strain = refused("/batches/" + code + "/strain", "amount", "a lot of it");
    assertThat(strain.select("#refused [data-field=amount]").text()).contains("lot of it");
    Document log = refused("/batches/" + code + "/log", "kind", "topped-up", "amount", "");
    assertThat(log.select("#refused a")).hasSize(1);
    assertThat(log.select("#refused p").text()).isEqualTo("One thing to put right:");
    Document kitchen = refused("/kitchen/jars", "jarName", "", "water", "a lot", "height", "tall");
    assertThat(kitchen.select("#refused a").size()).isGreaterThan(2);
  }

  @Test
  void aPageThatWasOnlyVisitedTellsNothing() throws Exception {
    Document page =
        Jsoup.parse(visit(keeper, "/kitchen").andReturn().getResponse().getContentAsString());
    assertThat(page.select("#refused a")).isEmpty();
  }

  @Test
  void aFieldOfOneValueIsSentOnceAndWhatCannotBeKeptIsRefusedAtIt() throws Exception {
    String log = "/batches/" + charge(3) + "/log";
    String twice =
        send(keeper, log + "?key=b", "kind", "shaken", "key", "a")
            .andExpect(status().isBadRequest())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(twice).contains("“key”");
    String nul =
        send(keeper, log, "kind", "note", "words", "a\0b", "key", "c")
            .andExpect(status().isBadRequest())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(nul).contains("“words”").contains("cannot be kept");
  }
}
