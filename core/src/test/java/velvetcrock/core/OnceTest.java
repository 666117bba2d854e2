package velvetcrock.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class OnceTest {
  private final AtomicInteger reckoned = new AtomicInteger();

  @Test
  void isReckonedWhenFirstAskedForAndThenKnown() {
    Once<Integer> once = new Once<>(reckoned::incrementAndGet);
    assertThat(reckoned).hasValue(0);
    assertThat(once.get()).isEqualTo(1);
    assertThat(once.get()).isEqualTo(1);
  }

  @Test
  void whatRefusesIsAskedAnew() {
    Once<Integer> once =
        new Once<>(
            () -> {
              if (reckoned.incrementAndGet() == 1) {
                throw new Refused("grossG", "It cannot have grown.");
              }
              return 7;
            });
    assertThatThrownBy(once::get).isInstanceOf(Refused.class);
    assertThat(once.get()).isEqualTo(7);
  }
}
