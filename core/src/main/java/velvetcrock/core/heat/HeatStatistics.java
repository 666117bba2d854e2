package velvetcrock.core.heat;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;

/**
 * What a thermometer's readings say. Silence of over half an hour is a gap: it counts in no band
 * and in no excursion, but it does count as hours, and as ageing at the hotter of its two ends.
 *
 * @param hours from the first reading to the last, h
 * @param ageingHours hours at 20 °C that they are worth, h
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
    Problems problems = new Problems();
    problems.require(readings.points().size() >= 2, "trace", "At least two readings are needed.");
    problems.refuseIfAny();
    return new Pass(band, ceilingC).over(readings);
  }

  /** One pass over the points. */
  private static final class Pass {
    private final Band band;
    private final double ceilingC;
    private final List<Excursion> excursions = new ArrayList<>();
    private double ageing;
    private double inBand;
    private double under;
    private double over;
    private double aboveCeiling;
    private double gaps;
    private double peak = Double.NEGATIVE_INFINITY;
    private double aboveSince = Double.NaN;
    private double abovePeak;

    Pass(Band band, double ceilingC) {
      this.band = band;
      this.ceilingC = ceilingC;
    }

    HeatStatistics over(Trace readings) {
      List<Trace.Point> points = readings.points();
      Trace.Point from = points.get(0);
      double rateFrom = Ageing.rate(from.celsius());
      look(from);
      for (Trace.Point to : points.subList(1, points.size())) {
        double rateTo = Ageing.rate(to.celsius());
        double hours = to.hours() - from.hours();
        if (hours > Readings.GAP_HOURS) {
          gaps += hours;
          ageing += hours * Math.max(rateFrom, rateTo);
          endExcursion(from.hours());
        } else {
          ageing += hours * Ageing.meanRate(from.celsius(), rateFrom, to.celsius(), rateTo);
          piece(from, to, hours);
        }
        look(to);
        from = to;
        rateFrom = rateTo;
      }
      endExcursion(from.hours());
      return done(readings.hours());
    }

    private void look(Trace.Point point) {
      peak = Math.max(peak, point.celsius());
      if (point.celsius() > ceilingC) {
        if (Double.isNaN(aboveSince)) {
          aboveSince = point.hours();
          abovePeak = point.celsius();
        }
        abovePeak = Math.max(abovePeak, point.celsius());
      }
    }

    private void piece(Trace.Point from, Trace.Point to, double hours) {
      double above = hours * shareAbove(from.celsius(), to.celsius(), band.highC());
      double aboveLow = hours * shareAbove(from.celsius(), to.celsius(), band.lowC());
      over += above;
      under += hours - aboveLow;
      inBand += aboveLow - above;
      aboveCeiling += hours * shareAbove(from.celsius(), to.celsius(), ceilingC);
      if (from.celsius() > ceilingC != to.celsius() > ceilingC) {
        double share = (ceilingC - from.celsius()) / (to.celsius() - from.celsius());
        double crossing = from.hours() + hours * share;
        if (to.celsius() > ceilingC) {
          aboveSince = crossing;
          abovePeak = to.celsius();
        } else {
          endExcursion(crossing);
        }
      }
    }

    private void endExcursion(double at) {
      if (!Double.isNaN(aboveSince) && at - aboveSince > EXCURSION_HOURS) {
        excursions.add(new Excursion(aboveSince, at, abovePeak));
      }
      aboveSince = Double.NaN;
    }

    private HeatStatistics done(double hours) {
      Reckoning.Writer lines = Reckoning.writer();
      lines.line("Watched", "first reading to last", hours, "h", Standing.MEASURED);
      lines.line("Gaps", "silence of over 30 min", gaps * 60, "min", Standing.MEASURED);
      String bandWords = plain(band.lowC()) + "–" + plain(band.highC()) + " °C";
      lines.line(
          "In the band",
          plain(inBand) + " h in " + bandWords + " of " + plain(hours) + " h, gaps included",
          inBand / hours,
          "",
          Standing.MEASURED);
      lines.line(
          "Above the ceiling",
          "over " + plain(ceilingC) + " °C",
          aboveCeiling * 60,
          "min",
          Standing.MEASURED);
      lines.line(
          "Ageing",
          "∫ 2^((T − 20)/10) dt; gaps at their hotter end",
          ageing,
          "h at 20 °C",
          Standing.ESTIMATE);
      double kinetic =
          lines.line(
              "Mean kinetic temperature",
              "20 + 10 · log₂(" + plain(ageing) + " ÷ " + plain(hours) + ")",
              Ageing.meanKineticC(ageing, hours),
              "°C",
              Standing.ESTIMATE);
      return new HeatStatistics(
          hours,
          ageing,
          inBand / hours,
          under,
          over,
          aboveCeiling * 60,
          peak,
          kinetic,
          gaps * 60,
          List.copyOf(excursions),
          lines.done());
    }

    /**
     * Share of a linear piece that lies above a level; a flat piece on the level counts as below.
     */
    private static double shareAbove(double fromC, double toC, double levelC) {
      double low = Math.min(fromC, toC);
      double high = Math.max(fromC, toC);
      if (low >= levelC && high > levelC) {
        return 1;
      }
      return high <= levelC ? 0 : (high - levelC) / (high - low);
    }
  }
}
