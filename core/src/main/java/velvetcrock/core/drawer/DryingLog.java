package velvetcrock.core.drawer;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.log.Log;
import velvetcrock.core.materia.HerbState;

/** Folds the log of a load that dries. */
public final class DryingLog {
  private @Nullable DryingBegun begun;
  private Instant begunAt = Instant.EPOCH;
  private double waterFraction;
  private final List<Drying.Weighed> weighings = new ArrayList<>();
  private @Nullable Snap snap;
  private @Nullable PutAway putAway;
  private boolean thrownOut;

  private DryingLog() {}

  /**
   * The load as its log says it stands.
   *
   * @throws Refused at {@code amount} for a weighing that cannot be, at {@code snap} where it is
   *     put away without crumbling
   */
  public static Drying fold(Log<DryingEvent> log) {
    DryingLog fold = new DryingLog();
    log.counting().forEach(e -> e.event().applyTo(fold, e.at()));
    return fold.drying();
  }

  void begun(DryingBegun event, Instant at) {
    begun = event;
    begunAt = at;
    waterFraction = event.waterFraction();
  }

  void weighed(double massG, Instant at) {
    weighings.add(new Drying.Weighed(at, massG));
  }

  void snapped(Snap how) {
    snap = how;
  }

  void water(double fraction) {
    waterFraction = fraction;
  }

  void putAway(PutAway event) {
    if (snap != Snap.CRUMBLES && event.state() == HerbState.DRIED) {
      throw new Refused("snap", "Only what crumbles and snaps is dry. Leathery is not.");
    }
    putAway = event;
  }

  void thrownOut() {
    thrownOut = true;
  }

  private Drying drying() {
    if (begun == null) {
      throw new Refused("replaces", "That it was begun stays in its log. Throw it out instead.");
    }
    Drying drying =
        new Drying(begun, begunAt, waterFraction, List.copyOf(weighings), snap, putAway, thrownOut);
    drying.check();
    return drying;
  }
}
