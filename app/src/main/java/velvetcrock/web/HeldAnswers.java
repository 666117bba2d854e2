package velvetcrock.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.lang.reflect.Method;
import java.time.Duration;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.ToLongFunction;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.aop.support.AopUtils;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.cache.annotation.CachingConfigurer;
import org.springframework.cache.annotation.EnableCaching;
import org.springframework.cache.concurrent.ConcurrentMapCache;
import org.springframework.cache.interceptor.CacheOperationInvocationContext;
import org.springframework.cache.interceptor.CacheResolver;
import org.springframework.cache.interceptor.KeyGenerator;
import org.springframework.cache.support.NoOpCache;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.MergedAnnotations;
import org.springframework.core.annotation.MergedAnnotations.SearchStrategy;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.context.request.RequestContextHolder;

/**
 * Holds what the store answered, for as long as the household at hand has written nothing of it, by
 * whichever instance: under the count of what it has written ({@link HouseholdChanges}), as pages
 * are. Whoever writes asks the store itself, in the transaction that writes; so does whatever is no
 * request. Where {@code velvetcrock.answers-checked} is set, as in tests, everything is asked all
 * the same and has to be equal.
 */
@Configuration(value = HeldAnswers.NAME, proxyBeanMethods = false)
@EnableCaching(order = Ordered.LOWEST_PRECEDENCE - 1)
class HeldAnswers implements CachingConfigurer, CacheResolver, KeyGenerator {
  /** By which an annotation names it. */
  static final String NAME = "heldAnswers";

  private static final Duration LONGEST = Duration.ofMinutes(2);

  /** Rows: lots, jars, bottles. Their states are mostly held already, by what they were read of. */
  private static final int MOST_ROWS = 20_000;

  private static final String NOT_HELD = "not held";

  private final HouseholdChanges changes;
  private final CurrentHousehold current;
  private final org.springframework.cache.Cache held;
  private final Map<Method, HeldUntilChanged> marked = new ConcurrentHashMap<>();
  private final org.springframework.cache.Cache none = new NoOpCache(NAME);

  HeldAnswers(
      HouseholdChanges changes,
      CurrentHousehold current,
      @Value("${velvetcrock.answers-checked:false}") boolean checked) {
    this.changes = changes;
    this.current = current;
    Cache<Object, Object> answers =
        Caffeine.newBuilder()
            .maximumWeight(MOST_ROWS)
            .weigher((Object asked, Object answer) -> rows((Asked) asked, answer))
            .expireAfterWrite(LONGEST)
            .build();
    this.held =
        checked
            ? new Checked(answers, asked -> changes.now(mark(asked.what()).value()))
            : new ConcurrentMapCache(NAME, answers.asMap(), true);
  }

  /** What was asked, of whom, when it had written so often. */
  private record Asked(UUID household, long changes, Method what, List<@Nullable Object> with) {}

  private int rows(Asked asked, Object answer) {
    return answer instanceof Collection<?> many
        ? 1 + many.size()
        : answer instanceof Map<?, ?> map ? 1 + map.size() : mark(asked.what()).rows();
  }

  private HeldUntilChanged mark(Method asked) {
    return Objects.requireNonNull(marked.get(asked));
  }

  @Override
  public CacheResolver cacheResolver() {
    return this;
  }

  @Override
  public Collection<? extends org.springframework.cache.Cache> resolveCaches(
      CacheOperationInvocationContext<?> context) {
    return List.of(holds() ? held : none);
  }

  @Override
  public Object generate(Object target, Method method, @Nullable Object... params) {
    return holds()
        ? new Asked(
            current.id(),
            changes.seen(mark(target, method).value()),
            method,
            Arrays.stream(params).map(HeldAnswers::byValue).toList())
        : NOT_HELD;
  }

  /** How it is marked. */
  private HeldUntilChanged mark(Object target, Method method) {
    return marked.computeIfAbsent(
        method,
        asked ->
            MergedAnnotations.from(
                    AopUtils.getMostSpecificMethod(asked, target.getClass()),
                    SearchStrategy.TYPE_HIERARCHY)
                .get(HeldUntilChanged.class)
                .synthesize());
  }

  private static @Nullable Object byValue(@Nullable Object asked) {
    return asked instanceof Object[] several ? Arrays.asList(several) : asked;
  }

  private boolean holds() {
    return RequestContextHolder.getRequestAttributes() != null
        && current.who().isPresent()
        && (!TransactionSynchronizationManager.isActualTransactionActive()
            || TransactionSynchronizationManager.isCurrentTransactionReadOnly());
  }

  /** Holds nothing back, and compares what is answered with what was. */
  private static final class Checked extends ConcurrentMapCache {
    private static final Pattern FRACTION = Pattern.compile("-?\\d+\\.\\d+(E-?\\d+)?");
    private static final double TO = 1e-9;

    private final ToLongFunction<Asked> now;

    /**
     * Compares what is asked with what was.
     *
     * @param now under which count it would be asked now
     */
    Checked(Cache<Object, Object> answers, ToLongFunction<Asked> now) {
      super(NAME, answers.asMap(), true);
      this.now = now;
    }

    @Override
    protected @Nullable Object lookup(Object key) {
      return null;
    }

    /**
     * Whether two answers are one in words, and in figures nearly: a sum comes out otherwise in its
     * last digits where its rows are read in another order.
     */
    private static boolean same(@Nullable Object before, @Nullable Object now) {
      String one = String.valueOf(before);
      String other = String.valueOf(now);
      return Arrays.equals(FRACTION.split(one), FRACTION.split(other))
          && Arrays.equals(figures(one), figures(other), Checked::nearly);
    }

    private static Double[] figures(String answer) {
      return FRACTION
          .matcher(answer)
          .results()
          .map(r -> Double.valueOf(r.group()))
          .toArray(Double[]::new);
    }

    private static int nearly(Double one, Double other) {
      return Math.abs(one - other) <= TO * Math.max(1, Math.abs(one))
          ? 0
          : Double.compare(one, other);
    }

    /**
     * Takes an answer.
     *
     * @throws IllegalStateException where it is another than before though nothing was written
     */
    @Override
    public void put(Object key, @Nullable Object value) {
      Object before = fromStoreValue(getNativeCache().get(key));
      if (before != null
          && !before.equals(value)
          && !same(before, value)
          && key instanceof Asked asked
          && now.applyAsLong(asked) == asked.changes()) {
        throw new IllegalStateException(asked.what() + " was " + before + " and is " + value);
      }
      super.put(key, value);
    }
  }
}
