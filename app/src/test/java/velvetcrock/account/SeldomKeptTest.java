package velvetcrock.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import java.time.Duration;
import java.time.Instant;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.session.MapSession;
import org.springframework.session.MapSessionRepository;
import org.springframework.session.Session;

/** A session is kept where something is new of it, and that it was looked at once a minute. */
class SeldomKeptTest {
  private static final Instant SEEN = Instant.parse("2026-06-01T10:00:00Z");

  private final MapSessionRepository store =
      spy(new MapSessionRepository(new ConcurrentHashMap<>()));
  private final SeldomKept<MapSession> sessions = new SeldomKept<>(store);
  private String id = "";

  @BeforeEach
  void oneThatWasSeenAt() {
    SeldomKept.Shown<MapSession> made = sessions.createSession();
    made.setAttribute("who", "ailsa");
    made.setLastAccessedTime(SEEN);
    made.setMaxInactiveInterval(Duration.ofDays(100_000));
    sessions.save(made);
    MapSession kept = Objects.requireNonNull(store.findById(made.getId()));
    kept.setLastAccessedTime(SEEN);
    store.save(kept);
    id = made.getId();
    clearInvocations(store);
  }

  private SeldomKept.Shown<MapSession> found() {
    return Objects.requireNonNull(sessions.findById(id));
  }

  private void request(Consumer<Session> does) {
    SeldomKept.Shown<MapSession> session = found();
    does.accept(session);
    sessions.save(session);
    sessions.save(session);
  }

  @ParameterizedTest
  @ValueSource(longs = {0, 1, 59, 60})
  void aPageWithinTheMinuteKeepsNothing(long seconds) {
    request(
        session -> {
          session.setLastAccessedTime(SEEN.plusSeconds(seconds));
          assertThat(session.<String>getAttribute("who")).isEqualTo("ailsa");
          session.setMaxInactiveInterval(session.getMaxInactiveInterval());
        });

    verify(store, never()).save(any());
    assertThat(found().getLastAccessedTime()).isEqualTo(SEEN);
  }

  @Test
  void aLaterOneKeepsWhenItWasOnce() {
    request(session -> session.setLastAccessedTime(SEEN.plusSeconds(61)));

    verify(store, times(1)).save(any());
    assertThat(found().getLastAccessedTime()).isEqualTo(SEEN.plusSeconds(61));
  }

  @Test
  void whatIsPutIntoItOrTakenOutIsKept() {
    request(session -> session.setAttribute("notice", "Taken back."));
    assertThat(found().<String>getAttribute("notice")).isEqualTo("Taken back.");
    request(session -> session.removeAttribute("notice"));
    assertThat(found().getAttributeNames()).containsExactly("who");
    request(session -> session.setMaxInactiveInterval(Duration.ofDays(99_999)));
    assertThat(found().getMaxInactiveInterval()).isEqualTo(Duration.ofDays(99_999));
    verify(store, times(3)).save(any());
  }

  @Test
  void itsNewNameIsKeptAndTheOldOneForgotten() {
    String old = id;
    request(session -> id = session.changeSessionId());

    assertThat(id).isNotEqualTo(old);
    assertThat(found().<String>getAttribute("who")).isEqualTo("ailsa");
    assertThat(sessions.findById(old)).isNull();
    sessions.deleteById(id);
    assertThat(sessions.findById(id)).isNull();
  }
}
