package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.Looked;

/** The round on its own page: done, put off, skipped, timed. */
class RoundTest extends AppTest {

  private String html() throws Exception {
    return visit(keeper, "/round").andReturn().getResponse().getContentAsString();
  }

  private String round() throws Exception {
    return html().replaceAll("<[^>]+>", " ").replaceAll("\\s+", " ");
  }

  private void say(String what, String code, String task, String... more) throws Exception {
    String[] fields = new String[6 + more.length];
    fields[0] = "subject";
    fields[1] = code;
    fields[2] = "task";
    fields[3] = task;
    fields[4] = "key";
    fields[5] = UUID.randomUUID().toString();
    System.arraycopy(more, 0, fields, 6, more.length);
    send(keeper, "/round/" + what, fields).andExpect(redirectedUrl("/round"));
  }

  @Test
  void whatCannotWaitComesFirstAndThenThePlacesInWalkingOrder() throws Exception {
    String late = charge(60);
    String young = charge(2);
    as(keeper, () -> acts.append(young, new AllWell(), null, null, "well" + young));
    String page = round();

    assertThat(page).doesNotContain("Before all else");
    as(
        keeper,
        () ->
            acts.append(
                young, new Looked(false, null, null, null, null, null), null, null, "out" + young));
    page = round();
    assertThat(page.indexOf("Before all else")).isPositive().isLessThan(page.indexOf(young));
    assertThat(page).contains("One cannot wait").contains("Dark cupboard: ");
    assertThat(page.indexOf("When you have time")).isLessThan(page.lastIndexOf(late));
    assertThat(page).contains("Strain").contains("over");
  }

  private String field(String name) throws Exception {
    Matcher value = Pattern.compile("name=\"" + name + "\" value=\"([^\"]+)\"").matcher(html());
    assertThat(value.find()).isTrue();
    return value.group(1);
  }

  /** What stands together and wants the same is one line and one tap, which can be taken back. */
  @Test
  void jarsThatWantTheSameAreOneVisitAndOneTap() throws Exception {
    String one = charge(5);
    String other = charge(5);
    assertThat(field("codes")).contains(one).contains(other);
    assertThat(round())
        .contains("One thing, about 4 min")
        .containsOnlyOnce("Shake, look and smell");

    for (int twice = 0; twice < 2; twice++) {
      send(
              keeper,
              "/round/visit",
              "codes",
              one + "," + other,
              "acts",
              "SHAKEN,LOOKED,SMELLED",
              "keys",
              "k1,k2",
              "back",
              "round")
          .andExpect(redirectedUrl("/round"));
    }
    assertThat(round()).contains("Nothing wants doing. Come back tomorrow. ");
    for (String code : List.of(one, other)) {
      assertThat(as(keeper, () -> batches.log(batches.find(code)))).hasSize(2);
      assertThat(visit(keeper, "/batches/" + code).andReturn().getResponse().getContentAsString())
          .contains("Shaken, looked at and smelled");
    }
    String entries =
        List.of(one, other).stream()
            .map(code -> code + ":" + as(keeper, () -> lastEntry(code)))
            .collect(Collectors.joining(","));
    send(keeper, "/round/visit/undo", "entries", entries, "back", "shelf")
        .andExpect(redirectedUrl("/"));
    assertThat(round()).contains("Shake, look and smell");
  }

  private UUID lastEntry(String code) {
    var log = batches.log(batches.find(code));
    return log.get(log.size() - 1).entry().id();
  }

  @Test
  void aTickOfAJarAndAJarThatIsNotThereLogsNeither() throws Exception {
    String code = charge(5);
    send(
            keeper,
            "/round/visit",
            "codes",
            code + ",Z9Z",
            "acts",
            "SHAKEN",
            "keys",
            "k1,k2",
            "back",
            "round")
        .andExpect(status().isNotFound());
    assertThat(round()).contains(code);
    send(keeper, "/round/visit", "codes", code, "acts", "", "keys", "k3")
        .andExpect(status().isUnprocessableContent());
    send(keeper, "/round/visit", "codes", "", "acts", "SHAKEN", "keys", "")
        .andExpect(status().isUnprocessableContent());
  }

  /** Half an hour at the cloth is no part of a walk of five minutes. */
  @Test
  void workToSitDownToIsNoPartOfTheWalk() throws Exception {
    String code = charge(30);
    as(keeper, () -> acts.append(code, new AllWell(), null, null, "well" + code));

    assertThat(round())
        .contains("Nothing wants doing")
        .containsPattern("When you have time.*Strain *about 30 min");
  }

  @Test
  void aJarIsLeftLongerUntilADayForAReason() throws Exception {
    String code = charge(30);
    String page =
        send(
                keeper,
                "/batches/" + code + "/log",
                "kind",
                "left-longer",
                "until",
                "last week",
                "reason",
                "its colour still moves")
            .andExpect(status().isUnprocessableContent())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page).contains("last week").contains("its colour still moves");

    send(
        keeper,
        "/batches/" + code + "/log",
        "kind",
        "left-longer",
        "until",
        "ten more days",
        "reason",
        "its colour still moves",
        "key",
        "left");
    assertThat(round()).doesNotContain("Strain");
    assertThat(visit(keeper, "/batches/" + code).andReturn().getResponse().getContentAsString())
        .contains("Left until")
        .contains("because “its colour still moves”");
  }

  @ParameterizedTest
  @CsvSource({"15, today|tomorrow", "180, today|tomorrow", "tomorrow, tomorrow"})
  void whatIsPutOffComesBack(String until, String back) throws Exception {
    String code = charge(30);
    say("put-off", code, "STRAIN", "until", until);

    assertThat(round())
        .containsPattern("Put off or skipped: 1.*" + code + " put off, back (" + back + ")");
    assertThat(round()).doesNotContain("Strain " + code);
  }

  @Test
  void whatIsSkippedSaysWhyAndCanBeHadBack() throws Exception {
    String code = charge(30);
    say(
        "skip",
        code,
        "STRAIN",
        "reason",
        "away with the ferry",
        "days",
        "1",
        "link",
        "/batches/" + code);

    assertThat(round()).contains("skipped: away with the ferry");
    assertThat(visit(keeper, "/journal").andReturn().getResponse().getContentAsString())
        .contains("away with the ferry");
    Matcher note = Pattern.compile("/round/([0-9a-f-]{36})/take-back").matcher(html());
    assertThat(note.find()).isTrue();
    send(keeper, "/round/" + note.group(1) + "/take-back").andExpect(redirectedUrl("/round"));
    assertThat(round()).doesNotContain("skipped:").contains("Strain");
  }

  @Test
  void aSkipWithoutAReasonIsRefusedAndWhatWasTypedStays() throws Exception {
    String code = charge(30);

    String page =
        send(keeper, "/round/skip", "subject", code, "task", "STRAIN", "days", "1", "reason", " ")
            .andExpect(status().isUnprocessableContent())
            .andReturn()
            .getResponse()
            .getContentAsString();
    assertThat(page).contains("Say why it is skipped");
    send(keeper, "/round/put-off", "subject", code, "task", "STRAIN", "until", "one day")
        .andExpect(status().isUnprocessableContent());
    send(keeper, "/round/timer", "minutes", "4000", "reason", "x")
        .andExpect(status().isUnprocessableContent());
  }

  @Test
  void aTimerRunsForEverybodyUntilItIsStopped() throws Exception {
    say("timer", "", "", "minutes", "30", "reason", "Dripping");

    assertThat(html()).containsPattern("data-seconds=\"1[78]\\d\\d\"").contains("Dripping");
    Matcher timer = Pattern.compile("/round/([0-9a-f-]{36})/take-back").matcher(html());
    assertThat(timer.find()).isTrue();
    Somebody other = new Somebody(house.id(), "Per");
    send(other, "/round/" + timer.group(1) + "/take-back").andExpect(redirectedUrl("/round"));
    assertThat(html()).doesNotContain("Dripping");
  }

  @Test
  void aSecondTapSaysNothingTwice() throws Exception {
    String code = charge(30);
    for (int i = 0; i < 2; i++) {
      send(keeper, "/round/put-off", "subject", code, "task", "STRAIN", "until", "60", "key", "tap")
          .andExpect(redirectedUrl("/round"));
    }
    assertThat(round()).contains("Put off or skipped: 1");
  }
}
