package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.yield.Expression;
import velvetcrock.web.EnumWords;

/** Whom an oil is for is asked at the bench and stays with it to its label. */
class ForWhomTest extends BottleHouse {
  private String charged(Purpose purpose, String herb) throws Exception {
    String location =
        send(
                keeper,
                "/bench/charge",
                "jar",
                "jar-500",
                "amount",
                "20 g",
                "herbs[0].herb",
                herb,
                "herbs[0].cut",
                "CUT",
                "herbs[0].state",
                "DRIED",
                "oils[0].carrier",
                "olive",
                "use",
                purpose.name(),
                "bestBefore",
                today().plusMonths(9).toString(),
                "clean",
                "yes",
                "key",
                UUID.randomUUID().toString())
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    return location.replaceAll(".*/", "");
  }

  @ParameterizedTest
  @CsvSource({
    "SKIN, For the skin, skin",
    "FACE, For: face, face",
    "NURSING, For: skin of a nursing mother, wash it off",
    "OLDER_CHILD, For: skin of a child of six to twelve, child",
    "PREGNANCY, For: skin in pregnancy, ask before using",
    "KITCHEN, For eating, fridge",
  })
  void whatTheBenchWasToldTheBatchAndTheLabelTell(Purpose purpose, String label, String caution)
      throws Exception {
    String code = charged(purpose, purpose == Purpose.KITCHEN ? "rosemary" : "calendula");

    assertThat(as(keeper, () -> batches.find(code).state().charge().purpose())).isEqualTo(purpose);
    visit(keeper, "/bench?again=" + code).andExpect(status().isOk());
    log(code, new Strained(160, "160 ml", Expression.SQUEEZE, new Range(150, 170)));
    log(code, new Bottled(List.of(bottle("A", Store.Place.FRIDGE, Store.Antioxidant.NONE))));
    String page =
        visit(keeper, "/cellar/" + code + "/A/label")
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page).contains(label).containsIgnoringCase(caution);
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString(EnumWords.of(purpose))));
  }
}
