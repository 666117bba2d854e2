package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.core.batch.BottleGone;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.drawer.LotDetails;
import velvetcrock.core.drawer.LotTaken;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.drawer.Drawer;

/** The drawer a year ahead. */
class StockAheadPageTest extends BottleHouse {
  @Autowired Drawer drawer;

  private UUID herb(String key, double grams, int monthsOld) {
    LotDetails details =
        new LotDetails(
            LotDetails.Kind.HERB,
            key,
            "",
            new LotDetails.Plant(Part.FLOWER, Cut.CUT, HerbState.DRIED, null),
            LotDetails.Origin.FORAGED,
            "",
            new LotDetails.Dates(today().minusMonths(monthsOld), null, null, null),
            null,
            null);
    return as(keeper, () -> drawer.add(details, grams, "", null, UUID.randomUUID().toString()));
  }

  private String page() throws Exception {
    return visit(keeper, "/drawer/ahead")
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString()
        .replaceAll("<[^>]+>", " ")
        .replaceAll("\\s+", " ");
  }

  @Test
  void anEmptyDrawerHasNothingToDo() throws Exception {
    assertThat(page()).contains("Nothing: what there is lasts");
  }

  @Test
  void whatIsUsedUpIsSownGatheredAndBoughtAndWhatIsNotUsedIsUsedBeforeItSpoils() throws Exception {
    UUID yarrow = herb("yarrow", 130, 6);
    as(
        keeper,
        () ->
            drawer.append(
                yarrow, new LotTaken(100, "K7M"), null, null, UUID.randomUUID().toString()));
    herb("heather", 200, 9);
    herb("violet-leaf", 85, 15);

    assertThat(page())
        .contains("Buy")
        .contains("of yarrow")
        .contains("of fresh yarrow")
        .contains("Use or give away 200 g of heather tips before it spoils")
        .contains("Look at and smell 85 g of violet leaf: past its date")
        .contains("runs out")
        .contains("not used in the past year");
  }

  @Test
  void oilInBottlesRunsOutOrGoesOverToo() throws Exception {
    String drawn = bottled(40);
    log(drawn, new Drawn("A", 100, "100 ml", "salve"));
    log(drawn, new BottleGone("B", Ending.OTHER));

    assertThat(page())
        .contains("Yarrow in cold-pressed rapeseed")
        .contains("about 35 ml a month")
        .contains("Charge a jar for")
        .contains("a cold one is ready as the last is used");
  }
}
