package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.util.ReflectionTestUtils;
import velvetcrock.core.batch.Noted;
import velvetcrock.web.CatchUp;

/** What an earlier version stored is caught up with: before the doors open, or beside. */
class CatchUpTest extends AppTest {
  private static final Duration SOON = Duration.ofSeconds(20);

  private final JdbcTemplate jdbc = TestCluster.shared().owner();
  private final List<UUID> found = new CopyOnWriteArrayList<>();
  private final List<String> by = new CopyOnWriteArrayList<>();

  @Autowired CatchUp catchUp;

  @AfterEach
  void few() {
    ReflectionTestUtils.setField(catchUp, "few", 1_000_000);
  }

  private void look(String code) {
    catchUp.each(
        "select id from batch where code = ?",
        id -> {
          by.add(Thread.currentThread().getName());
          found.add(id);
        },
        code);
  }

  private long done() {
    return jdbc.queryForObject("select count(*) from caught_up", Long.class);
  }

  @Test
  void inSomebodysOwnHouseItIsDoneAtOnceAndAtEachStart() {
    String code = charge(0);
    long before = done();

    look(code);
    look(code);

    UUID id = as(keeper, () -> batches.find(code).id());
    assertThat(found).filteredOn(id::equals).hasSize(2);
    assertThat(by).containsOnly(Thread.currentThread().getName());
    assertThat(done()).isEqualTo(before);
  }

  @Test
  void whereThereAreManyItIsDoneBesideThenForWhoWroteSinceAndNotAgainAfterAnHour() {
    ReflectionTestUtils.setField(catchUp, "few", 0);
    String code = charge(0);
    UUID id = as(keeper, () -> batches.find(code).id());
    long before = done();

    look(code);

    await().atMost(SOON).until(() -> done() == before + 1);
    assertThat(found).contains(id);
    assertThat(by).containsOnly("catching up");
    lookAgain(code);
    assertThat(found).as("nothing was written since").filteredOn(id::equals).hasSize(1);

    as(keeper, () -> acts.append(code, new Noted("smells of hay"), null, null, "note"));
    lookAgain(code);
    assertThat(found).filteredOn(id::equals).hasSize(2);

    jdbc.update("update caught_up set since = null");
    lookAgain(code);
    assertThat(found)
        .as("an earlier version does not say since when")
        .filteredOn(id::equals)
        .hasSize(3);

    as(keeper, () -> acts.append(code, new Noted("and of honey"), null, null, "another"));
    jdbc.update("update caught_up set done_at = now() - interval '2 hours'");
    int all = found.size();
    lookAgain(code);
    assertThat(found).hasSize(all);
  }

  /** As at the next start. */
  private void lookAgain(String code) {
    look(code);
    String next = "the next of " + by.size();
    catchUp.atStart(() -> by.add(next));
    await().atMost(SOON).until(() -> by.contains(next));
  }
}
