package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.io.EOFException;
import java.io.IOException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.mvc.support.DefaultHandlerExceptionResolver;

/** Nobody is told that all is well when the database went away as something was to be written. */
class StoreLostTest {
  private static final CannotCreateTransactionException BROKEN =
      new CannotCreateTransactionException(
          "begin", new SQLException("An I/O error occurred", "08006", new EOFException()));

  @RestController
  static class Writing {
    @PostMapping("/write")
    String write() {
      throw BROKEN;
    }
  }

  private static MockMvc with(HandlerExceptionResolver... resolvers) {
    return MockMvcBuilders.standaloneSetup(new Writing())
        .setHandlerExceptionResolvers(resolvers)
        .build();
  }

  @Test
  void aBrokenConnectionToTheDatabaseIsNoBrowserThatHungUp() throws Exception {
    HandlerExceptionResolver springs = new DefaultHandlerExceptionResolver();
    assertThat(with(springs).perform(post("/write")).andReturn().getResponse().getStatus())
        .as("why it is needed")
        .isEqualTo(200);
    assertThatThrownBy(() -> with(new StoreLost(), springs).perform(post("/write")))
        .hasRootCauseInstanceOf(EOFException.class);
  }

  /** By the time that it is told the database may be back, on another host: that is no error. */
  @Test
  void aLineThatBrokeOrWasNotToBeHadPassesEvenIfTheDatabaseIsBack() {
    assertThat(StoreTrouble.of(BROKEN)).hasValue(StoreTrouble.AWAY);
    assertThat(StoreTrouble.of(new RuntimeException(new SQLException("none leads", "08001"))))
        .hasValue(StoreTrouble.AWAY);
    assertThat(
            StoreTrouble.of(
                new CannotCreateTransactionException(
                    "begin", new SQLTransientConnectionException("none free after 10 s"))))
        .hasValue(StoreTrouble.AWAY);
    assertThat(StoreTrouble.of(new SQLException("too many parameters", "08P01")))
        .hasValue(StoreTrouble.BROKEN);
  }

  @Test
  void whatIsNotOfTheDatabaseIsLeftToTheOthers() {
    assertThat(StoreTrouble.of(new IllegalStateException(new IOException("hung up")))).isEmpty();
    assertThat(StoreTrouble.of(new RuntimeException(new SQLException("twice", "23505")))).isEmpty();
    assertThat(StoreTrouble.of(new RuntimeException(new SQLException("full", "53100"))))
        .hasValue(StoreTrouble.FULL);
  }
}
