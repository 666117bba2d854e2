package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.not;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import velvetcrock.batch.BatchReadings;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.HeatAnswer;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.batch.ThrownOut;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.ThermalPot;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.kitchen.Appliances;

/** The stove as its pages and its doors show it. */
class StoveTest extends AppTest {
  @Autowired BatchReadings readings;
  @Autowired Appliances appliances;

  private final Instant now = Instant.now().truncatedTo(ChronoUnit.SECONDS);
  private String code;

  @BeforeEach
  void aWarmPot() {
    code = warm(Method.WARM);
  }

  @Test
  void aBatchToBeDrawnWarmWaitsOnTheStove() throws Exception {
    visit(keeper, "/stove")
        .andExpect(content().string(containsString(code)))
        .andExpect(content().string(containsString("not on the heat")))
        .andExpect(content().string(containsString("38–50 °C, never above 90 °C")));
    visit(keeper, "/stove/" + code).andExpect(content().string(containsString("It is on")));
  }

  @Test
  void readByHandItShowsItsTemperatureInTheHouseholdsDegrees() throws Exception {
    putOn("ELECTRIC_PLATE", "1", 10);
    stove("kind", "read", "temperature", "43 C");
    visit(keeper, "/stove/now")
        .andExpect(jsonPath("$[0].temperature").value("43.0"))
        .andExpect(jsonPath("$[0].mood").value("in"))
        .andExpect(jsonPath("$[0].source").value("Read by hand, just now"));

    send(
            keeper,
            "/kitchen/settings",
            "household",
            "Test kitchen",
            "zone",
            "Europe/Oslo",
            "degrees",
            "FAHRENHEIT")
        .andExpect(status().is3xxRedirection());
    visit(keeper, "/stove/now")
        .andExpect(jsonPath("$[0].temperature").value("109.4"))
        .andExpect(jsonPath("$[0].unit").value("°F"));
    // without a letter it is the household's own
    send(keeper, "/stove/" + code + "/log", "kind", "read", "temperature", "113", "key", "x")
        .andExpect(status().is3xxRedirection());
    send(keeper, "/stove/" + code + "/log", "kind", "read", "temperature", "warm", "key", "y")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("is between 140 and 167 °F: what a dial says")));
    send(keeper, "/stove/" + code + "/log", "kind", "read", "temperature", "hot", "key", "z")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("such as 43 C or 110 F")));
  }

  @Test
  void withoutAThermometerTheCourseIsAssumedAndSaysSo() throws Exception {
    putOn("SLOW_COOKER", "warm", 300);
    visit(keeper, "/stove/now")
        .andExpect(
            jsonPath(
                "$[0].source", containsString("Estimated from the dial and by hand, ±\u00a08")))
        .andExpect(jsonPath("$[0].alarm").value(false))
        .andExpect(jsonPath("$[0].moodWords").value("likely too hot"));
    visit(keeper, "/stove/" + code + "/trace")
        .andExpect(jsonPath("$.assumed[0]").isNumber())
        .andExpect(jsonPath("$.read[0]").doesNotExist());

    stove("kind", "felt", "felt", "COMFORTABLE");
    visit(keeper, "/stove/now").andExpect(jsonPath("$[0].temperature").value("40"));
    assertThat(state().heat().felt()).hasSize(1);
  }

  @Test
  void everyReadingAboveTheCeilingIsLoggedOnceAndAnswered() throws Exception {
    putOn("GAS_RING", "medium", 60);
    probe(i -> i < 20 ? 85.0 : 94.0, 48);
    assertThat(state().heat().excursions()).hasSize(1);
    assertThat(state().heat().excursions().get(0).to()).isNull();
    visit(keeper, "/stove/now")
        .andExpect(jsonPath("$[0].alarm").value(true))
        .andExpect(jsonPath("$[0].moodWords").value("above its ceiling"))
        .andExpect(jsonPath("$[0].say", containsString("Turn it down")));

    probe(i -> 80.0, 50, 48);
    BatchState.Excursion hot = state().heat().excursions().get(0);
    assertThat(state().heat().excursions()).hasSize(1);
    assertThat(hot.to()).isNotNull();
    assertThat(hot.peakC()).isEqualTo(94);

    visit(keeper, "/stove/" + code).andExpect(content().string(containsString("Turned down")));
    stove("kind", "answer", "from", hot.from().toString(), "answer", "TURNED_DOWN");
    assertThat(state().heat().excursions().get(0).answer()).isEqualTo(HeatAnswer.TURNED_DOWN);
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("Ran hot: up to 94 °C")))
        .andExpect(content().string(containsString("Answered: turned down")));
  }

  /** Up and down again in one parcel, late, out of order, by file, twice: it is in the log once. */
  @Test
  void timeAboveTheCeilingIsLoggedWhateverDoorAndOrderItComesBy() throws Exception {
    putOn("GAS_RING", "medium", 60);
    probe(i -> 85.0, 4);
    visit(keeper, "/stove/now");
    add(halfMinutes(5, 25, i -> i > 8 && i < 20 ? 94.0 : 85.0));
    assertThat(state().heat().excursions()).hasSize(1);
    assertThat(state().heat().excursions().get(0).to()).isNotNull();

    add(List.of(new Reading(now.minusSeconds(36 * 30 + 7), 99)));
    assertThat(state().heat().excursions()).hasSize(1);
    assertThat(state().heat().excursions().get(0).peakC()).isEqualTo(99);

    StringBuilder csv = new StringBuilder("time,celsius\n");
    halfMinutes(30, 50, i -> i < 44 ? 93.0 : 80.0)
        .forEach(r -> csv.append(r.at()).append(',').append(r.celsius()).append('\n'));
    byte[] late = csv.toString().getBytes(StandardCharsets.UTF_8);
    report(file("late.csv", late));
    await().untilAsserted(() -> assertThat(state().heat().excursions()).hasSize(2));
    send(keeper, "/stove/" + code + "/imports/" + as(keeper, () -> importsOf().get(0)) + "/undo");
    assertThat(state().heat().excursions()).hasSize(1);
    report(file("late.csv", late));
    await().untilAsserted(() -> assertThat(state().heat().excursions()).hasSize(2));
  }

  /** Forty at once, in whatever order they get there: the log says what it would of one by one. */
  @Test
  void manyThatReadAtOnceLeadToTheSameLog() throws Exception {
    putOn("GAS_RING", "medium", 60);
    List<Callable<Void>> each =
        halfMinutes(0, 40, i -> i >= 10 && i < 30 ? 91.0 + i / 10 : 80.0).stream()
            .<Callable<Void>>map(
                reading ->
                    () -> {
                      add(List.of(reading));
                      return null;
                    })
            .toList();
    ExecutorService threads = Executors.newFixedThreadPool(each.size());
    try {
      for (Future<Void> done : threads.invokeAll(each)) {
        done.get();
      }
    } finally {
      threads.shutdown();
    }
    await()
        .untilAsserted(
            () ->
                assertThat(state().heat().excursions())
                    .singleElement()
                    .matches(hot -> hot.to() != null && hot.peakC() == 93)
                    .matches(hot -> between(hot.from(), 9, 10) && between(hot.to(), 29, 30)));
    assertThat(stored()).isEqualTo(40);
  }

  private boolean between(Instant at, int from, int to) {
    return !at.isBefore(now.minusSeconds((50 - from) * 30L + 1))
        && !at.isAfter(now.minusSeconds((50 - to) * 30L));
  }

  /** One that its log cannot take leaves its neighbours as they are. */
  @Test
  void aRefusedEntryRollsBackNoNeighbour() throws Exception {
    putOn("GAS_RING", "medium", 60);
    Instant gone = now.minusSeconds(28 * 30);
    as(keeper, () -> acts.append(code, new ThrownOut(Ending.SPILLED), gone, null, "gone"));
    add(halfMinutes(0, 50, i -> i < 2 || i > 20 && i < 25 ? 80.0 : 94.0));
    assertThat(stored()).isEqualTo(50);
    assertThat(state().heat().excursions()).hasSize(1);
  }

  private List<Reading> halfMinutes(int from, int to, Course course) {
    return IntStream.range(from, to)
        .mapToObj(i -> new Reading(now.minusSeconds((50 - i) * 30L), course.at(i)))
        .toList();
  }

  @Test
  void aBathNearBoilingAndAFryingPotAndSpiritOnAFlameAreStopped() throws Exception {
    send(
        keeper,
        "/stove/" + code + "/log",
        "kind",
        "put-on",
        "appliance",
        "GAS_RING",
        "setting",
        "medium",
        "bathName",
        "Big pan",
        "bathWidth",
        "22",
        "bathDepth",
        "6",
        "watts",
        "150",
        "key",
        "on");
    stove("kind", "read", "temperature", "92 C");
    visit(keeper, "/stove")
        .andExpect(content().string(containsString("its water bath near boiling")));
    stove("kind", "read", "temperature", "104 C", "happened", local(now.minusSeconds(60)));
    visit(keeper, "/stove/now").andExpect(jsonPath("$[0].alarm").value(true));
  }

  @Test
  void oneJugFillsTheBathForAllThatStandInIt() throws Exception {
    String other = warm(Method.WARM);
    for (String each : List.of(code, other)) {
      send(
          keeper,
          "/stove/" + each + "/log",
          "kind",
          "put-on",
          "appliance",
          "ELECTRIC_PLATE",
          "setting",
          "1",
          "bathName",
          each.equals(code) ? "Big pan" : "big PAN",
          "bathWidth",
          "22",
          "bathDepth",
          "6",
          "watts",
          "50",
          "happened",
          local(now.minusSeconds(1200)),
          "key",
          "on" + each);
    }
    visit(keeper, "/").andExpect(content().string(containsString("Top up the bath")));
    visit(keeper, "/stove/now").andExpect(jsonPath("$[0].alarm").value(true));
    stove("kind", "bath");
    for (String each : List.of(code, other)) {
      Instant filled =
          as(keeper, () -> batches.find(each).state().heat().now().orElseThrow().filledAt());
      assertThat(filled).isAfter(now.minusSeconds(60));
    }
    visit(keeper, "/").andExpect(content().string(not(containsString("Top up the bath"))));
  }

  @Test
  void aSilentProbeIsAnAlarmAndItsGapStaysAGap() throws Exception {
    putOn("YOGHURT_MAKER", "on", 90);
    List<Reading> early = new ArrayList<>();
    for (int i = 0; i <= 60; i++) {
      early.add(new Reading(now.minusSeconds(80 * 60 - i * 20L), 43));
    }
    add(early);
    visit(keeper, "/stove/now")
        .andExpect(jsonPath("$[0].mood").value("silent"))
        .andExpect(jsonPath("$[0].alarm").value(true));
    add(List.of(new Reading(now.minusSeconds(1), 43)));
    visit(keeper, "/stove/" + code).andExpect(content().string(containsString("Not watched")));
    visit(keeper, "/stove/" + code + "/trace?columns=300")
        .andExpect(jsonPath("$.of").value(62))
        .andExpect(jsonPath("$.read[?(@ == null)]", hasSize(1)));
  }

  @Test
  void whatWarmTurnedOutToBeIsLearnedAndToldAtTheBench() throws Exception {
    putOn("SLOW_COOKER", "warm", 400);
    ThermalPot pot = new ThermalPot(Appliance.SLOW_COOKER, 20);
    pot.turn(Appliance.SLOW_COOKER.setting("warm"));
    List<Reading> read = new ArrayList<>();
    for (int minute = 0; minute < 395; minute++) {
      read.add(new Reading(now.minusSeconds((400 - minute) * 60L), pot.celsius()));
      pot.run(60);
    }
    add(read);
    assertThat(as(keeper, appliances::all).get(0).learned()).isEmpty();
    stove("kind", "off");

    Appliances.Learned learned = as(keeper, appliances::all).get(0).learned().get(0);
    assertThat(learned.setting()).isEqualTo("warm");
    assertThat(learned.settled().meanC()).isBetween(66.0, 69.0);
    visit(keeper, "/kitchen").andExpect(content().string(containsString("one run")));
    visit(keeper, "/bench?method=WARM")
        .andExpect(content().string(containsString("Your Slow cooker on warm")))
        .andExpect(content().string(containsString("too hot for this: not 43 °C")));
  }

  @Test
  void aTwoStageBatchIsCarriedToTheDarkAfterItsWarmStart() throws Exception {
    code = warm(Method.TWO_STAGE);
    putOn("ELECTRIC_PLATE", "1", 50);
    visit(keeper, "/").andExpect(content().string(containsString("Take it off the heat")));
    String dark = as(keeper, () -> places.one("Dark cupboard").id().toString());
    stove("kind", "off", "place", dark);
    assertThat(state().stand().name()).isEqualTo("Dark cupboard");
    assertThat(state().heat().now()).isEmpty();
    visit(keeper, "/stove")
        .andExpect(content().string(containsString("It has had its warm start")));
  }

  @Test
  void whatCannotBeIsSaidWhereItWasTyped() throws Exception {
    send(keeper, "/stove/" + code + "/log", "kind", "put-on", "appliance", "FORGE", "key", "a")
        .andExpect(status().isUnprocessableContent());
    send(
            keeper,
            "/stove/" + code + "/log",
            "kind",
            "put-on",
            "appliance",
            "OVEN",
            "setting",
            "50",
            "bathName",
            "Pan",
            "bathWidth",
            "wide",
            "bathDepth",
            "6",
            "watts",
            "150",
            "key",
            "b")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("is no length")))
        .andExpect(content().string(containsString("value=\"wide\"")));
    send(keeper, "/stove/" + code + "/log", "kind", "off", "key", "c")
        .andExpect(content().string(containsString("It is not on the heat")));
    send(keeper, "/stove/" + code + "/log", "kind", "dance", "key", "d")
        .andExpect(status().isUnprocessableContent());
    send(keeper, "/stove/" + code + "/log", "kind", "answer", "from", "then", "key", "e")
        .andExpect(status().isUnprocessableContent());
  }

  @Test
  void aFileIsReadToldLineByLineAndTakenBackAsAWhole() throws Exception {
    StringBuilder csv = new StringBuilder("time,temp °C\n");
    for (int i = 0; i < 300; i++) {
      csv.append(now.minusSeconds(7200 - i * 20L)).append(',');
      csv.append(i % 100 == 7 ? "ERR" : i > 200 && i < 240 ? "95.0" : "44.0").append('\n');
    }
    String page = report(file("log.csv", csv.toString().getBytes(StandardCharsets.UTF_8)));
    assertThat(page)
        .contains("Partly taken")
        .contains("297")
        .contains("“ERR” is not a temperature");
    // what follows from a file is done once it is stored
    await().atMost(Duration.ofSeconds(10)).until(() -> state().heat().excursions().size() == 1);
    visit(keeper, "/stove/now").andExpect(jsonPath("$[0].source", containsString("From a file")));

    String again = report(file("again.csv", csv.toString().getBytes(StandardCharsets.UTF_8)));
    assertThat(again).contains("There already");
    assertThat(stored()).isEqualTo(297);

    String first = as(keeper, () -> importsOf().get(1));
    send(keeper, "/stove/" + code + "/imports/" + first + "/undo");
    assertThat(stored()).isZero();
    assertThat(state().heat().excursions()).isEmpty();
    visit(keeper, "/stove/" + code + "/imports/" + first)
        .andExpect(content().string(containsString("Taken back")));
    send(keeper, "/stove/" + code + "/imports/" + first + "/undo")
        .andExpect(flash().attribute("problem", containsString("nothing of it")));
  }

  @Test
  void whatAFileDoesNotSayIsAskedBeforeAnythingIsTaken() throws Exception {
    code = charge(70);
    LocalDate month = today().minusDays(35);
    String day = String.format("%02d/06/%d", month.getMonthValue(), month.getYear());
    String csv = "when (date),temp\n%1$s 14:00,110\n%1$s 14:05,111\n".formatted(day);
    String asked = file("asks.csv", csv.getBytes(StandardCharsets.UTF_8));
    visit(keeper, asked)
        .andExpect(content().string(containsString("°C or °F?")))
        .andExpect(content().string(containsString("Which comes first")));
    send(keeper, asked + "/answer", "scale", "FAHRENHEIT");
    assertThat(stored()).isZero();
    send(keeper, asked + "/answer", "scale", "FAHRENHEIT", "order", "month");
    assertThat(report(asked)).contains("Taken").contains("°F, times of Europe/Oslo");
    assertThat(stored()).isEqualTo(2);
    assertThat(as(keeper, () -> readings.of(batches.find(code).id())).celsius(0))
        .isBetween(43.0, 44.0);
  }

  @Test
  void brokenFilesAreRefusedWholeAndTenThousandBadLinesAreCounted() throws Exception {
    byte[] binary = new byte[5000];
    new java.util.Random(3).nextBytes(binary);
    binary[9] = 0;
    assertThat(report(file("photo.csv", binary))).contains("Refused").contains("binary");
    assertThat(report(file("wrong.csv", "a,b\n1,2\n".getBytes(StandardCharsets.UTF_8))))
        .contains("Refused");
    String mixed =
        "time,temp °C\n" + now.minusSeconds(120) + ",43\n" + now.minusSeconds(60) + ",109.5\n";
    assertThat(report(file("mixed.csv", mixed.getBytes(StandardCharsets.UTF_8))))
        .contains("°C and °F are mixed");

    StringBuilder bad = new StringBuilder("time,temp °C\n");
    for (int i = 0; i < 10_000; i++) {
      bad.append("yesterday,").append(i).append('\n');
    }
    assertThat(report(file("bad.csv", bad.toString().getBytes(StandardCharsets.UTF_8))))
        .contains("Not one line could be read")
        .contains("10000");
    bad.append(now.minusSeconds(60)).append(",44\n");
    String partly = file("partly.csv", bad.toString().getBytes(StandardCharsets.UTF_8));
    assertThat(report(partly)).contains("Partly taken").contains("The first 200 of 10000");
    String lines =
        visit(keeper, partly + "/rejected.csv").andReturn().getResponse().getContentAsString();
    assertThat(lines.lines()).hasSize(10_001);
    assertThat(stored()).isEqualTo(1);
    mvc.perform(
            multipart("/stove/" + code + "/imports")
                .file(new MockMultipartFile("file", new byte[0]))
                .with(authentication(signedIn(keeper)))
                .with(csrf()))
        .andExpect(flash().attribute("problem", containsString("Choose a file")));
  }

  @Test
  void readingsOutOfOrderAreSortedAndRepeatedOnesCountOnce() throws Exception {
    visit(keeper, "/stove/" + code);
    String later = "[{\"at\":\"" + now.minusSeconds(10) + "\",\"celsius\":44}]";
    String earlier = "[{\"at\":\"" + now.minusSeconds(60) + "\",\"celsius\":42}]";
    for (String body : List.of(later, earlier, later)) {
      mvc.perform(
              post("/api/v1/batches/" + code + "/readings")
                  .with(authentication(signedIn(keeper)))
                  .with(csrf())
                  .contentType("application/json")
                  .content(body))
          .andExpect(status().isOk());
    }
    visit(keeper, "/stove/" + code + "/trace")
        .andExpect(jsonPath("$.read[0]").value(42))
        .andExpect(jsonPath("$.read[1]").value(44))
        .andExpect(jsonPath("$.of").value(2));
  }

  @Test
  void thePracticePotIsPlayedWithoutAScriptToo() throws Exception {
    String begun =
        send(keeper, "/stove/practice", "appliance", "YOGHURT_MAKER", "goal", "WARM")
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    String id = begun.substring(begun.indexOf('=') + 1);
    send(keeper, "/stove/practice/" + id, "knob", "on", "minutes", "60");
    for (int hour = 1; hour < 6; hour++) {
      send(keeper, "/stove/practice/" + id, "act", "window", "minutes", "60");
    }
    visit(keeper, begun)
        .andExpect(content().string(containsString("of six hours in the band")))
        .andExpect(content().string(containsString("6 h")));
    visit(keeper, "/stove/practice/" + id + "?from=700").andExpect(jsonPath("$.done").value(true));
    visit(keeper, "/stove/practice/none").andExpect(status().isNotFound());
    send(keeper, "/stove/practice").andExpect(status().is3xxRedirection());
  }

  @Test
  void strainedEarlyItIsSaidInHours() throws Exception {
    putOn("YOGHURT_MAKER", "on", 90);
    stove("kind", "off");
    visit(keeper, "/batches/" + code + "/strain")
        .andExpect(content().string(containsString("It is early: it has had 1 h 30 min")))
        .andExpect(content().string(containsString("of at least 4 h")));
    visit(keeper, "/").andExpect(content().string(not(containsString("/" + code + "/strain"))));
  }

  @Test
  void strainedInTimeNothingIsSaidOfEarly() throws Exception {
    putOn("YOGHURT_MAKER", "on", 300);
    stove("kind", "off");
    visit(keeper, "/batches/" + code + "/strain")
        .andExpect(content().string(not(containsString("It is early"))));
    visit(keeper, "/").andExpect(content().string(containsString("/" + code + "/strain")));
    visit(keeper, "/stove/" + code)
        .andExpect(content().string(containsString("Strain it while it is warm.")));
  }

  @Test
  void aReadingOfLaterThanNowIsRefusedAndOneOfBeforeIsTaken() throws Exception {
    send(
            keeper,
            "/stove/" + code + "/log",
            "kind",
            "read",
            "temperature",
            "43 C",
            "happened",
            local(now.plusSeconds(3600)),
            "key",
            "later")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("That has not happened yet")));
    stove("kind", "read", "temperature", "109,4 F", "happened", local(now.minusSeconds(600)));
    assertThat(as(keeper, () -> readings.of(batches.find(code).id())).celsius(0))
        .isBetween(42.9f * 1.0, 43.1f * 1.0);
  }

  @Test
  void aJarInTheSunGoesByTheDay() throws Exception {
    code = warm(Method.SOLAR);
    visit(keeper, "/stove")
        .andExpect(content().string(containsString("in the sun")))
        .andExpect(content().string(containsString("Estimated for a sunny window")));
  }

  private interface Course {
    double at(int number);
  }

  /** A reading every half minute until now, as a probe sends them. */
  private void probe(Course course, int minutes) {
    probe(course, minutes, 0);
  }

  private void probe(Course course, int to, int from) {
    for (int i = from; i < to; i++) {
      add(List.of(new Reading(now.minusSeconds((50 - i) * 30L), course.at(i))));
    }
  }

  private void add(List<Reading> read) {
    as(keeper, () -> readings.add(batches.find(code), read));
  }

  private void putOn(String appliance, String setting, int minutesAgo) throws Exception {
    stove(
        "kind",
        "put-on",
        "appliance",
        appliance,
        "setting",
        setting,
        "happened",
        local(now.minusSeconds(minutesAgo * 60L)));
  }

  private String local(Instant at) {
    return at.atZone(house.zone()).toLocalDateTime().truncatedTo(ChronoUnit.SECONDS).toString();
  }

  private void stove(String... fields) throws Exception {
    List<String> all = new ArrayList<>(List.of(fields));
    all.addAll(List.of("key", UUID.randomUUID().toString()));
    send(keeper, "/stove/" + code + "/log", all.toArray(String[]::new))
        .andExpect(status().is3xxRedirection());
  }

  private String file(String name, byte[] content) throws Exception {
    return mvc.perform(
            multipart("/stove/" + code + "/imports")
                .file(new MockMultipartFile("file", name, "text/csv", content))
                .with(authentication(signedIn(keeper)))
                .with(csrf()))
        .andExpect(status().is3xxRedirection())
        .andReturn()
        .getResponse()
        .getRedirectedUrl();
  }

  /** The report once the file has been read. */
  private String report(String page) {
    return await()
        .atMost(Duration.ofSeconds(20))
        .until(
            () -> visit(keeper, page).andReturn().getResponse().getContentAsString(),
            html -> !html.contains("Being read"));
  }

  private List<String> importsOf() {
    try {
      String html = visit(keeper, "/stove/" + code).andReturn().getResponse().getContentAsString();
      return java.util.regex.Pattern.compile("/imports/([0-9a-f-]{36})")
          .matcher(html)
          .results()
          .map(m -> m.group(1))
          .distinct()
          .toList();
    } catch (Exception e) {
      throw new AssertionError(e);
    }
  }

  private int stored() {
    return as(keeper, () -> readings.of(batches.find(code).id())).size();
  }

  private BatchState state() {
    return as(keeper, () -> batches.find(code).state());
  }

  private String warm(Method method) {
    LocalDate on = today().minusDays(1);
    return as(
        keeper,
        () -> {
          Stand stand =
              method == Method.SOLAR
                  ? places.one("South window").stand()
                  : new Stand(places.one("Stove").id().toString(), "Stove", Light.ROOM, 20.0);
          return acts.charge(
                  new Charged(
                      method,
                      List.of(
                          new HerbIn(
                              "rosemary",
                              Part.LEAF,
                              Cut.CUT,
                              HerbState.DRIED,
                              Range.exactly(50),
                              0.10,
                              "50 g")),
                      List.of(new OilIn("rapeseed", 1, on.plusMonths(11), null, null)),
                      new Charged.Oil(Range.exactly(400), ""),
                      new JarIn("Jar 720 ml", 720, 84),
                      12,
                      Use.SKIN,
                      stand,
                      new Charged.Begun(on, 0, false),
                      true,
                      Manner.PLAIN),
                  UUID.randomUUID().toString())
              .code();
        });
  }
}
