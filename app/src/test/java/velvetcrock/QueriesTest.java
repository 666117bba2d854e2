package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import jakarta.persistence.EntityManagerFactory;
import java.util.List;
import java.util.function.ToLongFunction;
import org.hibernate.SessionFactory;
import org.hibernate.engine.spi.SessionFactoryImplementor;
import org.hibernate.query.spi.QueryInterpretationCache;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import velvetcrock.core.batch.Noted;
import velvetcrock.core.batch.Shaken;

class QueriesTest extends AppTest {
  @Autowired EntityManagerFactory entityManagers;

  @Test
  void pagesAskTheDatabaseAsOftenForThirtyJarsAsForOne() throws Exception {
    String code = charge(9);
    visit(keeper, "/").andExpect(status().isOk()); // the household's own catalogue is read once
    long shelf = queries("/");
    long batch = queries("/batches/" + code);
    long cellar = queries("/cellar");
    for (int i = 0; i < 29; i++) {
      String other = charge(i);
      as(keeper, () -> acts.append(other, new Shaken(), null, null, "q" + other));
      as(keeper, () -> acts.append(code, new Noted("once more"), null, null, "n" + other));
    }

    assertThat(queries("/")).isLessThanOrEqualTo(shelf).isLessThanOrEqualTo(12);
    assertThat(queries("/batches/" + code)).isLessThanOrEqualTo(batch).isLessThanOrEqualTo(9);
    assertThat(queries("/cellar")).isLessThanOrEqualTo(cellar).isLessThanOrEqualTo(9);
  }

  /** One tells what it has written, one reads the page; the band above asks for three things. */
  @Test
  void aPageIsReadInOneTransaction() throws Exception {
    String code = charge(3);
    for (String path : List.of("/", "/bench", "/cellar", "/plans/new", "/batches/" + code)) {
      visit(keeper, path).andExpect(status().isOk());
      assertThat(fewest(path, Statistics::getTransactionCount)).as(path).isLessThanOrEqualTo(6);
    }
  }

  /** Hibernate keeps the SQL of no question that it has to limit to a household itself. */
  @Test
  void aQuestionIsPutIntoSqlOnce() throws Exception {
    visit(keeper, "/bench").andExpect(status().isOk());
    QueryInterpretationCache kept =
        entityManagers
            .unwrap(SessionFactoryImplementor.class)
            .getQueryEngine()
            .getInterpretationCache();
    assertThat(kept.getNumberOfCachedQueryPlans()).isGreaterThanOrEqualTo(10);
  }

  private long queries(String path) throws Exception {
    return fewest(path, Statistics::getPrepareStatementCount);
  }

  /** The fewest of three visits: the counter counts what runs beside them too. */
  private long fewest(String path, ToLongFunction<Statistics> counter) throws Exception {
    Statistics statistics = entityManagers.unwrap(SessionFactory.class).getStatistics();
    statistics.setStatisticsEnabled(true);
    long fewest = Long.MAX_VALUE;
    for (int i = 0; i < 3; i++) {
      statistics.clear();
      visit(keeper, path).andExpect(status().isOk());
      fewest = Math.min(fewest, counter.applyAsLong(statistics));
    }
    return fewest;
  }
}
