package velvetcrock.core.batch;

import static velvetcrock.core.batch.BatchLog.require;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.BatchState.Rest;
import velvetcrock.core.batch.BatchState.Stay;
import velvetcrock.core.batch.BatchState.Tending;
import velvetcrock.core.batch.BatchState.Weighed;

/** Folds what happens to a jar while it is one. */
final class JarLog {
  private final List<Stay> stays = new ArrayList<>();
  private @Nullable JarIn vessel;
  private int transfers;
  private @Nullable Rest rest;
  private final List<Weighed> weighings = new ArrayList<>();
  private double toppedUpMl;
  private Observations seen = Observations.none();
  private Tending tended = Tending.none();
  private BatchState.@Nullable Left left;

  BatchState.InJar state() {
    return new BatchState.InJar(
        List.copyOf(stays), vessel, transfers, rest, weighings, toppedUpMl, seen, tended, left);
  }

  void charged(Charged event, Instant at) {
    vessel = event.jar();
    stays.add(new Stay(at, event.stand()));
    if (event.manner().spirit() != null) {
      rest = new Rest(at, null, null, 0);
    }
  }

  /** Whether the herb still waits for its oil. */
  boolean notPoured() {
    return rest != null && rest.pouredAt() == null;
  }

  /** Oil that followed the rest in spirit, ml; null where there was none. */
  @Nullable Double pouredMl() {
    return rest == null ? null : Double.valueOf(rest.pouredMl());
  }

  double toppedUpMl() {
    return toppedUpMl;
  }

  void damp(boolean even) {
    rest = new Rest(resting().since(), even, null, 0);
  }

  void oilPoured(OilPoured event, Instant at) {
    Rest resting = resting();
    rest = new Rest(resting.since(), resting.even(), at, event.oilMl());
    if (event.grossG() != null) {
      weighings.add(new Weighed(at, event.grossG(), toppedUpMl, transfers));
    }
  }

  private Rest resting() {
    Rest resting = rest;
    if (resting == null || resting.pouredAt() != null) {
      throw new Refused("kind", "It does not rest in spirit.");
    }
    return resting;
  }

  void weighed(double grossG, Instant at) {
    require(!notPoured(), "grossG", "Pour the oil first, then weigh vessel and all.");
    weighings.add(new Weighed(at, grossG, toppedUpMl, transfers));
  }

  void transferred(JarIn into) {
    vessel = into;
    transfers++;
  }

  void moved(Stand stand, Instant at) {
    stays.add(new Stay(at, stand));
  }

  void shaken(Instant at) {
    seen = seen.mixed();
    tended = tended.shaken(at);
  }

  void turned(Turned event, Instant at) {
    seen = seen.turned();
    tended =
        tended.turned(
            at,
            event.days() == 0 ? null : at.plus(event.days(), java.time.temporal.ChronoUnit.DAYS));
  }

  void leftLonger(LeftLonger event) {
    left = new BatchState.Left(event.until(), event.why());
  }

  void visited(Set<Visited.Act> acts, Instant at) {
    if (acts.contains(Visited.Act.SHAKEN)) {
      shaken(at);
    }
    if (acts.contains(Visited.Act.LEVEL)) {
      seen = seen.coveredAgain();
      tended = tended.levelled(at);
    }
    if (acts.contains(Visited.Act.LOOKED)) {
      tended = tended.looked(at);
    }
    if (acts.contains(Visited.Act.SMELLED)) {
      tended = tended.smelled(at);
    }
  }

  void allWell(Instant at) {
    seen = seen.allWell();
    tended = tended.shaken(at).looked(at).smelled(at);
  }

  void looked(Looked event, Instant at) {
    seen = seen.after(event);
    tended = tended.looked(at);
  }

  void oilLooked(OilLooked event, Instant at) {
    require(!notPoured(), "kind", "Pour the oil first, then look at it.");
    seen = seen.after(event, at);
    tended = tended.looked(at);
  }

  void stoodClear() {
    seen = seen.with(seen.oil().stoodClear());
  }

  void waterPouredOff() {
    seen = seen.with(seen.oil().pouredOff());
  }

  void smelled(Smelled event, Instant at) {
    seen = seen.after(event);
    tended = tended.smelled(at);
  }

  void toppedUp(double ml, Instant at) {
    require(!notPoured(), "kind", "Pour the oil first.");
    require(ml > 0 && ml <= 100_000, "amount", "A top-up is above 0 and at most 100 l.");
    seen = seen.coveredAgain();
    toppedUpMl += ml;
    tended = tended.toppedUp(at);
  }
}
