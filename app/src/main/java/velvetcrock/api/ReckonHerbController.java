package velvetcrock.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
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
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Facts;
import velvetcrock.core.moisture.DryingCurve;
import velvetcrock.core.moisture.DryingCurve.Weighing;
import velvetcrock.core.moisture.Moisture;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.kitchen.Catalogues;

/** The herb before the oil: its water, its drying, the spirit. Computed, answered, not stored. */
@RestController
@RequestMapping("/api/v1/reckon")
@Tag(name = "reckon", description = "Computes and stores nothing; open to all.")
class ReckonHerbController {
  private final Catalogues catalogues;
  private final Cautions cautions;

  ReckonHerbController(Catalogues catalogues, Cautions cautions) {
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  @PostMapping("/moisture")
  @Operation(summary = "Dry matter, water, and the weight at another water content.")
  Answers.Moisture moisture(@RequestBody Requests.Moisture request) {
    Reader reader = new Reader(catalogues.current());
    Double mass = reader.need("massG", request.massG());
    Double water = reader.need("waterFraction", request.waterFraction());
    Double target = reader.need("targetFraction", request.targetFraction());
    reader.problems().refuseIfAny();

    Moisture moisture =
        Moisture.of(
            Objects.requireNonNull(mass),
            Objects.requireNonNull(water),
            Objects.requireNonNull(target));
    return new Answers.Moisture(
        moisture.dryMatterG(),
        moisture.waterG(),
        moisture.targetMassG(),
        Line.of(moisture.reckoning()),
        List.of());
  }

  @PostMapping("/drying")
  @Operation(summary = "A drying load fitted to its weighings, and the hours it has left.")
  Answers.Drying drying(@RequestBody Requests.Drying request) {
    Reader reader = new Reader(catalogues.current());
    Double fresh = reader.need("freshMassG", request.freshMassG());
    Double water = reader.need("waterFraction", request.waterFraction());
    Double target = reader.need("targetFraction", request.targetFraction());
    List<Weighing> weighings = weighings(request.weighings(), reader);
    reader.problems().refuseIfAny();

    DryingCurve curve =
        DryingCurve.fit(
            Objects.requireNonNull(fresh),
            Objects.requireNonNull(water),
            Objects.requireNonNull(target),
            weighings);
    return new Answers.Drying(
        curve.fractions(),
        curve.k(),
        curve.n(),
        curve.hoursLeft(),
        curve.hoursLeftRange().low(),
        curve.hoursLeftRange().high(),
        Line.of(curve.reckoning()),
        List.of());
  }

  private static List<Weighing> weighings(@Nullable List<Requests.WeighingIn> sent, Reader reader) {
    List<Weighing> weighings = new ArrayList<>();
    List<Requests.WeighingIn> all = sent == null ? List.of() : sent;
    reader
        .problems()
        .require(
            !all.isEmpty() && all.size() <= DryingCurve.MOST_WEIGHINGS,
            "weighings",
            "Between 1 and 1000 weighings.");
    for (int i = 0; i < Math.min(all.size(), DryingCurve.MOST_WEIGHINGS); i++) {
      Requests.WeighingIn in = all.get(i);
      String at = "weighings[" + i + "]";
      Double hours = reader.need(at + ".hours", in == null ? null : in.hours());
      Double mass = reader.need(at + ".massG", in == null ? null : in.massG());
      if (hours != null && mass != null) {
        weighings.add(new Weighing(hours, mass));
      }
    }
    return weighings;
  }

  @PostMapping("/spirit")
  @Operation(summary = "What a spirit brings to the herb, and what of it has to leave again.")
  Answers.Spirit spirit(@RequestBody Requests.Spirit request) {
    Reader reader = new Reader(catalogues.current());
    Double herb = reader.need("herbMassG", request.herbMassG());
    Double abv = reader.need("abvPercent", request.abvPercent());
    Double oil = reader.need("oilMassG", request.oilMassG());
    double dose = request.dose() == null ? SpiritStep.USUAL_DOSE : request.dose();
    reader.problems().refuseIfAny();

    SpiritStep step =
        SpiritStep.of(
            Objects.requireNonNull(herb),
            dose,
            Objects.requireNonNull(abv),
            Objects.requireNonNull(oil));
    return new Answers.Spirit(
        step.spiritMassG(),
        step.spiritMl(),
        step.ethanolMassG(),
        step.waterMassG(),
        step.waterPercentOfOil(),
        step.mustLeaveG(),
        new Answers.Rest(
            SpiritStep.EARLIEST_HOURS, SpiritStep.USUAL_HOURS, SpiritStep.LATEST_HOURS),
        Line.of(step.reckoning()),
        CautionOut.of(cautions.of(Facts.ofSpirit(abv, step.waterPercentOfOil()))));
  }
}
