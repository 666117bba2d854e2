package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** While a page is read, nothing turns the rest of it to another household. */
class AtHandTest {
  private final CurrentHousehold current = mock(CurrentHousehold.class);
  private final AtHand atHand = new AtHand(mock(JdbcTemplate.class), current);
  private final MockHttpServletRequest request = new MockHttpServletRequest();
  private final UUID own = UUID.randomUUID();

  @BeforeEach
  void isSignedIn() {
    InHousehold una = mock(InHousehold.class);
    when(una.householdId()).thenReturn(own);
    when(current.who()).thenReturn(Optional.of(una));
    RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
  }

  @AfterEach
  void goes() {
    RequestContextHolder.resetRequestAttributes();
  }

  @Test
  void aPageStaysWithItsHousehold() {
    request.setAttribute(OneLook.class.getName(), "a page is read");

    assertThatThrownBy(() -> atHand.of(UUID.randomUUID()))
        .isInstanceOf(IllegalStateException.class);
    assertThatCode(() -> atHand.of(own)).doesNotThrowAnyException();
  }

  @Test
  void atTheDoorItIsWhoeverShowsItsSecret() {
    assertThatCode(() -> atHand.of(UUID.randomUUID())).doesNotThrowAnyException();
  }
}
