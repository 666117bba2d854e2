package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import velvetcrock.core.Range;
import velvetcrock.core.batch.BatchEvent;
import velvetcrock.core.batch.Bottled;
import velvetcrock.core.batch.Bubbles;
import velvetcrock.core.batch.Decanted;
import velvetcrock.core.batch.Leaving;
import velvetcrock.core.batch.Looked;
import velvetcrock.core.batch.OffSmell;
import velvetcrock.core.batch.Smelled;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.yield.Expression;
import velvetcrock.products.ProductRecord;

/** What was wrong in a jar is still told at the tin and on its label. */
class HazardCarriedTest extends ProductHouse {
  final JdbcTemplate jdbc = TestCluster.shared().owner();

  private static BatchEvent seen(Hazard hazard) {
    return switch (hazard) {
      case MOULD -> new Looked(null, null, null, true, null, null);
      case FIZZ -> new Looked(null, null, Bubbles.FIZZING, null, null, null);
      case UNCOVERED -> new Looked(false, null, null, null, null, null);
      case MUSTY -> new Smelled(null, OffSmell.MUSTY);
      case SOUR -> new Smelled(null, OffSmell.SOUR);
      case RANCID -> new Smelled(null, OffSmell.RANCID);
      case WATER -> new Decanted(Leaving.WATER, 4, "4 g", null);
      case EATEN_FRESH -> throw new IllegalArgumentException("not seen");
    };
  }

  private String oilWith(Hazard hazard) {
    String code = charge(40);
    if (hazard != Hazard.WATER) {
      log(code, seen(hazard));
    }
    log(code, new Strained(320, "320 ml", Expression.SQUEEZE, new Range(310, 350)));
    if (hazard == Hazard.WATER) {
      log(code, seen(hazard));
    }
    log(code, new Bottled(List.of(bottle("A", Store.Place.FRIDGE, Store.Antioxidant.NONE))));
    return code;
  }

  @ParameterizedTest
  @CsvSource({
    "WATER, not driven off, has water in it",
    "MOULD, There was mould in the jar, had mould",
    "MUSTY, smelled musty, smelled musty",
    "SOUR, smelled sour, smelled sour",
    "RANCID, smelled rancid, smelled rancid",
    "FIZZ, of this oil fizzed, fizzed"
  })
  void aStopAtTheJarIsToldUntilTheTinAndWantsAReason(Hazard hazard, String told, String why)
      throws Exception {
    String code = oilWith(hazard);
    assertThat(page("/batches/" + code)).contains(told);
    assertThat(page("/cellar/" + code + "/A/label")).contains(told);

    send(keeper, "/products", salve(code, "100 ml", "17.4 g"))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(why)));
    ProductRecord product =
        begun(
            ofBottle(
                code,
                "SALVE",
                "100 ml",
                "parts[1].thing",
                "wax:beeswax",
                "parts[1].amount",
                "17.4 g",
                "place",
                "FRIDGE",
                "reason",
                "for the gate’s hinges"));
    pour(product, "30 ml", "BODY");

    String page = page("/products/" + product.code());
    assertThat(page).contains(told).contains("for the gate’s hinges").contains(why);
    assertThat(labels(product)).contains(told);
    String token =
        jdbc.queryForObject(
            "select token from bottle_pass where household_id = ? and product_id is not null",
            String.class,
            house.id());
    mvc.perform(get("/b/" + token)).andExpect(content().string(containsString(told)));
  }

  @Test
  void whatOnlyWantsALookIsToldAndWantsNoReason() throws Exception {
    String code = oilWith(Hazard.UNCOVERED);
    ProductRecord product = begun(salve(code, "100 ml", "17.4 g"));
    assertThat(page("/products/" + product.code())).contains("Herb stood above this oil");
  }

  @Test
  void waterInTheOilLeavesATinItsDaysInTheFridgeAlone() throws Exception {
    String code = oilWith(Hazard.WATER);
    assertThat(bottle(code, "A").bestBefore()).isBeforeOrEqualTo(today().plusDays(14));
    assertThat(as(keeper, () -> batches.find(code)).state().remains().waterG()).isEqualTo(4);
  }

  /** Mould that was seen once is not looked away; only a correction takes it back. */
  @Test
  void aLaterLookWithoutMouldDoesNotCancelIt() throws Exception {
    String code = charge(40);
    log(code, seen(Hazard.MOULD));
    log(code, new Looked(null, null, null, false, null, null));
    assertThat(as(keeper, () -> batches.find(code)).state().seen().mould()).isTrue();
  }

  /** What a hazard says of itself is what its caution says. */
  @Test
  void whatStopsIsWhatItsCautionSays() {
    Cautions cautions = Cautions.shipped();
    for (Hazard hazard : EnumSet.allOf(Hazard.class)) {
      List<Caution> due =
          cautions.of(
              velvetcrock.core.caution.Facts.about(velvetcrock.core.caution.About.JAR)
                  .carrying(Set.of(hazard)));
      assertThat(due.stream().anyMatch(c -> c.level() == Caution.Level.STOP))
          .as(hazard.name())
          .isEqualTo(hazard.stops());
    }
  }
}
