package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import velvetcrock.batch.BatchStorage;
import velvetcrock.batch.BottleBook;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.BatchLog;
import velvetcrock.core.batch.BatchState.Status;
import velvetcrock.core.batch.Shaken;
import velvetcrock.core.batch.ToppedUp;

class PathTest extends AppTest {
  final JdbcTemplate jdbc = TestCluster.shared().owner();
  @Autowired BottleBook book;

  private int entries(String code) {
    return as(keeper, () -> batches.find(code).state().entries());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          amount | ''          | how much herb
          amount | -5 g        | below zero
          amount | 1/0 cup     | divides by zero
          amount | 1,500 g     | 1500
          amount | 999999 kg   | more than a tonne
          ratio  | banana      | as a ratio
          ratio  | 0           | lies between
          cover  | 9999        | Between
          herbs[0].herb | foxglove | no herb of the catalogue
          clean  | -           | bone-dry
          bestBefore | soon    | not a date
          chargedOn | 2100-01-01 | today or earlier
          """)
  void badInputAtTheBenchIsSaidAndKeptAndChargesNothing(String field, String typed, String said)
      throws Exception {
    String[] fields = {
      "amount",
      "60 g",
      "herbs[0].herb",
      "yarrow",
      "ratio",
      "",
      "cover",
      "12",
      "clean",
      "yes",
      "bestBefore",
      "",
      "chargedOn",
      today().toString(),
      "key",
      UUID.randomUUID().toString()
    };
    for (int i = 0; i < fields.length; i += 2) {
      if (fields[i].equals(field)) {
        fields[i + 1] = typed;
      }
    }
    if (field.equals("clean")) {
      fields[8] = "unclean";
    }

    var answer =
        send(keeper, "/bench/charge", fields)
            .andExpect(status().isUnprocessableContent())
            .andExpect(content().string(containsString(said)));

    if (field.equals("amount") && !typed.isEmpty()) {
      answer.andExpect(content().string(containsString("value=\"" + typed + "\"")));
    }
    assertThat(as(keeper, () -> batches.newest(5))).isEmpty();
  }

  @Test
  void aTenKilobyteTextIsRefusedWithoutBeingEchoedBackInTheMessage() throws Exception {
    send(keeper, "/bench/reckon", "amount", "9".repeat(10_240))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("10240 characters")));
  }

  @Test
  void chargingTwiceUnderOneKeyMakesOneBatch() throws Exception {
    String key = UUID.randomUUID().toString();
    String[] fields = {
      "amount",
      "2 cups",
      "herbs[0].herb",
      "calendula",
      "clean",
      "yes",
      "bestBefore",
      today().plusMonths(9).toString(),
      "key",
      key
    };
    String first =
        send(keeper, "/bench/charge", fields)
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    send(keeper, "/bench/charge", fields).andExpect(redirectedUrl(first));

    var charged = as(keeper, () -> batches.newest(5));
    assertThat(charged).hasSize(1);
    assertThat(charged.get(0).state().charge().herbMassG().exact()).isFalse();
    assertThat(charged.get(0).code()).matches("[ACDEFHJKMNPRTWXY][3479][ACDEFHJKMNPRTWXY]");
    visit(keeper, first + "/tag")
        .andExpect(content().string(containsString("Calendula officinalis")));
  }

  @Test
  void theRoundIsTickedOnceWhoeverTicksAndUndoneByAnEntry() throws Exception {
    String code = charge(9);
    String page =
        visit(keeper, "/")
            .andExpect(content().string(containsString("Shake, look and smell")))
            .andReturn()
            .getResponse()
            .getContentAsString();
    String key =
        page.replaceAll("(?s).*name=\"keys\" value=\"(round:" + code + ":tend:[^\"]*)\".*", "$1");
    String[] tick = {"codes", code, "acts", "SHAKEN,LOOKED,SMELLED", "keys", key, "back", "shelf"};
    send(keeper, "/round/visit", tick).andExpect(redirectedUrl("/"));
    send(new Somebody(house.id(), "Odd"), "/round/visit", tick);
    assertThat(entries(code)).isEqualTo(2);
    visit(keeper, "/").andExpect(content().string(not(containsString("Shake, look and smell"))));

    var last = as(keeper, () -> batches.log(batches.find(code)).get(1));
    send(keeper, "/batches/" + code + "/entries/" + last.entry().id() + "/undo", "back", "shelf");
    assertThat(entries(code)).isEqualTo(3);
    visit(keeper, "/").andExpect(content().string(containsString("Shake, look and smell")));
  }

  @Test
  void aWorryingLookShowsItsCautionAndWhatToDo() throws Exception {
    String code = charge(5);
    send(keeper, "/batches/" + code + "/log", "kind", "looked", "mould", "yes", "key", "k" + code);
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("the whole jar is lost")))
        .andExpect(content().string(containsString("Throw it out")));
  }

  @Test
  void whatIsLoggedBeforeChargingOrInTheFutureIsRefused() throws Exception {
    String code = charge(5);
    String before = today().minusDays(9) + "T08:00";
    send(
            keeper,
            "/batches/" + code + "/log",
            "kind",
            "looked",
            "covered",
            "yes",
            "happened",
            before,
            "key",
            "a" + code)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("before the jar was charged")));
    send(
            keeper,
            "/batches/" + code + "/log",
            "kind",
            "note",
            "text",
            "x",
            "happened",
            today().plusDays(3) + "T08:00",
            "key",
            "b" + code)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("not happened yet")));
    send(
            keeper,
            "/batches/" + code + "/log",
            "kind",
            "topped-up",
            "amount",
            "a lorry",
            "key",
            "c" + code)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("value=\"a lorry\"")));
    assertThat(entries(code)).isEqualTo(1);
  }

  @Test
  void fromStrainingToTheLastDrop() throws Exception {
    String code = charge(35);
    String batch = "/batches/" + code;
    send(keeper, batch + "/strain", "amount", "9 kg", "expression", "SQUEEZE", "key", "s1" + code)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("More came out than went in")));
    send(keeper, batch + "/strain", "amount", "320 ml", "expression", "SQUEEZE", "key", "s2" + code)
        .andExpect(redirectedUrl(batch + "/bottle"));
    send(keeper, batch + "/strain", "amount", "310 ml", "expression", "SQUEEZE", "key", "s3" + code)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("strained already")));
    visit(keeper, batch + "/bottle").andExpect(content().string(containsString("320 ml came out")));

    send(
            keeper,
            batch + "/bottle",
            "amount",
            "200 ml",
            "amount",
            "400 ml",
            "size",
            "",
            "size",
            "",
            "place",
            "COOL",
            "glass",
            "AMBER",
            "antioxidant",
            "NONE",
            "clean",
            "yes",
            "cold",
            "yes",
            "key",
            "b1" + code)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("320 ml were strained")));
    send(
            keeper,
            batch + "/bottle",
            "amount",
            "200 ml",
            "amount",
            "120 ml",
            "size",
            "",
            "size",
            "",
            "place",
            "COOL",
            "glass",
            "AMBER",
            "antioxidant",
            "NONE",
            "clean",
            "yes",
            "cold",
            "yes",
            "key",
            "b2" + code)
        .andExpect(redirectedUrl("/cellar/" + code + "/B"));
    visit(keeper, "/cellar").andExpect(content().string(containsString(code + "-A")));
    visit(keeper, "/cellar/" + code + "/A")
        .andExpect(content().string(containsString("own date decides")));
    visit(keeper, "/cellar/" + code + "/A/label")
        .andExpect(content().string(containsString("Achillea millefolium")))
        .andExpect(content().string(containsString("Not for eating")));

    send(keeper, "/cellar/" + code + "/A/draw", "amount", "500 ml", "key", "d1" + code)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("200 ml left")));
    send(keeper, "/cellar/" + code + "/A/draw", "amount", "200 ml", "key", "d2" + code)
        .andExpect(status().is3xxRedirection());
    send(keeper, "/cellar/" + code + "/B/gone", "reason", "SPILLED", "key", "g" + code)
        .andExpect(redirectedUrl("/cellar"));
    assertThat(as(keeper, () -> batches.find(code).state().status())).isEqualTo(Status.FINISHED);
    assertThat(as(keeper, () -> book.standing(BottleBook.Which.ALL, 9))).isEmpty();
  }

  @Test
  void aJarTakenOnWithUnknownAmountsIsARangeAndIsAskedForItsOilWhenStrained() throws Exception {
    String place = as(keeper, () -> places.all().get(0).id().toString());
    String page =
        send(
                keeper,
                "/bench/take-on",
                "herbs[0].herb",
                "elderflower",
                "herbs[0].state",
                "DRIED",
                "herbs[0].cut",
                "CUT",
                "herbFill",
                "0.66",
                "oils[0].carrier",
                "olive",
                "jar",
                "jar-500",
                "place",
                place,
                "chargedOn",
                today().minusDays(40).toString(),
                "about",
                "7",
                "key",
                UUID.randomUUID().toString())
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    visit(keeper, page)
        .andExpect(content().string(containsString("About day 40")))
        .andExpect(content().string(containsString("give or take 7 days")));
    visit(keeper, page + "/strain")
        .andExpect(content().string(containsString("If you do not know, leave both empty")));
    send(keeper, page + "/strain", "amount", "300 ml", "expression", "DRIP", "key", "t1")
        .andExpect(status().is3xxRedirection());
    visit(keeper, page).andExpect(content().string(containsString("assumed: say it")));
    send(keeper, page + "/oil-age", "openedOn", "")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("leave it as it is: assumed")));
    send(keeper, page + "/oil-age", "openedOn", today().minusDays(60).toString())
        .andExpect(redirectedUrl(page));
    visit(keeper, page).andExpect(content().string(not(containsString("assumed: say it"))));
    send(
            keeper,
            page + "/bottle",
            "amount",
            "300 ml",
            "place",
            "COOL",
            "glass",
            "AMBER",
            "antioxidant",
            "NONE",
            "clean",
            "yes",
            "key",
            "t3")
        .andExpect(status().is3xxRedirection());
    assertThat(as(keeper, () -> book.standing(BottleBook.Which.ALL, 9))).hasSize(1);
  }

  @Test
  void tenHandsAtOnceLogOnceUnderOneKeyAndTenTimesUnderTen() throws Exception {
    String code = charge(9);
    ExecutorService hands = Executors.newFixedThreadPool(10);
    try {
      Callable<Object> same =
          () -> as(keeper, () -> acts.append(code, new Shaken(), null, null, "same"));
      hands.invokeAll(IntStream.range(0, 10).mapToObj(i -> same).toList()).forEach(PathTest::done);
      assertThat(entries(code)).isEqualTo(2);
      hands
          .invokeAll(
              IntStream.range(0, 10)
                  .<Callable<Object>>mapToObj(
                      i ->
                          () ->
                              as(
                                  keeper,
                                  () -> acts.append(code, new Shaken(), null, null, "hand" + i)))
                  .toList())
          .forEach(PathTest::done);
      assertThat(entries(code)).isEqualTo(12);
    } finally {
      hands.shutdown();
    }
  }

  private static void done(java.util.concurrent.Future<Object> work) {
    try {
      work.get();
    } catch (Exception e) {
      throw new AssertionError(e);
    }
  }

  @Test
  void theStateKeptForReadingIsWhatTheLogFoldsTo() {
    String code = charge(9);
    as(keeper, () -> acts.append(code, new AllWell(), null, null, "w1" + code));
    as(
        keeper,
        () ->
            acts.append(code, new ToppedUp(12.5, "rapeseed", "12.5 ml"), null, null, "w2" + code));
    var folded =
        as(
            keeper,
            () ->
                BatchLog.fold(
                    batches.log(batches.find(code)).stream().map(l -> l.entry()).toList()));

    assertThat(as(keeper, () -> batches.find(code).state())).isEqualTo(folded);
    assertThat(BatchStorage.STORAGE.names()).contains("charged", "struck");
  }
}
