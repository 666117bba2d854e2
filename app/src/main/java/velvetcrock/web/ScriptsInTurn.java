package velvetcrock.web;

import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Where probes and scripts take turns, so that people's pages find a processor and a connection
 * however many of them send at once. Nothing that waits for the other side happens within a turn.
 */
@Component
public class ScriptsInTurn {
  private static final int AT_ONCE = 3;

  private final Turns turns = new Turns(AT_ONCE);

  /** Does it when its turn has come. */
  public <T> T take(Supplier<T> work) {
    return turns.take(work);
  }
}
