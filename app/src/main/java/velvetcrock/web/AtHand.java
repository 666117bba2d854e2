package velvetcrock.web;

import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Says to the database who stands at the door, for the transaction that runs. Before anybody knows
 * whose it is, a name, a token or a link opens the one row that bears it.
 */
@Component
public class AtHand {
  static final String HOUSEHOLD = "select set_config('velvetcrock.household', ?, true)";
  private static final String SHOWN = "select set_config('velvetcrock.shown', ?, true)";

  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;

  AtHand(JdbcTemplate jdbc, CurrentHousehold current) {
    this.jdbc = jdbc;
    this.current = current;
  }

  /**
   * Lets the row be found that bears what somebody shows.
   *
   * @param what a sign-in name, a label’s token, or the hash of a secret
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void shows(String what) {
    jdbc.queryForObject(SHOWN, String.class, what);
  }

  /**
   * Works for a household from here to the end of the transaction.
   *
   * @throws IllegalStateException where that is a whole page’s, of which the rest is for another
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void of(UUID household) {
    if (OneLook.open() && !current.who().map(w -> w.householdId().equals(household)).orElse(true)) {
      throw new IllegalStateException("A page that is read is one household’s, see AtTheDoor.");
    }
    jdbc.queryForObject(HOUSEHOLD, String.class, household.toString());
  }
}
