package velvetcrock.core.heat;

import static velvetcrock.core.Figures.plain;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetcrock.core.FigureRow;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.heat.HeatStatistics.Band;
import velvetcrock.core.heat.HeatStatistics.Excursion;

/**
 * Reckons what a course of temperature amounts to as its points come in, each once and in order of
 * time, so that a pot on the heat is judged by the same rules as a finished trace. Silence of over
 * half an hour between two readings is a gap; a piece with an assumed end is linear throughout.
 */
public final class HeatTally {
  private final Band band;
  private final double ceilingC;
  private final List<Excursion> excursions = new ArrayList<>();
  private int points;
  private double firstHours;
  private double lastHours;
  private double lastC;
  private Aged lastRates = Aged.NONE;
  private boolean lastRead;
  private final Worth ageing = new Worth();
  private final Worth colder = new Worth();
  private final Worth hotter = new Worth();
  private double inBand;
  private double under;
  private double over;
  private double aboveCeiling;
  private double gaps;
  private double assumed;
  private double peak = Double.NEGATIVE_INFINITY;
  private double aboveSince = Double.NaN;
  private double abovePeak;

  /** What the pieces so far are worth together: a trace has hundreds of thousands. */
  private static final class Worth {
    private double gentle;
    private double usual;
    private double steep;

    void add(Aged more) {
      gentle += more.gentle();
      usual += more.usual();
      steep += more.steep();
    }

    Aged sum() {
      return new Aged(gentle, usual, steep);
    }
  }

  /**
   * A tally with nothing in it.
   *
   * @param band where the oil should be
   * @param ceilingC what the oil should not pass, °C
   */
  public HeatTally(Band band, double ceilingC) {
    this.band = band;
    this.ceilingC = ceilingC;
  }

  /**
   * A tally that goes on from where another stood.
   *
   * @param kept what {@link #keep} put down
   */
  public static HeatTally resumed(Band band, double ceilingC, FigureRow kept) {
    HeatTally tally = new HeatTally(band, ceilingC);
    tally.points = (int) kept.nextWhole();
    tally.firstHours = kept.next();
    tally.lastHours = kept.next();
    tally.lastC = kept.next();
    tally.lastRead = kept.nextSo();
    tally.lastRates = aged(kept);
    tally.ageing.add(aged(kept));
    tally.colder.add(aged(kept));
    tally.hotter.add(aged(kept));
    tally.inBand = kept.next();
    tally.under = kept.next();
    tally.over = kept.next();
    tally.aboveCeiling = kept.next();
    tally.gaps = kept.next();
    tally.assumed = kept.next();
    tally.peak = kept.next();
    tally.aboveSince = kept.next();
    tally.abovePeak = kept.next();
    for (long left = kept.nextWhole(); left > 0; left--) {
      tally.excursions.add(new Excursion(kept.next(), kept.next(), kept.next()));
    }
    return tally;
  }

  private static Aged aged(FigureRow kept) {
    return new Aged(kept.next(), kept.next(), kept.next());
  }

  /** Puts down all that it holds, for {@link #resumed}. */
  public void keep(FigureRow row) {
    row.put(points, firstHours, lastHours, lastC).put(lastRead);
    for (Aged aged : List.of(lastRates, ageing.sum(), colder.sum(), hotter.sum())) {
      row.put(aged.gentle(), aged.usual(), aged.steep());
    }
    row.put(inBand, under, over, aboveCeiling, gaps, assumed, peak, aboveSince, abovePeak);
    row.put(excursions.size());
    excursions.forEach(e -> row.put(e.fromHours(), e.toHours(), e.peakC()));
  }

  /**
   * Adds a reading.
   *
   * @param hours later than the last, h
   * @param celsius °C
   */
  public void read(double hours, double celsius) {
    add(hours, celsius, true);
  }

  /**
   * Adds a point.
   *
   * @param hours later than the last, h
   * @param celsius °C
   * @param read whether a thermometer said so; else it is assumed
   */
  public void add(double hours, double celsius, boolean read) {
    Aged rates = Ageing.rates(celsius);
    Trace.Point to = new Trace.Point(hours, celsius);
    if (points == 0) {
      firstHours = hours;
    } else {
      double length = hours - lastHours;
      Aged along = Ageing.meanRates(lastC, lastRates, celsius, rates).times(length);
      ageing.add(along);
      if (read && lastRead && length > Readings.GAP_HOURS) {
        gaps += length;
        boolean rising = celsius > lastC;
        unsure(
            (rising ? lastRates : rates).times(length), (rising ? rates : lastRates).times(length));
        endExcursion(lastHours);
      } else {
        unsure(along, along);
        assumed += read && lastRead ? 0 : length;
        piece(new Trace.Point(lastHours, lastC), to, length);
      }
    }
    look(to);
    points++;
    lastHours = hours;
    lastC = celsius;
    lastRates = rates;
    lastRead = read;
  }

  /** What a piece is worth at the least and at the most: its colder end held, and its hotter. */
  private void unsure(Aged least, Aged most) {
    colder.add(least);
    hotter.add(most);
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
    open(at).ifPresent(excursions::add);
    aboveSince = Double.NaN;
  }

  private Optional<Excursion> open(double at) {
    return !Double.isNaN(aboveSince) && at - aboveSince > HeatStatistics.EXCURSION_HOURS
        ? Optional.of(new Excursion(aboveSince, at, abovePeak))
        : Optional.empty();
  }

  /** How many points it has had. */
  public int points() {
    return points;
  }

  /** The first point's time, h; 0 before there is one. */
  public double firstHours() {
    return firstHours;
  }

  /** The last point's time, h; 0 before the first. */
  public double lastHours() {
    return lastHours;
  }

  /** The stretch above the ceiling that lasts still, once it is an excursion. */
  public Optional<Excursion> excursionNow() {
    return open(lastHours);
  }

  /** Ageing so far, hours at 20 °C; silences along the straight line. */
  public double ageingHours() {
    return ageing.usual;
  }

  /** From the least to the most that it may be: over the energies, silences held at either end. */
  public Range ageingRange() {
    return new Range(colder.sum().range().low(), hotter.sum().range().high());
  }

  /**
   * What it amounts to so far; the tally goes on.
   *
   * @throws velvetcrock.core.Refused at {@code trace} if there are fewer than two points
   */
  public HeatStatistics statistics() {
    Problems problems = new Problems();
    problems.require(points >= 2, "trace", "At least two readings are needed.");
    problems.refuseIfAny();
    double hours = lastHours - firstHours;
    List<Excursion> all = new ArrayList<>(excursions);
    excursionNow().ifPresent(all::add);
    Reckoning.Writer lines = Reckoning.writer();
    Standing standing = assumed > 0 ? Standing.ESTIMATE : Standing.MEASURED;
    lines.line("Watched", "first point to last", hours, "h", standing);
    lines.line("Gaps", "silence of over 30 min", gaps * 60, "min", Standing.MEASURED);
    if (assumed > 0) {
      lines.line("Assumed", "from knob and hand, ± 8 °C", assumed, "h", Standing.ESTIMATE);
    }
    String bandWords = plain(band.lowC()) + "–" + plain(band.highC()) + " °C";
    lines.line(
        "In the band",
        plain(inBand) + " h in " + bandWords + " of " + plain(hours) + " h, gaps included",
        inBand / hours,
        "",
        standing);
    lines.line(
        "Above the ceiling", "over " + plain(ceilingC) + " °C", aboveCeiling * 60, "min", standing);
    lines.line(
        "Ageing",
        Ageing.RULE + "; gaps along the straight line",
        ageing.usual,
        "h at 20 °C",
        Standing.ESTIMATE);
    lines.line(
        "Ageing, at the least and at the most",
        "over the energies; silences at their colder end, and at their hotter",
        ageingRange(),
        "h at 20 °C",
        Standing.ESTIMATE);
    double kinetic =
        lines.line(
            "Mean kinetic temperature",
            "the steady one worth " + plain(ageing.usual) + " h in " + plain(hours) + " h",
            Ageing.meanKineticC(ageing.usual, hours),
            "°C",
            Standing.ESTIMATE);
    return new HeatStatistics(
        hours,
        ageing.usual,
        ageingRange(),
        inBand / hours,
        under,
        over,
        aboveCeiling * 60,
        peak,
        kinetic,
        gaps * 60,
        List.copyOf(all),
        lines.done());
  }

  /** Share of a linear piece that lies above a level; a flat piece on the level counts as below. */
  private static double shareAbove(double fromC, double toC, double levelC) {
    double low = Math.min(fromC, toC);
    double high = Math.max(fromC, toC);
    if (low >= levelC && high > levelC) {
      return 1;
    }
    return high <= levelC ? 0 : (high - levelC) / (high - low);
  }
}
