package velvetcrock.check;

import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ExitCodeGenerator;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import velvetcrock.ledger.Checked;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/**
 * Checks all households and says what differs; see bin/check. Only once everything that an earlier
 * version wrote was folded anew.
 */
@Component
@ConditionalOnProperty("velvetcrock.check")
public class Checking implements ExitCodeGenerator {
  private final List<Checked> places;
  private final CurrentHousehold current;
  private final JdbcTemplate jdbc;
  private final boolean mend;
  private int differences;

  Checking(
      List<Checked> places,
      CurrentHousehold current,
      JdbcTemplate jdbc,
      @Value("${velvetcrock.mend:false}") boolean mend) {
    this.places = places;
    this.current = current;
    this.jdbc = jdbc;
    this.mend = mend;
  }

  private record Checker(UUID householdId, String displayName) implements InHousehold {}

  /** Does it, and prints what it finds. */
  public void run() {
    List<UUID> households = jdbc.queryForList("select id from household", UUID.class);
    for (UUID household : households) {
      current.actingAs(
          new Checker(household, ""),
          () -> {
            places.forEach(place -> place.check(mend).forEach(this::say));
            return null;
          });
    }
    System.out.println(
        households.size()
            + (households.size() == 1 ? " household" : " households")
            + " checked, "
            + differences
            + (differences == 1 ? " difference" : " differences")
            + (mend && differences > 0 ? "; mended what can be derived." : "."));
  }

  private void say(String difference) {
    differences++;
    System.out.println(difference);
  }

  @Override
  public int getExitCode() {
    return differences == 0 || mend ? 0 : 1;
  }
}
