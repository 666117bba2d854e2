package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.colour.Rgb;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;
import velvetcrock.kitchen.Catalogues;

/** Colours of three jars teach how fast a herb gives here; it moves the pull and the window. */
class SpeedLearnedTest extends BottleHouse {
  private static final Speed.HerbInOil YARROW =
      new Speed.HerbInOil("yarrow", Part.FLOWER, Cut.CUT, "rapeseed", null);

  @Autowired Catalogues catalogues;

  /** A jar whose colour is nearly done after a week: much faster than is reckoned. */
  private String fastJar() {
    String code = charge(40);
    Instant charged = Instant.now().minus(39, ChronoUnit.DAYS);
    double[] days = {2, 5, 9, 16, 28};
    double[] shares = {0.45, 0.78, 0.93, 0.99, 1};
    colour(code, charged, 0, 0, true);
    for (int i = 0; i < days.length; i++) {
      colour(code, charged, days[i], shares[i], false);
    }
    return code;
  }

  private void colour(String code, Instant charged, double days, double share, boolean plain) {
    int red = (int) Math.round(225 - 90 * share);
    int green = (int) Math.round(205 - 60 * share);
    int blue = (int) Math.round(120 - 90 * share);
    Coloured look =
        new Coloured(Rgb.of(String.format("#%02x%02x%02x", red, green, blue)), plain, null);
    Instant at = charged.plus(Math.round(days * 24), ChronoUnit.HOURS);
    as(keeper, () -> acts.append(code, look, at, null, UUID.randomUUID().toString()));
  }

  private Speed speed() {
    return as(keeper, () -> catalogues.current().speed(YARROW));
  }

  @Test
  void threeJarsMoveItAndThePagesSayByWhatAndHowFar() throws Exception {
    fastJar();
    String second = fastJar();
    assertThat(speed().jars()).isEqualTo(2);
    assertThat(speed().moves()).isFalse();
    visit(keeper, "/batches/" + second)
        .andExpect(content().string(not(containsString("jars of yours make it"))));
    visit(keeper, "/kitchen/catalogue/sure/HERBS/yarrow")
        .andExpect(
            content()
                .string(
                    containsString(
                        "the colours of 2 jars of yours, of the 3 jars or trials that it takes to move what is said to be extracted")));

    String third = fastJar();
    assertThat(speed().moves()).isTrue();
    assertThat(speed().factor()).isGreaterThan(1.3);
    visit(keeper, "/batches/" + third)
        .andExpect(content().string(containsString("the colours of 3 jars of yours make it")));
    visit(keeper, "/kitchen/catalogue/sure/HERBS/yarrow")
        .andExpect(content().string(containsString("the colours of 3 jars of yours make it")));
    double usual = window(third);
    assertThat(usual).isLessThan(30);

    // a correction takes its lesson back
    UUID entry =
        as(
            keeper,
            () ->
                batches.log(batches.find(third)).stream()
                    .filter(l -> l.entry().event() instanceof Coloured c && !c.plain())
                    .skip(2)
                    .findFirst()
                    .orElseThrow()
                    .entry()
                    .id());
    as(keeper, () -> acts.undo(third, entry));
    assertThat(speed().jars()).isEqualTo(3);
  }

  private double window(String code) {
    return as(
        keeper,
        () ->
            new velvetcrock.core.jar.BatchReckoning(
                    catalogues.current(), batches.find(code).state())
                .window(java.time.ZoneId.of("Europe/London"))
                .usual());
  }
}
