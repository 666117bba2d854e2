package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.core.materia.Part;
import velvetcrock.kitchen.Catalogues;

/** A household's own herbs and oils, and figures that it knows better. */
class OwnFiguresTest extends AppTest {
  @Autowired Catalogues catalogues;

  private void herb(String like, String name, String water, String source) throws Exception {
    send(
            keeper,
            "/kitchen/catalogue/herbs",
            "herbLike",
            like,
            "herbName",
            name,
            "herbWater",
            water,
            "herbSource",
            source)
        .andExpect(redirectedUrl("/kitchen/catalogue"));
  }

  @Test
  void aBetterFigureIsReckonedWithAndTakenBack() throws Exception {
    send(
            keeper,
            "/kitchen/catalogue/oils",
            "oilLike",
            "olive",
            "oilDensity",
            "0,95",
            "oilSource",
            "weighed a litre")
        .andExpect(redirectedUrl("/kitchen/catalogue"));

    assertThat(as(keeper, () -> catalogues.current().carrier("olive")).density20()).isEqualTo(0.95);
    assertThat(as(keeper, () -> catalogues.current().carrier("olive")).keepsMonths()).isEqualTo(18);
    visit(keeper, "/bench?herb=yarrow&carrier=olive&amount=60+g").andExpect(status().isOk());

    var id = as(keeper, () -> catalogues.ownCarriers().get(0).id());
    send(keeper, "/kitchen/catalogue/" + id + "/shipped")
        .andExpect(redirectedUrl("/kitchen/catalogue"));
    assertThat(as(keeper, () -> catalogues.current().carrier("olive")).density20())
        .isEqualTo(0.913);
  }

  @Test
  void aHerbOfOnesOwnStandsOnTheBenchAndNobodyElseSeesIt() throws Exception {
    herb("yarrow", "Sea aster", "84", "dried a handful");
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Una");

    as(
        stranger,
        () -> {
          households.furnish();
          return null;
        });

    visit(keeper, "/bench").andExpect(content().string(containsString("Sea aster")));
    visit(stranger, "/bench").andExpect(content().string(not(containsString("Sea aster"))));
    var aster = as(keeper, () -> catalogues.current().herb("own-sea-aster"));
    assertThat(aster.waterFresh()).isEqualTo(0.84);
    assertThat(aster.bestPart()).isEqualTo(Part.FLOWER);
    assertThat(aster.cautions()).contains("daisy-family");
  }

  @Test
  void sayingItAgainReplacesTheFigure() throws Exception {
    herb("yarrow", "", "70", "first guess");
    herb("yarrow", "", "78", "weighed");

    assertThat(as(keeper, () -> catalogues.ownHerbs())).hasSize(1);
    assertThat(as(keeper, () -> catalogues.current().herb("yarrow")).waterFresh()).isEqualTo(0.78);
  }

  @Test
  void aHerbOfOnesOwnIsNotTakenAwayFromBatchesThatHoldIt() throws Exception {
    herb("yarrow", "Ångström’s weed", "84", "dried a handful");
    var id = as(keeper, () -> catalogues.ownHerbs().get(0).id());

    send(keeper, "/kitchen/catalogue/" + id + "/shipped");

    assertThat(as(keeper, () -> catalogues.current().herb("own-angstrom-s-weed")).name())
        .isEqualTo("Ångström’s weed");
  }

  @ParameterizedTest
  @CsvSource({
    "herbs, herbLike, foxglove, foxglove",
    "herbs, herbWater, 150, not a number",
    "herbs, herbWater, much, not a number",
    "herbs, herbSource, '', Say where",
    "oils, oilDensity, 2, not a number",
    "oils, oilMonths, -1, not a number"
  })
  void whatCannotBeIsSaidAtItsFieldAndKept(String what, String field, String typed, String said)
      throws Exception {
    String prefix = what.equals("herbs") ? "herb" : "oil";
    String like = what.equals("herbs") ? "yarrow" : "olive";
    send(
            keeper,
            "/kitchen/catalogue/" + what,
            prefix + "Like",
            field.endsWith("Like") ? typed : like,
            field.endsWith("Like") ? prefix + "Name" : field,
            field.endsWith("Like") ? "Sea aster" : typed,
            field.endsWith("Source") ? prefix + "Name" : prefix + "Source",
            field.endsWith("Source") ? "Sea aster" : "weighed")
        .andExpect(status().is(422))
        .andExpect(content().string(containsString(said)));
    assertThat(as(keeper, () -> catalogues.ownHerbs())).isEmpty();
    assertThat(as(keeper, () -> catalogues.ownCarriers())).isEmpty();
  }
}
