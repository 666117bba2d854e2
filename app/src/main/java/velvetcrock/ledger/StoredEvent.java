package velvetcrock.ledger;

import velvetcrock.core.log.Event;

/**
 * What is kept of an event: plain data, in the form in which it is stored and sent. The event may
 * be renamed and rebuilt; this stays, or is read through an {@link UpCaster}.
 *
 * @param <E> what they all are
 */
public interface StoredEvent<E extends Event<?>> {
  /**
   * The event that it stands for.
   *
   * @throws velvetcrock.core.Refused if it could be of no use to anybody
   */
  E event();
}
