package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import jakarta.persistence.EntityManagerFactory;
import java.util.List;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.ResultActions;

/**
 * What is typed where nothing was written since, with held answers taken as they are, as in a real
 * house: elsewhere in the tests everything is asked all the same, to be compared.
 */
@TestPropertySource(properties = "velvetcrock.answers-checked=false")
class HeldPagesTest extends AppTest {
  @Autowired EntityManagerFactory entityManagers;

  /** Asks, each turn for something else. */
  private interface Asking {
    ResultActions ask(int turn) throws Exception;
  }

  private ResultActions want(int tins) throws Exception {
    return send(
        keeper,
        "/plans/new",
        "things[0].what",
        "TINS",
        "things[0].count",
        String.valueOf(tins),
        "things[0].size",
        "30 ml",
        "things[0].kind",
        "SALVE",
        "herb",
        "yarrow",
        "carrier",
        "olive",
        "by",
        today().plusDays(70).toString(),
        "from",
        "shopping");
  }

  private ResultActions weight(int grams) throws Exception {
    return send(keeper, "/bench/reckon", "amount", grams + " g");
  }

  @Test
  void aChangedWantOrWeightAsksNothingOfWhatIsHeld() throws Exception {
    for (Asking typed : List.<Asking>of(this::want, this::weight)) {
      typed.ask(9).andExpect(status().isOk());
      assertThat(fewestTransactions(typed)).isZero();
    }
  }

  @Test
  void whatWasWrittenIsOnThePageThatWasHeld() throws Exception {
    visit(keeper, "/round").andExpect(status().isOk());
    String jar = charge(3);
    visit(keeper, "/round").andExpect(content().string(containsString(jar)));
  }

  /** The fewest of three times: the counter counts what runs beside them too. */
  private long fewestTransactions(Asking typed) throws Exception {
    return Math.min(
        transactions(typed, 10), Math.min(transactions(typed, 11), transactions(typed, 12)));
  }

  private long transactions(Asking typed, int turn) throws Exception {
    Statistics statistics = entityManagers.unwrap(SessionFactory.class).getStatistics();
    statistics.setStatisticsEnabled(true);
    statistics.clear();
    typed.ask(turn).andExpect(status().isOk());
    return statistics.getTransactionCount();
  }
}
