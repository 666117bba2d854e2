package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Earlier;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.yield.Expression;

/** A bottle's oil charged again over fresh herb, from the cellar to the next label. */
class RechargeTest extends BottleHouse {
  private ResultActions charge(String earlier, String amount, String... more) throws Exception {
    List<String> fields =
        new ArrayList<>(
            List.of(
                "jar", "jar-500",
                "amount", amount,
                "ratio", "5",
                "herbs[0].herb", "calendula",
                "herbs[0].cut", "CUT",
                "herbs[0].state", "DRIED",
                "earlier", earlier,
                "use", "SKIN",
                "clean", "yes",
                "key", UUID.randomUUID().toString()));
    fields.addAll(List.of(more));
    return send(keeper, "/bench/charge", fields.toArray(String[]::new));
  }

  private BatchState state(String code) {
    return as(keeper, () -> batches.find(code).state());
  }

  @Test
  void theBottleIsPouredAndItsOilGoesOnWithAllThatItIs() throws Exception {
    String first = bottled(60);
    visit(keeper, "/cellar/" + first + "/A")
        .andExpect(content().string(containsString("Charge it again over fresh herb")));
    visit(keeper, "/bench?earlier=" + first + "-A")
        .andExpect(content().string(containsString("the oil of " + first + "-A")));

    String location =
        charge(first + "-A", "20 g")
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    String second = location.replaceAll(".*/", "");

    Earlier earlier = state(second).charge().manner().earlier();
    assertThat(earlier.code()).isEqualTo(first + "-A");
    assertThat(earlier.herbs()).containsExactly("yarrow");
    assertThat(earlier.chargedOn()).isEqualTo(state(first).charge().begun().chargedOn());
    assertThat(earlier.spentDays()).isGreaterThan(50);
    assertThat(state(second).charge().carriers().get(0).carrier()).isEqualTo("rapeseed");
    assertThat(state(second).charge().carriers().get(0).bestBefore())
        .isEqualTo(state(first).charge().carriers().get(0).bestBefore());
    assertThat(bottle(first, "A").bottle().leftMl()).isEqualTo(50);

    log(second, new Strained(80, "80 ml", Expression.SQUEEZE, new Range(70, 90)));
    log(second, new Bottled(List.of(bottleOf(80))));
    assertThat(bottle(second, "A").bestBefore()).isBeforeOrEqualTo(earlier.goodUntil());
    visit(keeper, "/cellar/" + second + "/A/label")
        .andExpect(content().string(containsString("Calendula and Yarrow")));
  }

  private static velvetcrock.core.batch.BottleIn bottleOf(double ml) {
    return new velvetcrock.core.batch.BottleIn(
        "A", ml, ml, Store.Place.COOL, Store.Glass.AMBER, Store.Antioxidant.NONE, true);
  }

  @Test
  void aHazardOfItStopsTheBenchUntilItIsReadAndGoesOn() throws Exception {
    String first = charge(60);
    log(first, new Looked(null, null, null, true, null, null));
    log(first, new Strained(320, "320 ml", Expression.SQUEEZE, new Range(310, 330)));
    send(keeper, "/bench/reckon", "earlier", first, "amount", "20 g", "jar", "jar-500")
        .andExpect(content().string(containsString("mould")));

    charge(first, "20 g").andExpect(status().isUnprocessableContent());
    String second =
        charge(first, "20 g", "read", "oil-mouldy")
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl()
            .replaceAll(".*/", "");
    assertThat(state(second).charge().manner().earlier().hazards()).contains(Hazard.MOULD);
    assertThat(state(first).usedMl()).isEqualTo(100);
  }

  @Test
  void whatIsNotThereCannotBeChargedAgain() throws Exception {
    String first = bottled(60);
    visit(keeper, "/bench?amount=60g&ratio=5&earlier=" + first + "-A")
        .andExpect(content().string(containsString("Only 150 ml of " + first + "-A are left")));
    charge(first + "-A", "40 g")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("Take less herb")));
    charge(first + "-Z", "20 g").andExpect(status().isUnprocessableContent());
    charge("ZZZ-A", "20 g").andExpect(status().isUnprocessableContent());
    charge(charge(5), "20 g")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("not strained yet")));
    assertThat(bottle(first, "A").bottle().leftMl()).isEqualTo(150);
  }
}
