package velvetcrock.web;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * What may have waited on a phone until the house was reached: it has a key, so that it is written
 * once, and happened when it was made, not when it came in. Phones learn from it which forms they
 * may hold back.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface CanWait {}
