package velvetcrock.house;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;
import velvetcrock.web.Secrets;

/** Phones that are on their way: each is waited for under a secret of its own, for half an hour. */
@Component
class Arrivals {
  private static final Duration WAITED = Duration.ofMinutes(30);
  private static final int MOST = 500;

  private final Cache<String, Optional<Instant>> awaited =
      Caffeine.newBuilder().expireAfterWrite(WAITED).maximumSize(MOST).build();
  private final Clock clock;

  Arrivals(Clock clock) {
    this.clock = clock;
  }

  /** Waits for one more phone; hands back the secret by which it will be known. */
  String await() {
    String secret = Secrets.fresh();
    awaited.put(secret, Optional.empty());
    return secret;
  }

  /**
   * A phone is here.
   *
   * @return whether one was waited for under this secret
   */
  boolean arrived(String secret) {
    return awaited
            .asMap()
            .computeIfPresent(secret, (key, at) -> Optional.of(at.orElseGet(clock::instant)))
        != null;
  }

  /** Whether one is waited for under this secret, or has come. */
  boolean known(String secret) {
    return awaited.getIfPresent(secret) != null;
  }

  /** When the phone came; empty while it is waited for. */
  Optional<Instant> at(String secret) {
    return Optional.ofNullable(awaited.getIfPresent(secret)).flatMap(at -> at);
  }
}
