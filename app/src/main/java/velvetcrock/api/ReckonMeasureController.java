package velvetcrock.api;

import static velvetcrock.core.Figures.plain;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import velvetcrock.api.Answers.Line;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.measure.CrossCheck;
import velvetcrock.core.measure.CrossCheck.Substance;
import velvetcrock.core.measure.Kitchen;
import velvetcrock.core.measure.Measure;
import velvetcrock.core.measure.MeasureReader;
import velvetcrock.kitchen.Catalogues;

/** What people type for an amount. Computed, answered, not stored. */
@RestController
@RequestMapping("/api/v1/reckon")
@Tag(name = "reckon", description = "Computes and stores nothing; open to all.")
class ReckonMeasureController {
  private final Catalogues catalogues;

  ReckonMeasureController(Catalogues catalogues) {
    this.catalogues = catalogues;
  }

  @PostMapping("/measure")
  @Operation(summary = "Reads an amount as cooks write it, in g and ml.")
  Answers.Measure measure(@RequestBody Requests.Measure request) {
    Reader reader = new Reader(catalogues.current());
    Kitchen kitchen = reader.choice("kitchen", Kitchen.class, request.kitchen(), Kitchen.US);
    String text = reader.need("text", request.text());
    Measure measure =
        text == null || kitchen == null
            ? null
            : reader.problems().attempt("text", () -> new MeasureReader(kitchen).readAny(text));
    Substance density =
        new Substances(catalogues.current()).density(request.of(), request.temperatureC(), reader);
    Range counted = measure == null ? null : counted(measure, request.of(), reader);
    Measure checked =
        measure == null || kitchen == null || density == null
            ? measure
            : reader
                .problems()
                .attempt("text", () -> CrossCheck.checked(measure, kitchen, density));
    reader.problems().refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    Measure read = Objects.requireNonNull(checked);
    lines.line("As read", "“" + read.text() + "”", read.amount(), unit(read), Standing.MEASURED);
    if (counted != null) {
      lines.line("Weight", "what one weighs, so many times", counted, "g", Standing.TYPICAL);
      return answer(counted.middle(), counted, null, null, lines);
    }
    return read.isWeight() ? ofWeight(read, density, lines) : ofVolume(read, density, lines);
  }

  /** What they weigh, where a count was typed. */
  private @Nullable Range counted(Measure read, Requests.@Nullable Substance of, Reader reader) {
    if (read.kind() == Measure.Kind.DEPTH) {
      reader
          .problems()
          .add("text", "A depth is an amount only in a vessel. Give weight or volume.");
    }
    if (read.kind() == Measure.Kind.PARTS) {
      reader.problems().add("text", "Parts are an amount only of a whole. Give weight or volume.");
    }
    if (read.kind() != Measure.Kind.COUNT) {
      return null;
    }
    String key = of == null ? null : of.herb();
    if (key == null) {
      reader.problems().add("of.herb", "A count needs the herb whose pieces are counted.");
      return null;
    }
    Herb herb = reader.problems().attempt("of.herb", () -> catalogues.current().herb(key));
    HerbState state =
        of.state() == null
            ? null
            : reader.choice("of.state", HerbState.class, of.state(), HerbState.DRIED);
    return herb == null
        ? null
        : reader.problems().attempt("text", () -> Amounts.pieces(read, herb, state));
  }

  private static String unit(Measure read) {
    return switch (read.kind()) {
      case WEIGHT -> "g";
      case VOLUME -> "ml";
      case COUNT -> "pieces";
      case DEPTH -> "mm";
      case PARTS -> "parts";
    };
  }

  private static Answers.Measure ofWeight(
      Measure read, @Nullable Substance density, Reckoning.Writer lines) {
    Range mass = read.amount();
    if (density == null) {
      return answer(mass.middle(), mass, null, null, lines);
    }
    Range volume =
        new Range(mass.low() / density.range().high(), mass.high() / density.range().low());
    lines.line("Volume", "÷ " + plain(density.usual()) + " g/ml", volume, "ml", Standing.TYPICAL);
    return answer(mass.middle(), mass, mass.middle() / density.usual(), volume, lines);
  }

  private static Answers.Measure ofVolume(
      Measure read, @Nullable Substance density, Reckoning.Writer lines) {
    Range volume = read.amount();
    if (density == null) {
      return answer(null, null, volume.middle(), volume, lines);
    }
    Range lies = density.loose() ? read.loose() : volume;
    Range mass =
        new Range(lies.low() * density.range().low(), lies.high() * density.range().high());
    lines.line("Weight", "× " + plain(density.usual()) + " g/ml", mass, "g", Standing.TYPICAL);
    return answer(lies.middle() * density.usual(), mass, volume.middle(), volume, lines);
  }

  private static Answers.Measure answer(
      @Nullable Double massG,
      @Nullable Range mass,
      @Nullable Double volumeMl,
      @Nullable Range volume,
      Reckoning.Writer lines) {
    return new Answers.Measure(
        massG,
        mass == null ? null : mass.low(),
        mass == null ? null : mass.high(),
        volumeMl,
        volume == null ? null : volume.low(),
        volume == null ? null : volume.high(),
        Line.of(lines.done()),
        List.of());
  }

  @PostMapping("/cross-check")
  @Operation(summary = "Whether a weight and a volume of one thing can both be true.")
  Answers.CrossCheck crossCheck(@RequestBody Requests.CrossCheck request) {
    Reader reader = new Reader(catalogues.current());
    Kitchen kitchen = reader.choice("kitchen", Kitchen.class, request.kitchen(), Kitchen.US);
    String weight = reader.need("weight", request.weight());
    String volume = reader.need("volume", request.volume());
    reader.need("of", request.of());
    Substance substance =
        new Substances(catalogues.current()).density(request.of(), request.temperatureC(), reader);
    reader.problems().refuseIfAny();

    CrossCheck check =
        CrossCheck.of(
            Objects.requireNonNull(weight),
            Objects.requireNonNull(volume),
            Objects.requireNonNull(kitchen),
            Objects.requireNonNull(substance));
    return new Answers.CrossCheck(
        check.agrees(),
        check.statedMassG().middle(),
        check.impliedMassG().low(),
        check.impliedMassG().high(),
        check.explanations().stream()
            .map(e -> new Answers.Explanation(Reader.word(e.slip()), e.text()))
            .toList(),
        Line.of(check.reckoning()),
        List.of());
  }
}
