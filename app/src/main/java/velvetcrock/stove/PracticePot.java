package velvetcrock.stove;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.heat.HeatStatistics;
import velvetcrock.core.heat.HeatTally;
import velvetcrock.core.heat.ThermalPot;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.Method;

/**
 * A made-up pot on a made-up stove, 120 times as fast as a real one: six hours in three minutes.
 * Once somebody opens the window, and a bath begins half full; both want an answer. Judged by the
 * same statistics as a real trace.
 */
public final class PracticePot {
  static final double SPEED = 120;
  static final double HOURS = 6;

  private static final double ROOM_C = 20;
  private static final double OUTDOORS_C = 7;
  private static final double DRAUGHT = 1.7;
  private static final double STEP_S = 30;
  private static final double SECONDS_PER_HOUR = 3600;
  private static final double BEGINS_WITH = 0.55;
  private static final double LOW_SHARE = 0.3;
  private static final double WINDOW_EARLIEST_H = 1.5;
  private static final double WINDOW_WITHIN_H = 2.5;

  /** A page that was away for longer than this has been asleep: the pot waits for it. */
  private static final Duration ASLEEP = Duration.ofSeconds(5);

  private final ThermalPot pot;
  private final HeatGoal goal;
  private final HeatTally tally;
  private final List<Trace.Point> points = new ArrayList<>();
  private final double windowAtHours;
  private boolean windowOpened;
  private boolean windowOpen;
  private double owedSeconds;
  private Instant seenAt;

  PracticePot(Appliance appliance, Method method, Random chance, Instant now) {
    this.pot = new ThermalPot(appliance, ROOM_C);
    this.goal = HeatGoal.of(method, HeatGoal.BATH_CEILING_C);
    this.tally = new HeatTally(goal.band(), goal.ceilingC());
    this.windowAtHours = WINDOW_EARLIEST_H + chance.nextDouble() * WINDOW_WITHIN_H;
    this.seenAt = now;
    pot.fill(appliance.waterG() * BEGINS_WITH);
    note();
  }

  /** Goes on until now, at its speed. */
  synchronized void follow(Instant now) {
    Duration since = Duration.between(seenAt, now);
    seenAt = now;
    if (since.compareTo(ASLEEP) < 0) {
      run(since.toMillis() / 1000.0 * SPEED);
    }
  }

  /** Goes on for a while, s of its own time. */
  synchronized void run(double seconds) {
    owedSeconds += seconds;
    while (owedSeconds >= STEP_S && !done()) {
      owedSeconds -= STEP_S;
      if (!windowOpened && hours() >= windowAtHours) {
        windowOpened = true;
        windowOpen = true;
        pot.surround(OUTDOORS_C, DRAUGHT);
      }
      pot.run(STEP_S);
      note();
    }
  }

  private void note() {
    Trace.Point point = new Trace.Point(hours(), pot.celsius());
    points.add(point);
    tally.read(point.hours(), point.celsius());
  }

  synchronized void turn(String setting) {
    pot.turn(pot.appliance().setting(setting));
  }

  synchronized void shutWindow() {
    windowOpen = false;
    pot.surround(ROOM_C, 1);
  }

  /** Puts the lid on the bath, or takes it off. */
  synchronized void turnLid() {
    pot.lid(!pot.lidded());
  }

  synchronized boolean lidded() {
    return pot.lidded();
  }

  synchronized void topUp() {
    pot.fill(pot.appliance().waterG());
  }

  synchronized boolean done() {
    return hours() >= HOURS - 1e-9;
  }

  synchronized double hours() {
    return pot.seconds() / SECONDS_PER_HOUR;
  }

  synchronized double celsius() {
    return pot.celsius();
  }

  synchronized String knob() {
    return pot.setting().name();
  }

  synchronized boolean windowOpen() {
    return windowOpen;
  }

  /** What is left of a full bath; 1 where there is none. */
  synchronized double waterShare() {
    double full = pot.appliance().waterG();
    return full == 0 ? 1 : pot.waterG() / full;
  }

  synchronized boolean waterLow() {
    return waterShare() < LOW_SHARE;
  }

  /** What it stands on. */
  public Appliance appliance() {
    return pot.appliance();
  }

  HeatGoal goal() {
    return goal;
  }

  synchronized List<Trace.Point> pointsFrom(int index) {
    return List.copyOf(points.subList(Math.min(index, points.size()), points.size()));
  }

  /** What it amounts to so far; needs a minute of its time. */
  synchronized HeatStatistics statistics() {
    return tally.statistics();
  }

  synchronized boolean begun() {
    return points.size() > 1;
  }
}
