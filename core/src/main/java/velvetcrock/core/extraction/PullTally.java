package velvetcrock.core.extraction;

import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.heat.Readings;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Cut;

/**
 * Reckons the pull as points of temperature come in, each once and in order of time, by the same
 * rule as {@link Pull}. What lies below the melting point of an oil draws nothing; a gap between
 * two readings counts at the cooler of its ends, because nobody should rely on what nobody saw.
 */
public final class PullTally {
  private static final double HOURS_PER_DAY = 24;

  private final Mobility mobility;
  private final Mobility.Walk walk;
  private final double meltedAboveC;
  private final Cut cut;
  private final boolean spirit;
  private final double pace;
  private double washDays;
  private double diffusionDays;
  private double firstHours = Double.NaN;
  private double lastHours;
  private double lastC;
  private boolean lastRead;

  /**
   * A tally with nothing in it.
   *
   * @param spirit whether the herb was dampened with spirit first
   */
  public PullTally(CarrierBlend carriers, Cut cut, Agitation agitation, boolean spirit) {
    this.mobility = new Mobility(carriers);
    this.walk = mobility.new Walk();
    this.meltedAboveC = carriers.meltedAboveC();
    this.cut = cut;
    this.spirit = spirit;
    this.pace = agitation.pace();
  }

  /**
   * Adds a point.
   *
   * @param hours later than the last, h
   * @param celsius °C
   * @param read whether a thermometer said so
   */
  public void add(double hours, double celsius, boolean read) {
    boolean first = Double.isNaN(firstHours);
    if (first) {
      firstHours = hours;
    }
    double days;
    if (!first && read && lastRead && hours - lastHours > Readings.GAP_HOURS) {
      double cooler = Math.min(lastC, celsius);
      walk.to(lastHours, cooler);
      days = walk.to(hours, cooler);
      walk.to(hours, celsius);
    } else {
      days = walk.to(hours, celsius);
    }
    if (!first && Math.min(lastC, celsius) >= meltedAboveC) {
      washDays += days;
      diffusionDays += days * pace;
    }
    lastHours = hours;
    lastC = celsius;
    lastRead = read;
  }

  /** The pull so far. */
  public Pull pull() {
    return pullWith(0, Carrier.ROOM_C);
  }

  /**
   * The pull so far with a steady time besides.
   *
   * @param hours that no point covers, h
   * @param celsius how warm it was then, °C
   */
  public Pull pullWith(double hours, double celsius) {
    double covered = Double.isNaN(firstHours) ? 0 : lastHours - firstHours;
    double days = celsius < meltedAboveC ? 0 : mobility.at(celsius) * hours / HOURS_PER_DAY;
    return Pull.of(washDays + days, diffusionDays + days * pace, covered + hours, cut, spirit);
  }
}
