package velvetcrock.web;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Does for what was stored by an earlier version what a newer one does as it stores. */
@Component
public class CatchUp {
  private final JdbcTemplate jdbc;
  private final CurrentHousehold current;
  private final TransactionTemplate transactions;

  CatchUp(JdbcTemplate jdbc, CurrentHousehold current, TransactionTemplate transactions) {
    this.jdbc = jdbc;
    this.current = current;
    this.transactions = transactions;
  }

  private record Scribe(UUID householdId, String displayName) implements InHousehold {}

  /**
   * Does something for each thing that a query finds in any household, on its behalf and in a
   * transaction of its own.
   *
   * @param sql finds a thing’s id a row
   * @param given what stands for the question marks in it
   */
  public void each(String sql, Consumer<UUID> work, Object... given) {
    inEach(
        () -> {
          List<UUID> missing =
              transactions.execute(status -> jdbc.queryForList(sql, UUID.class, given));
          Objects.requireNonNull(missing)
              .forEach(id -> transactions.executeWithoutResult(status -> work.accept(id)));
        });
  }

  /**
   * Does something on behalf of each household, one after another; of the one alone that somebody
   * acts for already.
   *
   * @return how many there are
   */
  public int inEach(Runnable work) {
    if (current.who().isPresent()) {
      work.run();
      return 1;
    }
    List<UUID> households = jdbc.queryForList("select id from household", UUID.class);
    for (UUID household : households) {
      current.actingAs(
          new Scribe(household, ""),
          () -> {
            work.run();
            return null;
          });
    }
    return households.size();
  }
}
