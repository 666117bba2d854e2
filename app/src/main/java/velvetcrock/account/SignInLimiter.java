package velvetcrock.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import java.time.Duration;
import org.springframework.stereotype.Component;

/**
 * Limits failed sign-ins: eight to a sign-in name and thirty to an address in ten minutes. Only
 * failures count, so nobody is kept out by signing in often.
 */
@Component
class SignInLimiter {
  private static final Duration WINDOW = Duration.ofMinutes(10);
  private static final int PER_NAME = 8;
  private static final int PER_ADDRESS = 30;
  private static final int REMEMBERED = 50_000;

  private final Cache<String, Bucket> buckets =
      Caffeine.newBuilder().maximumSize(REMEMBERED).expireAfterAccess(WINDOW).build();

  boolean open(String login, String address) {
    return name(login).getAvailableTokens() > 0 && address(address).getAvailableTokens() > 0;
  }

  void failed(String login, String address) {
    name(login).tryConsume(1);
    address(address).tryConsume(1);
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
