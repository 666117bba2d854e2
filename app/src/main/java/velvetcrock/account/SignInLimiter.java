package velvetcrock.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import java.time.Duration;
import org.springframework.stereotype.Component;

/**
 * Limits failed sign-ins: eight to a sign-in name and thirty to an address in ten minutes. Only
 * failures count, so nobody is kept out by signing in often. What is remembered is bounded by its
 * weight, not by its number alone.
 */
@Component
class SignInLimiter {
  private static final Duration WINDOW = Duration.ofMinutes(10);
  private static final int PER_NAME = 8;
  private static final int PER_ADDRESS = 30;

  /** A bucket with its key and place, bytes. */
  private static final int WEIGHT = 600;

  private static final long MOST_BYTES = 16L * 1024 * 1024;

  private final Cache<String, Bucket> buckets =
      Caffeine.newBuilder()
          .maximumWeight(MOST_BYTES)
          .weigher((String key, Bucket bucket) -> WEIGHT + 2 * key.length())
          .expireAfterAccess(WINDOW)
          .build();

  boolean openTo(String address) {
    return address(address).getAvailableTokens() > 0;
  }

  boolean openFor(String login) {
    return login.isEmpty() || name(login).getAvailableTokens() > 0;
  }

  /** One failure more; a name that nobody can have is not remembered. */
  void failed(String login, String address) {
    address(address).tryConsume(1);
    if (!login.isEmpty()) {
      name(login).tryConsume(1);
    }
  }

  /** How many names and addresses are remembered. */
  long remembered() {
    buckets.cleanUp();
    return buckets.estimatedSize();
  }

  private Bucket name(String login) {
    return buckets.get("name:" + login, key -> bucket(PER_NAME));
  }

  private Bucket address(String address) {
    return buckets.get("address:" + address, key -> bucket(PER_ADDRESS));
  }

  private static Bucket bucket(int capacity) {
    return Bucket.builder()
        .addLimit(limit -> limit.capacity(capacity).refillIntervally(capacity, WINDOW))
        .build();
  }
}
