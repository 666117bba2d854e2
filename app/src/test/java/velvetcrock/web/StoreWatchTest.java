package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.sql.Connection;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;

class StoreWatchTest {
  private final StoreLine store = mock(StoreLine.class);
  private final Connection line = mock(Connection.class);
  private final StoreWatch watch = new StoreWatch(store);

  private boolean away() {
    watch.look();
    return watch.away();
  }

  @Test
  void itIsAwayUntilALineCanBeHadAgain() throws Exception {
    when(line.isValid(anyInt())).thenReturn(true, false);
    when(store.open(anyString(), anyInt()))
        .thenReturn(line)
        .thenThrow(new SQLException("refused", "08001"))
        .thenReturn(line);

    assertThat(away()).isFalse();
    assertThat(away()).as("its line is good").isFalse();
    assertThat(away()).as("its line broke, and there is no other").isTrue();
    assertThat(away()).isFalse();
  }

  /** Else whoever has lines is told that it is away, for one more that nobody else needs. */
  @Test
  void oneWithoutALineToSpareIsThere() throws Exception {
    when(store.open(anyString(), anyInt()))
        .thenThrow(new SQLException("sorry, too many clients already", "53300"))
        .thenThrow(new SQLException("refused", "08001"))
        .thenThrow(new SQLException("sorry, too many clients already", "53300"));

    assertThat(away()).isFalse();
    assertThat(away()).isTrue();
    assertThat(away()).as("it is back, and full").isFalse();
  }
}
