package velvetcrock.web;

import java.util.List;
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

  private record Missing(UUID household, UUID id) {}

  private record Scribe(UUID householdId, String displayName) implements InHousehold {}

  /**
   * Does something for each thing that a query finds, on behalf of its household and in a
   * transaction of its own.
   *
   * @param sql finds a household’s id and a thing’s id a row
   * @param given what stands for the question marks in it
   */
  public void each(String sql, Consumer<UUID> work, Object... given) {
    List<Missing> missing =
        jdbc.query(
            sql,
            (row, number) ->
                new Missing(row.getObject(1, UUID.class), row.getObject(2, UUID.class)),
            given);
    for (Missing one : missing) {
      current.actingAs(
          new Scribe(one.household(), ""),
          () -> {
            transactions.executeWithoutResult(status -> work.accept(one.id()));
            return null;
          });
    }
  }
}
