package velvetcrock.core.heat;

import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;

/**
 * What a thermometer's readings say. Silence of over half an hour is a gap: it counts in no band
 * and in no excursion, but it does count as hours, and as ageing along the straight line, with the
 * width of either end held throughout.
 *
 * @param hours from the first reading to the last, h
 * @param ageingHours hours at 20 °C that they are worth, h
 * @param ageingRange the least to the most that it may be, h
 * @param inBandFraction share of all hours spent in the band, gaps included in the whole
 * @param underHours below the band, h
 * @param overHours above the band, h
 * @param aboveCeilingMinutes above the ceiling, min
 * @param peakC hottest reading, °C
 * @param meanKineticC steady temperature that would have aged the oil as much, °C
 * @param gapMinutes time without readings, min
 * @param excursions stretches of over 5 min above the ceiling, in order
 */
public record HeatStatistics(
    double hours,
    double ageingHours,
    Range ageingRange,
    double inBandFraction,
    double underHours,
    double overHours,
    double aboveCeilingMinutes,
    double peakC,
    double meanKineticC,
    double gapMinutes,
    List<Excursion> excursions,
    Reckoning reckoning) {

  /** Longest time above the ceiling that is no excursion, h. */
  public static final double EXCURSION_HOURS = 5 / 60.0;

  /**
   * A stretch above the ceiling.
   *
   * @param fromHours when it began, h on the trace's clock
   * @param toHours when it ended or was last seen, h
   * @param peakC its hottest reading, °C
   */
  public record Excursion(double fromHours, double toHours, double peakC) {}

  /**
   * Where the oil should be.
   *
   * @param lowC lower end, °C
   * @param highC upper end, above the lower, °C
   */
  public record Band(double lowC, double highC) {
    /** Held warm: 38–50 °C. */
    public static final Band WARM = new Band(38, 50);

    /** Its middle, °C. */
    public double middle() {
      return (lowC + highC) / 2;
    }

    /**
     * Checks the ends.
     *
     * @throws velvetcrock.core.Refused at {@code band}
     */
    public Band {
      Problems problems = new Problems();
      problems.require(
          lowC < highC && lowC >= -60 && highC <= 400,
          "band",
          "A band runs from low to high within −60 to 400 °C.");
      problems.refuseIfAny();
    }
  }

  /**
   * Goes over the readings once.
   *
   * @param readings at least two
   * @param ceilingC what the oil should not pass, °C
   * @throws velvetcrock.core.Refused at {@code trace} if there are fewer than two readings
   */
  public static HeatStatistics of(Trace readings, Band band, double ceilingC) {
    HeatTally tally = new HeatTally(band, ceilingC);
    readings.points().forEach(p -> tally.read(p.hours(), p.celsius()));
    return tally.statistics();
  }
}
