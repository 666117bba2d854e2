package velvetcrock.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import velvetcrock.api.Answers.CautionOut;
import velvetcrock.api.Answers.Line;
import velvetcrock.core.caution.About;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Facts;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.HeatStatistics;
import velvetcrock.core.heat.HeatStatistics.Band;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Part;
import velvetcrock.kitchen.Catalogues;

/** Temperature over time: what it was, what it aged, what it drew. Computed, not stored. */
@RestController
@RequestMapping("/api/v1/reckon")
@Tag(name = "reckon", description = "Computes and stores nothing; open to all.")
class ReckonHeatController {
  private static final int MOST_POINTS = 200_000;
  private static final int MOST_PROBLEMS = 20;
  private static final double USUAL_CEILING_C = 90;
  private static final double FRYING_C = 100;
  private static final double MILLIS_PER_HOUR = 3_600_000;

  private final Catalogues catalogues;
  private final Cautions cautions;

  ReckonHeatController(Catalogues catalogues, Cautions cautions) {
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  @PostMapping("/heat")
  @Operation(summary = "What a thermometer’s readings say: band, excursions, ageing, gaps.")
  Answers.Heat heat(@RequestBody Requests.Heat request) {
    Reader reader = new Reader(catalogues.current());
    List<Instant> times = new ArrayList<>();
    Trace trace = readings(request.trace(), times, reader);
    Band band = band(request.band(), reader);
    double ceiling = request.ceilingC() == null ? USUAL_CEILING_C : request.ceilingC();
    reader
        .problems()
        .require(ceiling >= -60 && ceiling <= 400, "ceilingC", "Between −60 and 400 °C.");
    reader.problems().refuseIfAny();

    HeatStatistics stats =
        HeatStatistics.of(Objects.requireNonNull(trace), Objects.requireNonNull(band), ceiling);
    return new Answers.Heat(
        new Answers.Ageing(
            stats.ageingHours(), stats.ageingRange().low(), stats.ageingRange().high()),
        stats.hours(),
        stats.inBandFraction(),
        stats.underHours(),
        stats.overHours(),
        stats.aboveCeilingMinutes(),
        stats.peakC(),
        stats.meanKineticC(),
        stats.gapMinutes(),
        stats.excursions().stream()
            .map(
                e ->
                    new Answers.Excursion(
                        after(times.get(0), e.fromHours()),
                        after(times.get(0), e.toHours()),
                        e.peakC()))
            .toList(),
        Line.of(stats.reckoning()),
        CautionOut.of(cautions.of(Facts.ofTrace(stats.peakC()))));
  }

  private static Instant after(Instant begin, double hours) {
    return begin.plusMillis(Math.round(hours * MILLIS_PER_HOUR));
  }

  private static @Nullable Trace readings(
      @Nullable List<Requests.ReadingIn> sent, List<Instant> times, Reader reader) {
    List<Requests.ReadingIn> all = sent == null ? List.of() : sent;
    if (!reader
        .problems()
        .require(
            all.size() >= 2 && all.size() <= MOST_POINTS,
            "trace",
            "Between 2 and 200 000 readings are needed.")) {
      return null;
    }
    List<Trace.Point> points = new ArrayList<>(all.size());
    for (int i = 0; i < all.size(); i++) {
      Instant at = time(all.get(i), i, reader);
      if (at != null) {
        times.add(at);
        double hours = (at.toEpochMilli() - times.get(0).toEpochMilli()) / MILLIS_PER_HOUR;
        points.add(new Trace.Point(hours, all.get(i).celsius()));
      } else if (reader.problems().found().size() >= MOST_PROBLEMS) {
        return null;
      }
    }
    return reader.problems().none() ? reader.problems().attempt(() -> new Trace(points)) : null;
  }

  private static @Nullable Instant time(Requests.@Nullable ReadingIn in, int index, Reader reader) {
    String at = "trace[" + index + "].at";
    if (in == null || in.at() == null || in.celsius() == null) {
      reader.problems().add("trace[" + index + "]", "A reading has at and celsius.");
      return null;
    }
    try {
      Instant time = OffsetDateTime.parse(in.at()).toInstant();
      int year = time.atOffset(java.time.ZoneOffset.UTC).getYear();
      reader.problems().require(year >= 1900 && year <= 2200, at, "Between 1900 and 2200.");
      return time;
    } catch (DateTimeException unread) {
      reader.problems().add(at, "Write times as 2026-06-01T08:30:00Z.");
      return null;
    }
  }

  private static @Nullable Band band(Requests.@Nullable BandIn in, Reader reader) {
    if (in == null) {
      return Band.WARM;
    }
    Double low = reader.need("band.lowC", in.lowC());
    Double high = reader.need("band.highC", in.highC());
    return low == null || high == null
        ? null
        : reader.problems().attempt("band", () -> new Band(low, high));
  }

  @PostMapping("/extraction")
  @Operation(summary = "The relative pull of a trace, an estimate for comparing ways.")
  Answers.Extraction extraction(@RequestBody Requests.Extraction request) {
    Reader reader = new Reader(catalogues.current());
    reader.need("trace", request.trace());
    Trace trace = reader.trace(request.trace());
    CarrierBlend carriers = reader.blend(request.carriers());
    Cut cut = reader.choice("cut", Cut.class, request.cut(), null);
    Agitation agitation =
        reader.choice("agitation", Agitation.class, request.agitation(), Agitation.DAILY);
    Part part =
        request.part() == null ? null : reader.choice("part", Part.class, request.part(), null);
    reader.problems().refuseIfAny();

    Pull pull =
        Pull.of(
            List.of(new Pull.Leg(Objects.requireNonNull(trace), Objects.requireNonNull(agitation))),
            Objects.requireNonNull(carriers),
            new Pull.Herb(Objects.requireNonNull(cut), part, Boolean.TRUE.equals(request.spirit())),
            Boolean.TRUE.equals(request.assumed()));
    return new Answers.Extraction(
        pull.pull(),
        pull.range().low(),
        pull.range().high(),
        Reader.word(pull.strength()),
        Line.of(pull.reckoning()),
        CautionOut.of(
            cautions.of(
                Facts.about(About.POT)
                    .note(Boolean.TRUE.equals(request.spirit()), "spirit:near"))));
  }
}
