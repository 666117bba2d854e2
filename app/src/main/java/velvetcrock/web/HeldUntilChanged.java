package velvetcrock.web;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.cache.annotation.Cacheable;

/**
 * What a household's store is asked, and answers the same until the household writes something, or
 * something of what is named: it is asked once and held, see {@link HeldAnswers}. The answer is to
 * be the store's alone, with nothing of the clock but what is asked with, to be equal where it is
 * the same, and never to be changed by whoever is given it.
 */
@Documented
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@Cacheable(cacheResolver = HeldAnswers.NAME, keyGenerator = HeldAnswers.NAME)
public @interface HeldUntilChanged {
  /** All of which the answer is; anything may be where nothing is named. */
  HouseholdPart[] value() default {};

  /** As how many rows of the store it is reckoned, where it is larger than one of them. */
  int rows() default 1;
}
