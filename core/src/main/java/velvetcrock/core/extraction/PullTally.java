package velvetcrock.core.extraction;

import velvetcrock.core.FigureRow;
import velvetcrock.core.charge.CarrierBlend;

/**
 * Reckons the pull as points of temperature come in, each once and in order of time, by the same
 * rule as {@link Pull}. What lies below the setting point draws nothing; a silence between two
 * readings is a straight line, and what is assumed may be 8 °C off.
 */
public final class PullTally {
  private final Guessing guessing;
  private final Guessing.Walk walk;
  private final Pull.Herb herb;
  private final Agitation agitation;
  private double firstHours = Double.NaN;
  private double lastHours;

  /** A tally with nothing in it. */
  public PullTally(CarrierBlend carriers, Pull.Herb herb, Agitation agitation) {
    this.guessing = new Guessing(carriers, herb.part());
    this.walk = guessing.walk();
    this.herb = herb;
    this.agitation = agitation;
  }

  /**
   * A tally that goes on from where another stood.
   *
   * @param kept what {@link #keep} put down
   */
  public static PullTally resumed(
      CarrierBlend carriers, Pull.Herb herb, Agitation agitation, FigureRow kept) {
    PullTally tally = new PullTally(carriers, herb, agitation);
    tally.firstHours = kept.next();
    tally.lastHours = kept.next();
    tally.walk.resume(kept);
    return tally;
  }

  /**
   * Puts down all that it holds, for {@link #resumed}; only while nothing in it is assumed.
   *
   * @throws IllegalStateException where something is
   */
  public void keep(FigureRow row) {
    row.put(firstHours, lastHours);
    walk.keep(row);
  }

  /**
   * Adds a point.
   *
   * @param hours later than the last, h
   * @param celsius °C
   * @param read whether a thermometer said so
   */
  public void add(double hours, double celsius, boolean read) {
    if (Double.isNaN(firstHours)) {
      firstHours = hours;
    }
    walk.to(hours, celsius, read);
    lastHours = hours;
  }

  /** The pull so far. */
  public Pull pull() {
    return Pull.of(drawn(), covered(), herb);
  }

  /**
   * The pull so far with a steady time besides.
   *
   * @param hours that no point covers, h
   * @param celsius how warm it was then, °C
   */
  public Pull pullWith(double hours, double celsius) {
    Ensemble besides = guessing.steady(celsius, hours).moved(agitation);
    return Pull.of(drawn().plus(besides), covered() + hours, herb);
  }

  private Ensemble drawn() {
    return walk.drawn().moved(agitation);
  }

  private double covered() {
    return Double.isNaN(firstHours) ? 0 : lastHours - firstHours;
  }
}
