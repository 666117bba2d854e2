package velvetcrock.web;

import jakarta.persistence.EntityManagerFactory;
import java.util.ArrayDeque;
import java.util.Deque;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Does what follows from a transaction once that is stored and its connection given back, in the
 * same thread: so that no act ever holds two. What a transaction that fails would have led to is
 * never done; what follows and fails itself is logged, and takes nothing back.
 */
@Component
public class Afterwards extends HouseholdTransactions {
  private static final long serialVersionUID = 1L;
  private static final Logger LOG = LoggerFactory.getLogger(Afterwards.class);

  private static final ThreadLocal<Deque<Runnable>> WAITING =
      ThreadLocal.withInitial(ArrayDeque::new);

  /** Whether what waited is being done: what it stores itself is followed by the same hand. */
  private static final ThreadLocal<Boolean> DOING = ThreadLocal.withInitial(() -> false);

  Afterwards(EntityManagerFactory entities, DataSource connections, CurrentHousehold current) {
    super(entities, connections, current);
  }

  /** Does something once the transaction that runs now is stored; at once where none runs. */
  public void then(Runnable work) {
    if (!TransactionSynchronizationManager.isSynchronizationActive()) {
      work.run();
      return;
    }
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            WAITING.get().add(work);
          }
        });
  }

  /** Here the connection has been given back, and whatever ran around it is still set aside. */
  @Override
  protected void doCleanupAfterCompletion(Object transaction) {
    super.doCleanupAfterCompletion(transaction);
    if (DOING.get()) {
      return;
    }
    DOING.set(true);
    try {
      Deque<Runnable> waiting = WAITING.get();
      for (Runnable work = waiting.poll(); work != null; work = waiting.poll()) {
        done(work);
      }
    } finally {
      DOING.set(false);
    }
  }

  private static void done(Runnable work) {
    try {
      work.run();
    } catch (RuntimeException e) {
      LOG.error("What follows from something stored could not be done.", e);
    }
  }
}
