package velvetcrock.ledger;

import java.util.function.Function;
import velvetcrock.core.log.Event;
import velvetcrock.core.log.Log;

/**
 * All that the ledger must know of one kind of log.
 *
 * @param subject what it is the log of
 * @param storage how its events are stored
 * @param fold what a log amounts to
 * @param state what it amounts to is a
 * @param rules raised whenever the fold changes what it makes of the same log, so that states kept
 *     from before are folded anew
 */
public record Book<E extends Event<?>, S>(
    Subject subject, EventStorage<E> storage, Function<Log<E>, S> fold, Class<S> state, int rules) {

  /** Names the fold and the shape of its states; states kept under another are folded anew. */
  public String version() {
    return rules + ":" + Shape.of(state);
  }
}
