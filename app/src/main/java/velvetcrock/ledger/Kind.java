package velvetcrock.ledger;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** What is to be said of the stored form of a kind of entry. */
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.TYPE)
public @interface Kind {
  /** Its name, as it is stored and sent. */
  String name();

  /** The version of this form; a higher one wants an {@link UpCaster} from each before it. */
  int version() default 1;

  /** What it tells of, for the description of the JSON face. */
  String says();

  /** Who may write it. */
  Door door();
}
