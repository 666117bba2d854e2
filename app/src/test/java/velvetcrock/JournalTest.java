package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.UUID;
import org.hamcrest.Matcher;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.core.batch.LookedBack;
import velvetcrock.core.batch.Noted;
import velvetcrock.journal.Journal;
import velvetcrock.journal.JournalLine;
import velvetcrock.journal.Search;

/** The journal and the herbs' pages. */
class JournalTest extends BottleHouse {
  @Autowired Journal journal;
  final JdbcTemplate jdbc = TestCluster.shared().owner();
  @Autowired ApplicationEventPublisher events;

  private List<JournalLine> find(String words) {
    return as(
        keeper, () -> journal.find(new Search(words, null, null, List.of(), null, null), 0, 100));
  }

  private ResultActions page(String query, Matcher<String> said) throws Exception {
    return visit(keeper, "/journal" + query)
        .andExpect(status().isOk())
        .andExpect(content().string(said));
  }

  @Test
  void everythingWrittenIsFoundByWordHerbOilAndDay() throws Exception {
    String code = charge(9);
    log(code, new Noted("Smells of hay, from the Ferry meadow"));

    page("", containsString("Smells of hay"));
    page("?words=hay", containsString("Smells of hay"));
    page("?words=HAY+ferr", containsString("Smells of hay"));
    page("?words=hay+straw", not(containsString("Smells of hay")));
    page("?words=" + code, containsString("Charged"));
    page("?words=millefolium", containsString("Smells of hay"));
    page("?words=una", containsString("Smells of hay"));
    page("?herb=yarrow", containsString("Smells of hay"));
    page("?herb=heather", containsString("Nothing of the kind"));
    page("?oil=rapeseed", containsString("Smells of hay"));
    page("?oil=olive", containsString("Nothing of the kind"));
    page("?from=" + today(), containsString("Smells of hay"));
    page("?until=" + today().minusDays(1), not(containsString("Smells of hay")));
    page("?until=" + today().minusDays(1), containsString("Charged"));
  }

  @Test
  void whatIsTakenBackIsStruckAndACorrectionStandsBesideIt() throws Exception {
    String code = charge(9);
    log(code, new Noted("Mistaken words"));
    var entry = as(keeper, () -> batches.log(batches.find(code)).get(1).entry().id());
    as(keeper, () -> acts.undo(code, entry));

    assertThat(find("mistaken")).singleElement().matches(JournalLine::struck);
    assertThat(find("taken back")).isEmpty();
  }

  @Test
  void lotsAndLoadsAreWrittenOfToo() throws Exception {
    send(
        keeper,
        "/drawer/lots",
        "kind",
        "HERB",
        "thing",
        "yarrow",
        "state",
        "DRIED",
        "cut",
        "CUT",
        "origin",
        "GROWN",
        "harvestedOn",
        today().minusDays(9).toString(),
        "amount",
        "400 g",
        "key",
        "lot" + house.id());
    send(
        keeper,
        "/drawer/drying",
        "herb",
        "heather",
        "way",
        "BUNCH",
        "cut",
        "CUT",
        "amount",
        "300 g",
        "origin",
        "GROWN",
        "begunOn",
        today().minusDays(3).toString(),
        "key",
        "load" + house.id());

    page("?words=put+in&herb=yarrow", containsString("400 g"));
    page("?herb=heather&words=drying", containsString("300 g"));
  }

  @Test
  void aStrangerFindsNothingOfIt() throws Exception {
    charge(9);
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Una");

    assertThat(
            as(
                stranger,
                () -> journal.find(new Search("", null, null, List.of(), null, null), 0, 100)))
        .isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "'",
        "a & | ! ( :* b",
        "\\",
        "%",
        ":*",
        "<->",
        "\u0000x",
        "it's",
        "鼠尾草",
        "' or 1=1"
      })
  void anyWordsMayBeTyped(String words) throws Exception {
    charge(1);

    assertThat(find(words)).isNotNull();
  }

  @ParameterizedTest
  @CsvSource({"from, 2026-02-30", "until, soon", "page, x", "page, -1"})
  void whatIsNoDayIsSaid(String field, String typed) throws Exception {
    visit(keeper, "/journal?" + field + "=" + typed).andExpect(status().isUnprocessableContent());
  }

  @Test
  void aLongJournalIsTurnedPageByPage() throws Exception {
    String code = charge(9);
    for (int i = 0; i < 60; i++) {
      log(code, new Noted("Leaf " + i));
    }

    page("", containsString("Older"));
    page("?page=1", containsString("Newer"));
    page("?page=1", containsString("Charged"));
  }

  @Test
  void aHerbsPageShowsItsBatchesAndWhatWasLearned() throws Exception {
    String code = bottled(60);
    log(code, new LookedBack("Clear and green", "Cut it finer"));

    visit(keeper, "/herbs/yarrow")
        .andExpect(content().string(containsString("Achillea millefolium")))
        .andExpect(content().string(containsString("/batches/" + code)))
        .andExpect(content().string(containsString("Went well: “Clear and green")))
        .andExpect(content().string(containsString("Next time: “Cut it finer”")))
        .andExpect(content().string(containsString("Oil that its spent herb (marc) keeps")))
        .andExpect(content().string(containsString("by one batch of yours")));
    visit(keeper, "/bench")
        .andExpect(content().string(containsString("Next time: “Cut it finer”")));
    visit(keeper, "/herbs/heather")
        .andExpect(content().string(containsString("It has been in none yet")));
    visit(keeper, "/herbs/moonwort").andExpect(status().isNotFound());
  }

  @Test
  void whatWasWrittenBeforeThereWasAJournalIsCaughtUpOn() {
    String code = charge(9);
    log(code, new Noted("Before the journal " + code));
    UUID batch = as(keeper, () -> batches.find(code).id());
    jdbc.update(
        "delete from journal where id in (select id from entry where subject_id = ?)", batch);
    assertThat(find(code)).isEmpty();

    events.publishEvent(ready());

    assertThat(find("before " + code)).hasSize(1);
    assertThat(find("charged " + code)).hasSize(1);
    assertThat(find("before " + code).get(0).by()).isEqualTo("Una");
  }

  private org.springframework.boot.context.event.ApplicationReadyEvent ready() {
    return new org.springframework.boot.context.event.ApplicationReadyEvent(
        new org.springframework.boot.SpringApplication(VelvetCrock.class),
        new String[0],
        (org.springframework.context.ConfigurableApplicationContext) context,
        java.time.Duration.ZERO);
  }
}
