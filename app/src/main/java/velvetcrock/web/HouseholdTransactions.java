package velvetcrock.web;

import jakarta.persistence.EntityManagerFactory;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.dao.support.DataAccessUtils;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.orm.jpa.EntityManagerHolder;
import org.springframework.orm.jpa.JpaTransactionManager;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;
import org.springframework.transaction.support.DelegatingTransactionDefinition;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Begins each transaction by telling the database for whom it works: it shows the rows of that
 * household and no others. Whoever asks outside a transaction, or on behalf of nobody, finds
 * nothing. Said for the transaction alone, so that no connection carries a household on. Ends each
 * that wrote something by counting it, see {@link HouseholdChanges}.
 */
abstract class HouseholdTransactions extends JpaTransactionManager {
  private static final long serialVersionUID = 1;

  private final transient CurrentHousehold current;
  private final transient DataSource connections;
  private final transient JdbcTemplate counting;

  HouseholdTransactions(
      EntityManagerFactory factory, DataSource connections, CurrentHousehold current) {
    super(factory);
    this.current = current;
    this.connections = connections;
    this.counting = new JdbcTemplate(connections);
    setDataSource(connections);
  }

  @Override
  protected void doBegin(Object transaction, TransactionDefinition definition) {
    super.doBegin(transaction, new OnItsConnection(definition));
    try {
      if (definition.getIsolationLevel() == TransactionDefinition.ISOLATION_REPEATABLE_READ) {
        counting.execute("set transaction isolation level repeatable read");
      }
      current.who().ifPresent(who -> say(who.householdId(), definition.isReadOnly()));
    } catch (RuntimeException e) {
      giveUp(transaction);
      throw e;
    }
  }

  /**
   * What of a transaction is asked of its connection. Its isolation is not: it is said within the
   * transaction, as who it works for is, since a connection may be shared out by the transaction
   * and must carry nothing on.
   */
  private static final class OnItsConnection extends DelegatingTransactionDefinition {
    private static final long serialVersionUID = 1;

    OnItsConnection(TransactionDefinition asked) {
      super(asked);
    }

    @Override
    public int getIsolationLevel() {
      return ISOLATION_DEFAULT;
    }
  }

  /**
   * Whatever was written is counted last, so that nobody waits for a count longer than a commit.
   */
  @Override
  protected void doCommit(DefaultTransactionStatus status) {
    if (!status.isReadOnly() && current.who().isPresent()) {
      flush();
      counting.update(HouseholdChanges.COUNT);
      HouseholdChanges.written(current.id());
    }
    super.doCommit(status);
  }

  private void flush() {
    EntityManagerHolder holder =
        (EntityManagerHolder)
            TransactionSynchronizationManager.getResource(obtainEntityManagerFactory());
    if (holder != null) {
      try {
        holder.getEntityManager().flush();
      } catch (RuntimeException e) {
        throw DataAccessUtils.translateIfNecessary(e, getJpaDialect());
      }
    }
  }

  /** What has begun is not to lie about: whoever asks next would find it. */
  private void giveUp(Object transaction) {
    EntityManagerHolder begun =
        (EntityManagerHolder)
            TransactionSynchronizationManager.getResource(obtainEntityManagerFactory());
    try {
      if (begun != null && begun.getEntityManager().getTransaction().isActive()) {
        begun.getEntityManager().getTransaction().rollback();
      }
    } catch (RuntimeException gone) {
      logger.debug("What had begun could not be taken back", gone);
    } finally {
      doCleanupAfterCompletion(transaction);
    }
  }

  /** Says it, and asks by the way how often it has written something where somebody will ask. */
  private void say(UUID household, boolean reads) {
    Connection connection = DataSourceUtils.getConnection(connections);
    try {
      if (reads && HouseholdChanges.notAskedYet(household)) {
        HouseholdChanges.ask(connection, household);
      } else {
        try (PreparedStatement statement = connection.prepareStatement(AtHand.HOUSEHOLD)) {
          statement.setString(1, household.toString());
          statement.execute();
        }
      }
    } catch (SQLException e) {
      throw new CannotCreateTransactionException("The store does not answer.", e);
    } finally {
      DataSourceUtils.releaseConnection(connection, connections);
    }
  }
}
