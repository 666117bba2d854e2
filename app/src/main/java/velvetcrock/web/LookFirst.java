package velvetcrock.web;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionStatus;

/**
 * Whoever asks the store of something while a page is read asks within its {@link OneLook look},
 * which begins with the first of them: by a transaction of its own, which takes part in it, or by
 * plain SQL.
 */
@Configuration(proxyBeanMethods = false)
class LookFirst {
  /** Transactions, as all who ask for one get them; by this name Spring's repositories do. */
  @Bean
  @Primary
  PlatformTransactionManager transactionManager(HouseholdTransactions transactions) {
    return new PlatformTransactionManager() {
      @Override
      public TransactionStatus getTransaction(TransactionDefinition definition) {
        OneLook.begin();
        return transactions.getTransaction(definition);
      }

      @Override
      public void commit(TransactionStatus status) {
        transactions.commit(status);
      }

      @Override
      public void rollback(TransactionStatus status) {
        transactions.rollback(status);
      }
    };
  }

  /** Plain SQL. */
  @Bean
  JdbcTemplate jdbcTemplate(DataSource connections) {
    return new JdbcTemplate(connections) {
      @Override
      protected DataSource obtainDataSource() {
        OneLook.begin();
        return super.obtainDataSource();
      }
    };
  }
}
