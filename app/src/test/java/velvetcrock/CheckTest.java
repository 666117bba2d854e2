package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import velvetcrock.core.batch.AllWell;
import velvetcrock.core.batch.Noted;
import velvetcrock.ledger.Checked;

/** What is kept for reading is compared with the logs, and mended from them. */
class CheckTest extends AppTest {
  @Autowired List<Checked> places;
  final JdbcTemplate jdbc = TestCluster.shared().owner();

  private List<String> check(boolean mend) {
    return as(keeper, () -> places.stream().flatMap(p -> p.check(mend).stream()).toList());
  }

  @Test
  void theDemoHouseholdIsWhatItsLogsSay() {
    Somebody ailsa =
        new Somebody(
            jdbc.queryForObject(
                "select id from household where demo and name like 'Keeper%'", UUID.class),
            "Ailsa");

    assertThat(as(ailsa, () -> places.stream().flatMap(p -> p.check(false).stream()).toList()))
        .isEmpty();
  }

  @Test
  void aStateThatIsNotItsLogsIsSaidAndMended() {
    String code = charge(5);
    as(keeper, () -> acts.append(code, new AllWell(), null, null, "well" + code));
    assertThat(check(false)).isEmpty();

    jdbc.update(
        "update batch set status = 'FINISHED', standing = false where household_id = ? and code = ?",
        house.id(),
        code);
    assertThat(check(false))
        .containsExactly("Batch " + code + ": what is kept of it is not what its log says");
    assertThat(check(true)).hasSize(1);
    assertThat(check(false)).isEmpty();
    assertThat(as(keeper, () -> batches.standing())).anyMatch(b -> b.code().equals(code));
  }

  @Test
  void aStateOfOtherRulesIsFoldedAnewAsItIsRead() {
    String code = charge(5);
    jdbc.update(
        "update batch set state = '{}'::jsonb, state_version = 'older'"
            + " where household_id = ? and code = ?",
        house.id(),
        code);

    assertThat(as(keeper, () -> batches.find(code)).state().entries()).isEqualTo(1);
    assertThat(check(true)).hasSize(1);
    assertThat(check(false)).isEmpty();
  }

  @Test
  void whatTheJournalForgotIsToldAgain() {
    String code = charge(5);
    as(keeper, () -> acts.append(code, new Noted("Smells of hay"), null, null, "n" + code));
    jdbc.update(
        "delete from journal where household_id = ? and subject = ? and kind = 'note'",
        house.id(),
        code);

    assertThat(check(false)).singleElement().asString().contains("does not know", "note");
    check(true);
    assertThat(check(false)).isEmpty();
  }
}
