package velvetcrock.core.drawer;

import velvetcrock.core.log.Event;

/** What can happen to a lot. Amounts are in the unit of its kind. */
public sealed interface LotEvent extends Event<LotLog>
    permits LotAdded,
        LotPicked,
        LotTaken,
        LotGivenBack,
        LotCounted,
        LotDescribed,
        LotOpened,
        LotEnded,
        LotStruck {
  /** Most that anybody has of anything: 100 kg or 100 l. */
  double MOST = 100_000;

  /** Least amount that is one. */
  double LEAST = 0.001;

  /** What it went into or came back from; empty where it did neither. */
  default String wentInto() {
    return "";
  }

  /** What a visitor says of this kind. */
  <R> R accept(Visitor<R> visitor);

  /**
   * What is to be said of each kind.
   *
   * @param <R> what it is
   */
  interface Visitor<R> {
    /** For LotAdded. */
    R lotAdded(LotAdded event);

    /** For LotPicked. */
    R lotPicked(LotPicked event);

    /** For LotTaken. */
    R lotTaken(LotTaken event);

    /** For LotGivenBack. */
    R lotGivenBack(LotGivenBack event);

    /** For LotCounted. */
    R lotCounted(LotCounted event);

    /** For LotDescribed. */
    R lotDescribed(LotDescribed event);

    /** For LotOpened. */
    R lotOpened(LotOpened event);

    /** For LotEnded. */
    R lotEnded(LotEnded event);

    /** For LotStruck. */
    R lotStruck(LotStruck event);
  }
}
