package velvetcrock.stove;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.heat.Assumed;
import velvetcrock.core.heat.HeatStatistics;
import velvetcrock.core.jar.PotHeat;
import velvetcrock.web.Formats;

/**
 * What a pot's own page says beyond its row.
 *
 * @param facts what its trace amounts to
 * @param excursions times above the ceiling, the last first
 * @param traceWords what the chart shows, in words
 */
record PotPage(
    List<Fact> facts,
    List<Excursion> excursions,
    String traceWords,
    @Nullable Reckoning reckoning,
    Reckoning pullReckoning) {

  /** A figure with its name. */
  record Fact(String name, String value) {}

  /**
   * A time above the ceiling.
   *
   * @param from as the form names it
   * @param answer what was done; null while nobody has answered
   */
  record Excursion(String from, String words, @Nullable String answer) {}

  static PotPage of(BatchState state, PotHeat heat, Formats fmt, Instant now) {
    Optional<HeatStatistics> statistics = heat.statistics();
    List<Fact> facts = new ArrayList<>();
    statistics.ifPresent(
        s -> facts.addAll(heat.assumed().isEmpty() ? facts(s, fmt) : assumed(s, heat, fmt)));
    List<Excursion> excursions = new ArrayList<>();
    state.heat().excursions().forEach(e -> excursions.add(0, excursion(e, fmt)));
    String readings =
        heat.readings() == 0
            ? "no readings yet"
            : heat.readings() == 1
                ? "one reading"
                : String.format(java.util.Locale.UK, "%,d readings", heat.readings())
                    .replace(',', '\u202f');
    String words =
        "The oil’s temperature over time, "
            + readings
            + statistics
                .filter(s -> heat.assumed().isEmpty())
                .map(
                    s ->
                        ": "
                            + fmt.percent(s.inBandFraction())
                            + " of "
                            + fmt.time(s.hours())
                            + " in the band, hottest "
                            + fmt.degrees(s.peakC()))
                .orElse("");
    return new PotPage(
        facts,
        List.copyOf(excursions),
        words,
        statistics
            .filter(s -> heat.assumed().isEmpty())
            .map(HeatStatistics::reckoning)
            .orElse(null),
        heat.pull(now).reckoning());
  }

  private static List<Fact> facts(HeatStatistics s, Formats fmt) {
    List<Fact> facts = new ArrayList<>();
    facts.add(
        new Fact("In the band", fmt.percent(s.inBandFraction()) + " of " + fmt.time(s.hours())));
    facts.add(new Fact("Below, above", fmt.time(s.underHours()) + ", " + fmt.time(s.overHours())));
    facts.add(new Fact("Hottest", fmt.degrees(s.peakC())));
    facts.add(new Fact("Aged as if at", fmt.degrees(s.meanKineticC()) + " throughout"));
    if (s.gapMinutes() > 0) {
      facts.add(new Fact("Not watched", fmt.time(s.gapMinutes() / 60)));
    }
    return facts;
  }

  /** What is only assumed is told as far as it can be known. */
  private static List<Fact> assumed(HeatStatistics s, PotHeat heat, Formats fmt) {
    Range ageing =
        heat.assumed().stream()
            .map(Assumed::ageingHours)
            .reduce(Range.exactly(0), Range::plus)
            .times(1 / 24.0);
    double within = heat.assumed().get(heat.assumed().size() - 1).withinC();
    return List.of(
        new Fact("Assumed for", fmt.time(s.hours())),
        new Fact(
            "Hottest, about", fmt.degrees(Math.max(0, s.peakC() - within), s.peakC() + within)),
        new Fact(
            "Aged by",
            fmt.number(ageing.low(), ageing.low() < 10 ? 1 : 0)
                + " to "
                + fmt.number(ageing.high(), 0)
                + " days"));
  }

  private static Excursion excursion(BatchState.Excursion e, Formats fmt) {
    Instant to = e.to();
    String words =
        fmt.moment(e.from())
            + ": "
            + (to == null
                ? "above " + fmt.degrees(e.ceilingC()) + ", still"
                : fmt.time(Duration.between(e.from(), to).toSeconds() / 3600.0)
                    + " above "
                    + fmt.degrees(e.ceilingC()))
            + ", up to "
            + fmt.degrees(e.peakC());
    return new Excursion(
        e.from().toString(), words, e.answer() == null ? null : e.answer().words());
  }
}
