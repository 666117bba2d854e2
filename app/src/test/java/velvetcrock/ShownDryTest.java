package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.matchesPattern;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;

/** Whether an oil has water in it, as it is asked and told on the pages. */
class ShownDryTest extends BottleHouse {
  private String freshInTheCrock() {
    LocalDate on = today().minusDays(2);
    return as(
        keeper,
        () -> {
          String place = places.all().get(0).id().toString();
          Charged charged =
              new Charged(
                  Method.CROCK,
                  List.of(
                      new HerbIn(
                          "yarrow",
                          Part.LEAF,
                          Cut.CUT,
                          HerbState.FRESH,
                          Range.exactly(80),
                          0.8,
                          "80 g")),
                  List.of(new OilIn("rapeseed", 1, on.plusMonths(11), null, null)),
                  new Charged.Oil(Range.exactly(600), ""),
                  new JarIn("Crock 1500 ml", 1500, 140),
                  12,
                  Use.SKIN,
                  new Stand(place, "Stove", Light.DARK),
                  new Charged.Begun(on, 0, false),
                  true,
                  new Manner(false, null, null, List.of("free-water")));
          return acts.charge(charged, UUID.randomUUID().toString()).code();
        });
  }

  private boolean wet(String code) {
    return new BatchReckoning(Catalogue.shipped(), as(keeper, () -> batches.find(code).state()))
        .wet();
  }

  private ResultActions signs(String code, String... fields) throws Exception {
    String[] all = new String[fields.length + 4];
    System.arraycopy(fields, 0, all, 4, fields.length);
    all[0] = "kind";
    all[1] = "oil-looked";
    all[2] = "key";
    all[3] = UUID.randomUUID().toString();
    return send(keeper, "/batches/" + code + "/log", all);
  }

  private ResultActions strain(String code, String... more) throws Exception {
    String[] all = new String[more.length + 6];
    System.arraycopy(more, 0, all, 6, more.length);
    System.arraycopy(
        new String[] {"amount", "320 ml", "expression", "DRIP", "key", "s" + code}, 0, all, 0, 4);
    all[4] = "key";
    all[5] = "s" + code;
    return send(keeper, "/batches/" + code + "/strain", all);
  }

  @Test
  void theThreeSignsAreAskedForOneByOneAndTakeTheStopAway() throws Exception {
    String code = freshInTheCrock();
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("No scale? All three signs together")))
        .andExpect(content().string(containsString("not looked at yet")));

    signs(code, "still", "yes", "warm", "64 C", "crispNow", "yes")
        .andExpect(redirectedUrl("/batches/" + code));
    assertThat(wet(code)).isTrue();
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("no bubble for 20 minutes, at 64")));

    strain(code, "nothing", "yes").andExpect(status().is3xxRedirection());
    assertThat(wet(code)).isTrue();
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("No water and no haze")))
        .andExpect(content().string(not(containsString("Vessel and all weigh"))));

    signs(code, "clear", "yes").andExpect(redirectedUrl("/batches/" + code));
    assertThat(wet(code)).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "still, , warm",
    "still, 900 C, warm",
    "still, hot, warm",
  })
  void noBubbleWantsATemperatureThatCanBe(String sign, String warm, String field) throws Exception {
    String code = freshInTheCrock();
    signs(code, sign, "yes", field, warm == null ? "" : warm)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("wrong-warm")));
    // a tick is not lost where something else is wrong
    signs(code, sign, "yes", "crispNow", "yes", field, warm == null ? "" : warm)
        .andExpect(
            content()
                .string(
                    matchesPattern(
                        "(?s).*name=\"crispNow\" value=\"yes\"\\s+checked=\"checked\".*")));
    signs(code).andExpect(status().isUnprocessableContent());
    signs(code, "clear", "yes", "water", "yes").andExpect(status().isUnprocessableContent());
    assertThat(wet(code)).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"layer", "cloudy", "rising"})
  void strainedEarlyItIsAskedWhatIsSeenAndThatGoesOnToTheLabel(String saw) throws Exception {
    String code = charge(3);
    visit(keeper, "/batches/" + code + "/strain")
        .andExpect(content().string(containsString("What do you see in the oil?")));
    strain(code, saw, "yes", "nothing", "yes").andExpect(status().isUnprocessableContent());

    strain(code, saw, "yes").andExpect(status().is3xxRedirection());
    assertThat(wet(code)).isTrue();
    visit(keeper, "/batches/" + code).andExpect(content().string(containsString("14 days")));
  }

  @Test
  void inItsTimeAndOfDriedHerbNobodyIsAsked() throws Exception {
    String code = charge(35);

    visit(keeper, "/batches/" + code + "/strain")
        .andExpect(content().string(not(containsString("What do you see in the oil?"))));
  }
}
