package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.util.ReflectionTestUtils;
import velvetcrock.core.batch.BottleStood;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.OilLooked;
import velvetcrock.core.caution.Hazard;
import velvetcrock.core.keeping.Store;
import velvetcrock.core.product.OilReckonedAnew;
import velvetcrock.core.product.ProductState;
import velvetcrock.products.ProductRecord;

/** What is known of an oil later reaches the tins that were made of it before. */
class ProductsFollowTest extends ProductHouse {
  final JdbcTemplate jdbc = TestCluster.shared().owner();
  @Autowired ApplicationContext context;

  private ProductRecord tins(String code) throws Exception {
    ProductRecord product = begun(salve(code, "60 ml", "12 g"));
    pour(product, "30 ml", "BODY");
    return again(product);
  }

  private void oilWasGoodUntil(String code, LocalDate until) {
    Charged charge = as(keeper, () -> batches.find(code)).state().charge();
    OilIn was = charge.carriers().get(0);
    as(
        keeper,
        () -> {
          acts.supplyOilDates(
              code, List.of(new OilIn(was.carrier(), was.share(), until, null, null)));
          return null;
        });
  }

  @Test
  void anEarlierDateOfItsOilMovesTheTinsSaysWhyAndAsksForOtherLabels() throws Exception {
    String code = bottled(40);
    ProductRecord made = tins(code);
    LocalDate sooner = today().plusDays(60);
    assertThat(made.bestBefore()).isAfter(sooner);
    visit(keeper, "/products").andExpect(content().string(not(containsString("Print again"))));

    oilWasGoodUntil(code, sooner);
    assertThat(bottle(code, "A").bestBefore()).isEqualTo(sooner);
    assertThat(again(made).bestBefore()).isEqualTo(sooner);
    visit(keeper, "/products/" + made.code())
        .andExpect(content().string(containsString("Its oil " + code + "-A was good until")))
        .andExpect(content().string(containsString("a correction in the log")));
    visit(keeper, "/products").andExpect(content().string(containsString("Print again")));
    assertThat(labels(made)).contains("best before");
    visit(keeper, "/products").andExpect(content().string(not(containsString("Print again"))));

    String entry =
        jdbc.queryForObject(
            "select cast(e.id as text) from entry e join product p on p.id = e.subject_id"
                + " where p.code = ? and e.kind = 'oil-reckoned-anew'",
            String.class,
            made.code());
    send(keeper, "/products/" + made.code() + "/entries/" + entry + "/undo");
    assertThat(again(made).bestBefore()).as("that stays").isEqualTo(sooner);
  }

  /** Its age is no matter of the kind: nothing else is offered that it would be refused for too. */
  @Test
  void ofAnOilPastItsDateNoOtherKindIsOffered() throws Exception {
    String code = bottled(40);
    jdbc.update(
        "update bottle set best_before = ? where batch_id = ?",
        today().minusDays(2),
        as(keeper, () -> batches.find(code)).id());
    visit(keeper, "/products/new?from=bottle:" + code + "-A")
        .andExpect(content().string(containsString("The oil was good until")))
        .andExpect(content().string(not(containsString("until " + today().minusDays(2)))))
        .andExpect(content().string(not(containsString("it can be"))));
  }

  @Test
  void whatHappensToTheBottleAfterwardsIsNoMatterOfTheTins() throws Exception {
    String code = bottled(40);
    ProductRecord made = tins(code);
    log(
        code,
        new BottleStood("A", Store.Place.ROOM, Store.Glass.CLEAR, 250, Store.Antioxidant.NONE));

    assertThat(bottle(code, "A").bestBefore()).isBefore(made.bestBefore());
    ProductState state = again(made).state();
    assertThat(again(made).bestBefore()).isEqualTo(made.bestBefore());
    assertThat(state.parts().get(0).hazards()).isEmpty();
  }

  @Test
  void waterThatWasThereBeforeAndIsNotedLateTravelsOn() throws Exception {
    String code = bottled(40);
    ProductRecord made = tins(code);
    Instant before =
        as(keeper, () -> batches.find(code)).state().strainedAt().plus(1, ChronoUnit.MICROS);
    as(
        keeper,
        () ->
            acts.append(
                code,
                new OilLooked(null, null, null, true, null, false),
                before,
                null,
                UUID.randomUUID().toString()));

    assertThat(bottle(code, "A").bestBefore()).as("the bottle itself").isBefore(made.bestBefore());
    ProductRecord now = again(made);
    assertThat(now.state().parts().get(0).hazards()).contains(Hazard.WATER);
    assertThat(now.bestBefore()).isBefore(made.bestBefore());
    visit(keeper, "/products/" + made.code())
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Its oil " + code + "-A was good until")));
  }

  @Test
  void aWholeHouseholdIsBroughtUpToNewRulesOnce() throws Exception {
    String code = bottled(40);
    ProductRecord made = tins(code);
    LocalDate until = made.bestBefore();
    as(
        keeper,
        () ->
            products.append(
                made.code(),
                new OilReckonedAnew(code + "-A", until.plusDays(200), Set.of(), "a test"),
                null,
                null,
                UUID.randomUUID().toString()));
    assertThat(again(made).bestBefore()).isAfter(until);
    jdbc.update(
        "update product set reckoned_by = 1 where code = ? and household_id = ?",
        made.code(),
        house.id());

    upgraded();
    assertThat(again(made).bestBefore()).isEqualTo(until);
    upgraded();
    assertThat(
            jdbc.queryForObject(
                "select count(*) from entry e join product p on p.id = e.subject_id"
                    + " where p.code = ? and e.kind = 'oil-reckoned-anew'",
                Long.class,
                made.code()))
        .isEqualTo(2);
  }

  private void upgraded() {
    Object job = context.getBean("productsReckonedAnew");
    ReflectionTestUtils.invokeMethod(job, "upgraded");
  }

  @Test
  void nobodyButThisHouseWritesIt() throws Exception {
    String code = bottled(40);
    ProductRecord made = tins(code);
    send(
            keeper,
            "/products/" + made.code() + "/log",
            fresh("kind", "oil-reckoned-anew", "oil", code + "-A"))
        .andExpect(status().isUnprocessableContent());
  }
}
