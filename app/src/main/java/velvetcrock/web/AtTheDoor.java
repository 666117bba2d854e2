package velvetcrock.web;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A page for whoever shows a secret, which may be another household’s than the one of whoever is
 * signed in: it is not read in {@link OneLook one look}, where all is asked for that one.
 */
@Documented
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface AtTheDoor {}
