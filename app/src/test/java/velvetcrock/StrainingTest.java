package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.BottleState;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.Straining;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.yield.Balance;
import velvetcrock.core.yield.Expression;

/** From a jar that is ready to its bottles, on the pages. */
class StrainingTest extends BottleHouse {
  @Autowired Clock clock;

  private BatchState state(String code) {
    return as(keeper, () -> batches.find(code).state());
  }

  private Balance balance(String code) {
    return new BatchReckoning(Catalogue.shipped(), state(code)).balance().orElseThrow();
  }

  private ResultActions strain(String code, String... more) throws Exception {
    String[] fields = {"amount", "320 ml", "expression", "SQUEEZE", "key", "strained" + code};
    String[] all = new String[fields.length + more.length];
    System.arraycopy(fields, 0, all, 0, fields.length);
    System.arraycopy(more, 0, all, fields.length, more.length);
    return send(keeper, "/batches/" + code + "/strain", all);
  }

  @Test
  void oneNumberIsEnoughAndThePageGuidesByWhatItIs() throws Exception {
    String code = charge(30);
    visit(keeper, "/batches/" + code + "/strain")
        .andExpect(content().string(containsString("let it hang and drip, then squeeze")))
        .andExpect(content().string(not(containsString("Wear gloves"))));

    strain(code).andExpect(redirectedUrl("/batches/" + code + "/bottle"));

    assertThat(state(code).strained().how()).isEqualTo(Straining.PLAIN);
    visit(keeper, "/batches/" + code + "/bottle")
        .andExpect(content().string(containsString("320 ml came out")));
  }

  @Test
  void allElseThatWasDoneIsKeptAndTheMarcClosesTheBalance() throws Exception {
    String code = charge(30);
    double inG = 30 + 400 * 0.915;

    strain(code, "second", "yes", "fine", "yes", "marc", "100 g")
        .andExpect(status().is3xxRedirection());

    assertThat(state(code).strained().how()).isEqualTo(new Straining(true, true, false));
    Balance balance = balance(code);
    assertThat(balance.inG()).isBetween(inG - 4, inG + 4);
    assertThat(balance.inG() - balance.outG() - balance.unaccountedG())
        .isEqualTo(balance.estimated().filmG());
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("Where every gram went")))
        .andExpect(content().string(containsString("Spent herb (marc)")));
    strain(charge(30), "marc", "a handful of it").andExpect(status().isUnprocessableContent());
  }

  @Test
  void whatStandsOvernightIsAskedForTomorrowAndDecantedOffWhatSettled() throws Exception {
    String code = charge(30);
    Instant yesterday = clock.instant().minus(Duration.ofHours(30));
    as(
        keeper,
        () ->
            acts.append(
                code,
                new Strained(
                    320,
                    "320 ml",
                    Expression.SQUEEZE,
                    new Range(310, 350),
                    new Straining(false, false, true)),
                yesterday,
                null,
                UUID.randomUUID().toString()));
    visit(keeper, "/").andExpect(content().string(containsString("Pour it off what has settled")));
    double unaccounted = balance(code).unaccountedG();

    send(
            keeper,
            "/batches/" + code + "/log",
            "kind",
            "decanted",
            "what",
            "SEDIMENT",
            "gross",
            "12 g",
            "amount",
            "305 ml",
            "key",
            "d" + code)
        .andExpect(redirectedUrl("/batches/" + code));

    assertThat(new BatchReckoning(Catalogue.shipped(), state(code)).clearMl()).isEqualTo(305);
    assertThat(balance(code).unaccountedG()).isBetween(unaccounted - 3, unaccounted + 3);
    visit(keeper, "/").andExpect(content().string(not(containsString("Pour it off"))));
    visit(keeper, "/batches/" + code + "/bottle")
        .andExpect(content().string(containsString("Bottle 305 ml")));
  }

  @Test
  void oilThatStoodClearIsNotAskedForAgain() throws Exception {
    String code = charge(30);
    strain(code, "settles", "yes").andExpect(redirectedUrl("/batches/" + code));
    visit(keeper, "/batches/" + code).andExpect(content().string(containsString("clear")));

    send(keeper, "/batches/" + code + "/log", "kind", "stood-clear", "key", "c" + code)
        .andExpect(redirectedUrl("/batches/" + code));

    assertThat(state(code).remains().settled()).isTrue();
  }

  @Test
  void severalBottlesEachStandWhereTheyDoAndTheDoseIsSaid() throws Exception {
    String code = charge(30);
    strain(code);
    visit(keeper, "/batches/" + code + "/bottle")
        .andExpect(content().string(containsString("Vitamin E for all of it: 0.9 g, about")))
        .andExpect(content().string(containsString("(helps from 0.3 to 1.5 g)")));

    send(
            keeper,
            "/batches/" + code + "/bottle",
            "amount",
            "200 ml",
            "amount",
            "100 ml",
            "size",
            "250 ml",
            "size",
            "",
            "placeOf",
            "",
            "placeOf",
            "FRIDGE",
            "glassOf",
            "",
            "glassOf",
            "CLEAR",
            "place",
            "COOL",
            "glass",
            "AMBER",
            "antioxidant",
            "ROSEMARY",
            "clean",
            "yes",
            "cold",
            "yes",
            "key",
            "b" + code)
        .andExpect(redirectedUrl("/cellar/" + code + "/B"));

    BottleState first = state(code).bottle("A").orElseThrow();
    BottleState second = state(code).bottle("B").orElseThrow();
    assertThat(first.store().place()).isEqualTo(Store.Place.COOL);
    assertThat(first.sizeMl()).isEqualTo(250);
    assertThat(second.store().place()).isEqualTo(Store.Place.FRIDGE);
    assertThat(second.store().glass()).isEqualTo(Store.Glass.CLEAR);
    assertThat(second.store().antioxidant()).isEqualTo(Store.Antioxidant.ROSEMARY);
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("/cellar/" + code + "/A")))
        .andExpect(content().string(containsString("/cellar/" + code + "/B")));
  }

  @Test
  void aBottleNearItsDateIsAskedForInTheRound() throws Exception {
    String code = bottled(330);
    var near = bottle(code, "A").bestBefore();
    assertThat(near).isBefore(today().plusDays(28));

    visit(keeper, "/")
        .andExpect(content().string(containsString(code + "-A")))
        .andExpect(content().string(containsString("mell")));
  }

  @Test
  void whatWasLearnedIsUsedAtTheBenchAtOnceAndSaidWithItsCount() throws Exception {
    String next = charge(10);
    visit(keeper, "/batches/" + next + "/strain")
        .andExpect(content().string(not(containsString("of yours taught"))));

    strain(charge(30));

    visit(keeper, "/batches/" + next + "/strain")
        .andExpect(content().string(containsString("One batch of yours taught: a gram of flower")));
  }

  private String bottle(String code, String... fields) throws Exception {
    String[] usual = {
      "place", "COOL", "glass", "AMBER", "antioxidant", "NONE", "clean", "yes", "key", code + "b"
    };
    return send(
            keeper,
            "/batches/" + code + "/bottle",
            Stream.concat(Stream.of(usual), Stream.of(fields)).toArray(String[]::new))
        .andReturn()
        .getResponse()
        .getContentAsString();
  }

  /** Three little ones and the rest: two lines say it. */
  @Test
  void bottlesThatAreAlikeAreOneLine() throws Exception {
    String code = charge(30);
    strain(code).andExpect(status().is3xxRedirection());
    assertThat(
            visit(
                    keeper,
                    "/batches/" + code + "/bottle?count=3&amount=30ml&size=&more=yes&clean=yes")
                .andReturn()
                .getResponse()
                .getContentAsString())
        .containsPattern("(?s)amount1\"[^>]*value=\"30ml\"")
        .containsPattern("(?s)count1\"[^>]*value=\"3\"");

    bottle(code, "count", "3", "count", "", "amount", "30 ml", "amount", "the rest");
    assertThat(state(code).bottles()).hasSize(4);
    assertThat(state(code).bottles().get(3).filled().ml()).isCloseTo(230, within(1.0));
  }

  @Test
  void allOfItInSeveralIsSharedAndTooManyAreRefusedWithAllThatWasTyped() throws Exception {
    String code = charge(30);
    strain(code).andExpect(status().is3xxRedirection());
    assertThat(bottle(code, "count", "40", "amount", "10 ml"))
        .contains("40")
        .contains("value=\"10 ml\"");
    assertThat(bottle(code, "count", "26", "amount", "5 ml", "count", "2", "amount", "5 ml"))
        .contains("at most 26 bottles");
    bottle(code, "count", "4", "amount", "all of it");
    assertThat(state(code).bottles()).hasSize(4);
    assertThat(state(code).bottles()).allMatch(b -> Math.abs(b.filled().ml() - 80) < 1);
  }
}
