package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import velvetcrock.chronicle.LetGoOfTheOld;

/** What is done by itself is done by one instance: the others find that it was done. */
class JobsOnceTest extends AppTest {
  private final JdbcTemplate jdbc = TestCluster.shared().owner();

  @Autowired LetGoOfTheOld letGo;

  /** Says until when another instance holds the job. */
  private void heldFor(String interval) {
    jdbc.update(
        "insert into job_lock values ('let-go', now() + cast(? as interval), now(), ?)"
            + " on conflict (name) do update set lock_until = excluded.lock_until",
        interval,
        UUID.randomUUID().toString());
  }

  private void somethingOldHappened() {
    jdbc.update(
        "insert into happened (household_id, at, deed, who, address, what)"
            + " values (?, now() - interval '2 years', 'SIGNED_IN', 'Una', '', '')",
        house.id());
  }

  private int old() {
    return jdbc.queryForObject(
        "select count(*) from happened where household_id = ?", Integer.class, house.id());
  }

  @Test
  void aJobThatAnotherInstanceHasJustDoneIsLeftAlone() {
    heldFor("-1 second");
    somethingOldHappened();
    letGo.run();
    assertThat(old()).isZero();

    somethingOldHappened();
    letGo.run();
    assertThat(old()).isOne();

    heldFor("-1 second");
    letGo.run();
    assertThat(old()).isZero();
  }

  @Test
  void aJobUnderWayElsewhereIsNotBegun() {
    heldFor("1 hour");
    somethingOldHappened();
    letGo.run();
    assertThat(old()).isOne();
    heldFor("-1 second");
  }
}
