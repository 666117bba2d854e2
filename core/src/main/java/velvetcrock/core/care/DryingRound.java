package velvetcrock.core.care;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.Range;
import velvetcrock.core.care.Task.Kind;
import velvetcrock.core.drawer.Drying;
import velvetcrock.core.drawer.Snap;
import velvetcrock.core.moisture.DryingCurve.Way;

/**
 * What wants doing for a load that dries (practice): a bunch is weighed every third day, a rack
 * daily, a dehydrator every three hours; once it may be dry, its stems are bent.
 */
public final class DryingRound {
  private final ZoneId zone;
  private final Instant now;

  /** A round at a moment. */
  public DryingRound(ZoneId zone, Instant now) {
    this.zone = zone;
    this.now = now;
  }

  /** The tasks of a load, the most pressing first; empty if nothing wants doing. */
  public List<Task> tasks(Drying drying) {
    if (!drying.standing()) {
      return List.of();
    }
    List<Task> tasks = new ArrayList<>();
    Range dry = drying.dryAtHours();
    Instant mayBeDry = drying.begunAt().plus(hours(dry.low()));
    boolean crisp = drying.snap() == Snap.CRUMBLES;
    if (crisp || !now.isBefore(mayBeDry)) {
      Instant surelyDry = drying.begunAt().plus(hours(dry.high()));
      tasks.add(
          new Task(
              crisp ? Kind.PUT_AWAY : Kind.SNAP,
              mayBeDry.atZone(zone).toLocalDate(),
              surelyDry.atZone(zone).toLocalDate(),
              0));
    }
    Instant due = lastWeighed(drying).plus(every(drying.begun().way()));
    if (!crisp && !now.isBefore(due)) {
      tasks.add(new Task(Kind.WEIGH, due.atZone(zone).toLocalDate(), null, 0));
    }
    return List.copyOf(tasks);
  }

  private static Instant lastWeighed(Drying drying) {
    List<Drying.Weighed> weighings = drying.weighings();
    return weighings.isEmpty() ? drying.begunAt() : weighings.get(weighings.size() - 1).at();
  }

  private static Duration every(Way way) {
    return switch (way) {
      case BUNCH -> Duration.ofDays(3);
      case RACK -> Duration.ofDays(1);
      case DEHYDRATOR -> Duration.ofHours(3);
    };
  }

  private static Duration hours(double hours) {
    return Duration.ofSeconds(Math.round(hours * 3600));
  }
}
