package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Wax;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.OwnKind;

/** A household's own herbs and oils, and figures that it knows better. */
class OwnFiguresTest extends AppTest {
  @Autowired Catalogues catalogues;

  private void own(OwnKind kind, String like, String name, String figure, String value)
      throws Exception {
    send(
            keeper,
            "/kitchen/catalogue/own/" + kind,
            "like",
            like,
            "name",
            name,
            "figures[" + figure + "]",
            value,
            "source",
            "weighed")
        .andExpect(redirectedUrl("/kitchen/catalogue"));
  }

  private Catalogue catalogue() throws Exception {
    return as(keeper, () -> catalogues.current());
  }

  @Test
  void aBetterFigureIsReckonedWithAndTakenBack() throws Exception {
    own(OwnKind.CARRIER, "olive", "", "density", "0,95");

    assertThat(catalogue().carrier("olive").body().density20()).isEqualTo(0.95);
    assertThat(catalogue().carrier("olive").keepsMonths()).isEqualTo(18);
    visit(keeper, "/bench?herb=yarrow&carrier=olive&amount=60+g").andExpect(status().isOk());

    var id = as(keeper, () -> catalogues.own().get(0).id());
    send(keeper, "/kitchen/catalogue/" + id + "/shipped")
        .andExpect(redirectedUrl("/kitchen/catalogue"));
    assertThat(catalogue().carrier("olive").body().density20()).isEqualTo(0.913);
  }

  @Test
  void aHerbOfOnesOwnStandsOnTheBenchAndNobodyElseSeesIt() throws Exception {
    own(OwnKind.HERB, "yarrow", "Sea aster", "water", "84");
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Una");

    as(
        stranger,
        () -> {
          places.furnish();
          return null;
        });

    visit(keeper, "/bench").andExpect(content().string(containsString("Sea aster")));
    visit(stranger, "/bench").andExpect(content().string(not(containsString("Sea aster"))));
    Herb aster = catalogue().herb("own-sea-aster");
    assertThat(aster.waterFresh()).isEqualTo(0.84);
    assertThat(aster.bestPart()).isEqualTo(Part.FLOWER);
    assertThat(aster.cautions()).contains("own-unknown").doesNotContain("daisy-family");
  }

  @Test
  void waxesPowdersAndEssentialOilsCanBeOnesOwnToo() throws Exception {
    own(OwnKind.WAX, "beeswax", "Skep wax", "hardness", "94");
    own(OwnKind.POWDER, "starch", "Arrowroot", "bulk", "0.60");
    own(OwnKind.ESSENTIAL_OIL, "lavender", "", "ceiling", "3");
    own(OwnKind.ESSENTIAL_OIL, "lemon", "Yuzu expressed", "ceiling", "1.5");
    own(OwnKind.CARRIER, "shea", "", "hardness", "16");

    Wax skep = catalogue().wax("own-skep-wax");
    assertThat(skep.hardness()).isEqualTo(94);
    assertThat(skep.meltsC()).isEqualTo(63);
    assertThat(catalogue().powder("own-arrowroot").bulkRange().high())
        .isEqualTo(0.78, within(1e-9));
    assertThat(catalogue().essentialOil("lavender").ceiling()).hasValue(3);
    assertThat(catalogue().essentialOil("own-yuzu-expressed").sun()).isTrue();
    assertThat(catalogue().carrier("shea").hardness()).isEqualTo(16);
    visit(keeper, "/kitchen/catalogue")
        .andExpect(content().string(containsString("hardness in a balm 94; weighed")));
  }

  @Test
  void sayingItAgainReplacesTheFigure() throws Exception {
    own(OwnKind.HERB, "yarrow", "", "water", "70");
    own(OwnKind.HERB, "yarrow", "", "water", "78");

    assertThat(as(keeper, () -> catalogues.own())).hasSize(1);
    assertThat(catalogue().herb("yarrow").waterFresh()).isEqualTo(0.78);
  }

  @Test
  void aHerbOfOnesOwnIsNotTakenAwayFromBatchesThatHoldIt() throws Exception {
    own(OwnKind.HERB, "yarrow", "Ångström’s weed", "water", "84");
    var id = as(keeper, () -> catalogues.own().get(0).id());

    send(keeper, "/kitchen/catalogue/" + id + "/shipped");

    assertThat(catalogue().herb("own-angstrom-s-weed").name()).isEqualTo("Ångström’s weed");
  }

  @ParameterizedTest
  @CsvSource({
    "HERB, like, foxglove, Choose the herb",
    "HERB, part, petal, Choose a part",
    "HERB, figures[water], 150, not a number",
    "HERB, figures[water], much, not a number",
    "HERB, source, '', Say where",
    "HERB, figures[water], '', Give it another name",
    "CARRIER, figures[density], 2, not a number",
    "CARRIER, figures[months], -1, not a number",
    "WAX, figures[hardness], 900, not a number",
    "POWDER, figures[bulk], NaN, not a number",
    "ESSENTIAL_OIL, figures[ceiling], 101, not a number"
  })
  void whatCannotBeIsSaidAtItsFieldAndKept(OwnKind kind, String field, String typed, String said)
      throws Exception {
    Map<String, String> form = new LinkedHashMap<>();
    form.put("like", kind.shipped(catalogues.shipped()).get(0).key());
    form.put("figures[" + kind.figures().get(0).key() + "]", "50");
    form.put("source", "weighed");
    form.put(field, typed);
    send(
            keeper,
            "/kitchen/catalogue/own/" + kind,
            form.entrySet().stream()
                .flatMap(e -> Stream.of(e.getKey(), e.getValue()))
                .toArray(String[]::new))
        .andExpect(status().is(422))
        .andExpect(content().string(containsString(said)));
    assertThat(as(keeper, () -> catalogues.own())).isEmpty();
  }

  @Test
  void aScriptOfTheHouseholdReckonsWithItsFiguresAndAnybodyElseWithTheShippedOnes()
      throws Exception {
    own(OwnKind.ESSENTIAL_OIL, "lavender", "", "ceiling", "0.5");
    String drops =
        "{\"drops\":[{\"oil\":\"lavender\",\"count\":10}],\"volumeMl\":60,\"use\":\"body\"}";

    mvc.perform(reckon(drops)).andExpect(jsonPath("$.each[0].ceilingPercent").value(2));
    mvc.perform(reckon(drops).with(authentication(signedIn(keeper))))
        .andExpect(jsonPath("$.each[0].ceilingPercent").value(0.5));
  }

  private static MockHttpServletRequestBuilder reckon(String drops) {
    return post("/api/v1/reckon/drops").contentType("application/json").content(drops);
  }
}
