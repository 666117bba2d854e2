package velvetcrock.drawer;

import velvetcrock.core.drawer.DryingEvent;
import velvetcrock.core.drawer.LotEvent;
import velvetcrock.ledger.EventStorage;

/** How what happens in the drawer is stored. */
public final class DrawerStorage {
  /** Entries about lots. */
  public static final EventStorage<LotEvent> LOTS = LotStorage.STORAGE;

  /** Entries about loads that dry. */
  public static final EventStorage<DryingEvent> LOADS = DryingStorage.STORAGE;

  private DrawerStorage() {}
}
