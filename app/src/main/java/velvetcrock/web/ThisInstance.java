package velvetcrock.web;

import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * What tells this instance from others on the same database, as long as it runs. Its line to the
 * other instances bears it, so that the database knows who is alive.
 */
@Component
public class ThisInstance {
  private static final String LINE = "velvetcrock ";

  private final UUID id = UUID.randomUUID();

  /** Its own id. */
  public UUID id() {
    return id;
  }

  /** What the line is called by which it hears the others. */
  public String line() {
    return LINE + id;
  }
}
