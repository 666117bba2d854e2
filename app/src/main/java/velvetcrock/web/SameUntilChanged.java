package velvetcrock.web;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A page that tells only what the store holds, what {@link BesideTheStore} marks, what time it is
 * to the minute, and who looks: it is made once and answered again until one of them is otherwise,
 * see {@link SamePages}.
 */
@Documented
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface SameUntilChanged {
  /**
   * Whether a browser may hold it and only ask whether it still stands. Not for a page to write on:
   * gone back to, it would be sent a second time under the key it was sent under before.
   */
  boolean held() default false;
}
