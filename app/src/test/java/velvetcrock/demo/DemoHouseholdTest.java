package velvetcrock.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.boot.DefaultApplicationArguments;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;

/** Nobody enters the demo before it stands, nor where none is wanted. */
class DemoHouseholdTest {
  private final Households households = mock();
  private final CurrentHousehold current = mock();
  private final Household cottage = mock();

  private DemoHousehold demo(boolean wanted) {
    when(cottage.id()).thenReturn(UUID.randomUUID());
    when(households.demo()).thenReturn(Optional.of(cottage));
    return new DemoHousehold(households, mock(), mock(), current, mock(), wanted);
  }

  @Test
  void itStandsOnceItIsMade() {
    DemoHousehold demo = demo(true);
    when(current.actingAs(any(), any()))
        .thenAnswer(
            making -> {
              assertThat(demo.stands()).isFalse();
              assertThat(demo.here()).isEmpty();
              return null;
            });
    demo.run(new DefaultApplicationArguments());

    assertThat(demo.stands()).isTrue();
    assertThat(demo.here()).contains(cottage);
  }

  @Test
  void oneThatIsLeftBehindDoesNotWhereNoneIsWanted() {
    DemoHousehold demo = demo(false);
    demo.run(new DefaultApplicationArguments());

    assertThat(demo.stands()).isFalse();
    assertThat(demo.here()).isEmpty();
  }
}
