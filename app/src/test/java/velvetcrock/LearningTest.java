package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.batch.Experience;
import velvetcrock.batch.Written;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.Straining;
import velvetcrock.core.jar.BatchReckoning;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Retention;

/** What the household's own strainings teach, and where that is used. */
class LearningTest extends AppTest {
  @Autowired Experience experience;
  @Autowired Catalogue catalogue;

  private Written strain(String code, double ml) {
    return as(
        keeper,
        () ->
            acts.append(
                code,
                new Strained(
                    ml,
                    Math.round(ml) + " ml",
                    Expression.SQUEEZE,
                    new Range(300, 370),
                    new Straining(false, false, false, ml > 400)),
                null,
                null,
                UUID.randomUUID().toString()));
  }

  private List<Retention.Own> own() {
    return as(keeper, experience::own);
  }

  private double predicted(String code) {
    return as(
        keeper,
        () ->
            new BatchReckoning(catalogue, batches.find(code).state(), experience.own())
                .yield(Expression.SQUEEZE)
                .yieldMl());
  }

  @Test
  void theNextBatchIsPredictedFromTheLastOne() throws Exception {
    String next = charge(30);
    double before = predicted(next);
    assertThat(own()).isEmpty();

    strain(charge(40), 310); // thirty grams kept some 80 ml: far more than is typical

    assertThat(own()).hasSize(1);
    assertThat(own().get(0).part()).isEqualTo(Part.FLOWER);
    assertThat(own().get(0).mlPerG().mean()).isBetween(2.5, 3.5);
    assertThat(predicted(next)).isLessThan(before - 5);

    strain(charge(41), 310);
    double twice = predicted(next);
    assertThat(twice).isLessThan(before - 10);
    visit(keeper, "/batches/" + next + "/strain")
        .andExpect(content().string(containsString("2 batches of yours taught")))
        .andExpect(content().string(containsString("1.5 is typical")));
    visit(keeper, "/bench")
        .andExpect(content().string(containsString("2 batches of yours taught it")));
  }

  @Test
  void aStrainingTakenBackTeachesNothing() {
    String code = charge(40);
    Written strained = strain(code, 310);
    assertThat(own()).hasSize(1);
    as(keeper, () -> acts.undo(code, strained.entryId()));
    assertThat(own()).isEmpty();
  }

  @Test
  void aCorrectedStrainingTeachesWhatIsTrueNow() {
    String code = charge(40);
    Written strained = strain(code, 310);
    double wrong = own().get(0).mlPerG().mean();
    as(
        keeper,
        () ->
            acts.append(
                code,
                new Strained(355, "355 ml", Expression.PRESS, new Range(300, 370)),
                null,
                strained.entryId(),
                UUID.randomUUID().toString()));
    assertThat(own()).hasSize(1);
    assertThat(own().get(0).expression()).isEqualTo(Expression.PRESS);
    assertThat(own().get(0).mlPerG().mean()).isLessThan(wrong);
  }

  @Test
  void whatWasGuessedOrCannotBeOilTeachesNothing() {
    String code = charge(40);
    strain(code, 430);
    assertThat(own()).isEmpty();
  }

  @Test
  void oneHouseholdDoesNotLearnFromAnother() throws Exception {
    strain(charge(40), 310);
    Somebody neighbour =
        new Somebody(
            households.found("Next door", "Europe/Oslo", "METRIC", true).id(), "Neighbour");
    as(
        neighbour,
        () -> {
          places.furnish();
          return null;
        });
    assertThat(as(neighbour, experience::own)).isEmpty();
    visit(neighbour, "/bench").andExpect(content().string(not(containsString("of yours taught"))));
  }

  @Test
  void everyGramIsDrawnAndTheGapIsNeverHidden() throws Exception {
    String code = charge(40);
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(not(containsString("Where every gram went"))));
    strain(code, 330);
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("what stayed behind is estimated")))
        .andExpect(content().string(containsString("Spent herb (marc), by estimate")));
    send(
        keeper,
        "/batches/" + code + "/log",
        "kind",
        "marc-weighed",
        "gross",
        "85 g",
        "key",
        "marc");
    send(
        keeper,
        "/batches/" + code + "/log",
        "kind",
        "decanted",
        "what",
        "SEDIMENT",
        "gross",
        "8 g",
        "key",
        "sediment");
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("nothing was lost")))
        .andExpect(content().string(containsString("Spent herb weighed: 85 g")))
        .andExpect(content().string(containsString("Decanted: sediment left, 8 g")));
    send(keeper, "/batches/" + code + "/log", "kind", "decanted", "what", "SOUP", "key", "x")
        .andExpect(
            org.springframework.test.web.servlet.result.MockMvcResultMatchers.status()
                .isUnprocessableContent());
  }
}
