package velvetcrock.core.drawer;

import velvetcrock.core.log.Event;

/** What can happen to a load that dries. */
public sealed interface DryingEvent extends Event<DryingLog>
    permits DryingBegun, LoadWeighed, Snapped, WaterKnown, PutAway, LoadThrownOut, DryingStruck {
  /** What a visitor says of this kind. */
  <R> R accept(Visitor<R> visitor);

  /**
   * What is to be said of each kind.
   *
   * @param <R> what it is
   */
  interface Visitor<R> {
    /** For DryingBegun. */
    R dryingBegun(DryingBegun event);

    /** For LoadWeighed. */
    R loadWeighed(LoadWeighed event);

    /** For Snapped. */
    R snapped(Snapped event);

    /** For WaterKnown. */
    R waterKnown(WaterKnown event);

    /** For PutAway. */
    R putAway(PutAway event);

    /** For LoadThrownOut. */
    R loadThrownOut(LoadThrownOut event);

    /** For DryingStruck. */
    R dryingStruck(DryingStruck event);
  }
}
