package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.web.Afterwards;

/** What follows from something that was stored. */
class AfterwardsTest extends BottleHouse {
  private static final int MANY = 3000;

  @Autowired Afterwards afterwards;

  /** Each of many asks the store, which is a transaction that ends; none waits within another. */
  @Test
  void manyThingsFollowOneAfterTheOther() {
    List<Integer> done = new ArrayList<>();
    List<Integer> deepest = new ArrayList<>(List.of(0));
    as(
        keeper,
        () ->
            new TransactionTemplate(afterwards)
                .execute(
                    status -> {
                      IntStream.range(0, MANY)
                          .forEach(
                              n ->
                                  afterwards.then(
                                      () -> {
                                        assertThat(households.current()).isNotNull();
                                        int depth = Thread.currentThread().getStackTrace().length;
                                        deepest.set(0, Math.max(deepest.get(0), depth));
                                        done.add(n);
                                      }));
                      return true;
                    }));
    assertThat(done).isEqualTo(IntStream.range(0, MANY).boxed().toList());
    assertThat(deepest.get(0)).isLessThan(500);
  }
}
