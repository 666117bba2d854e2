package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetcrock.core.batch.AllWell;

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

    assertThat(page).contains("Before all else");
    assertThat(page.indexOf("Before all else")).isLessThan(page.indexOf(late));
    assertThat(page).contains("Dark cupboard: ").contains("Strain").contains("over");
  }

  @Test
  void aTickLogsItAndLeadsBackToTheRound() throws Exception {
    String code = charge(1);
    Matcher key =
        Pattern.compile("name=\"key\" value=\"(round:" + code + "[^\"]*)\"").matcher(html());
    assertThat(key.find()).isTrue();

    send(
            keeper,
            "/batches/" + code + "/log",
            "kind",
            "all-well",
            "key",
            key.group(1),
            "back",
            "round")
        .andExpect(redirectedUrl("/round"));
    assertThat(round()).doesNotContain(code).contains("Nothing wants doing");
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
