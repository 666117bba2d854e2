package velvetcrock.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
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
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.outlook.Comparison;
import velvetcrock.core.outlook.PlanOrder;
import velvetcrock.core.outlook.Want;
import velvetcrock.core.outlook.Way;
import velvetcrock.kitchen.Catalogues;

/** The ways to something wanted by a day. Computed, answered, not stored. */
@RestController
@RequestMapping("/api/v1/reckon")
@Tag(name = "reckon", description = "Computes and stores nothing; open to all.")
class ReckonPlanController {
  private static final int MOST_METHODS = 50;

  private final Catalogues catalogues;
  private final Cautions cautions;

  ReckonPlanController(Catalogues catalogues, Cautions cautions) {
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  @PostMapping("/plan")
  @Operation(summary = "The ways to something wanted by a day, worked back and compared.")
  Answers.Plan plan(@RequestBody Requests.Plan request) {
    Reader reader = new Reader(catalogues.current());
    Want want = want(request.want(), reader);
    LocalDate today = reader.need("today", reader.date("today", request.today()));
    LocalDate by = reader.need("by", reader.date("by", request.by()));
    Herb herb =
        request.herb() == null
            ? reader.need("herb", null)
            : reader.problems().attempt("herb", () -> catalogues.current().herb(request.herb()));
    Part part =
        reader.choice(
            "part", Part.class, request.part(), herb == null ? Part.LEAF : herb.bestPart());
    HerbState state = reader.choice("state", HerbState.class, request.state(), HerbState.DRIED);
    Cut cut = reader.choice("cut", Cut.class, request.cut(), Cut.CUT);
    Purpose purpose = reader.choice("use", Purpose.class, request.use(), Purpose.SKIN);
    List<CarrierDates> carriers = reader.dated(request.carriers(), request.today());
    List<Method> methods = methods(request.methods(), reader);
    reader.problems().refuseIfAny();

    Comparison comparison =
        Comparison.of(
            new PlanOrder(
                Objects.requireNonNull(want),
                Objects.requireNonNull(by),
                Objects.requireNonNull(herb),
                Objects.requireNonNull(part),
                Objects.requireNonNull(state),
                Objects.requireNonNull(cut),
                carriers,
                methods,
                request.oilPerHerb() == null
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(request.oilPerHerb()),
                Objects.requireNonNull(purpose),
                Objects.requireNonNull(today)),
            catalogues.current(),
            cautions);
    return new Answers.Plan(
        comparison.needOilMl(),
        comparison.ways().stream().map(ReckonPlanController::way).toList(),
        Line.of(comparison.reckoning()),
        CautionOut.of(cautions.of(Facts.about(About.OUTLOOK))));
  }

  private static Answers.WayTo way(Way way) {
    return new Answers.WayTo(
        Reader.word(way.method()),
        way.herbMassG(),
        way.oilMl(),
        way.days().startOn(),
        way.days().readyOn(),
        way.days().inTime(),
        new Answers.PulledOut(
            way.pull(),
            way.drawn().range().low(),
            way.drawn().range().high(),
            Reader.word(way.drawn().strength())),
        way.keepingSpentDays(),
        new Answers.PromisedOut(way.keeps().bestBefore(), way.keeps().onceDry()),
        way.handsOnMinutes(),
        way.checks(),
        CautionOut.of(way.cautions()));
  }

  private static @Nullable Want want(Requests.@Nullable WantIn in, Reader reader) {
    if (in == null || in.oilMl() == null && in.tins() == null) {
      reader.problems().add("want", "Say how much oil, or how many tins.");
      return null;
    }
    if (in.tins() == null) {
      return reader.problems().attempt(() -> new Want.Oil(in.oilMl()));
    }
    Integer count = reader.need("want.tins.count", in.tins().count());
    Double ml = reader.need("want.tins.ml", in.tins().ml());
    Firmness kind = reader.choice("want.tins.kind", Firmness.class, in.tins().kind(), null);
    return count == null || ml == null || kind == null
        ? null
        : reader.problems().attempt(() -> new Want.Tins(count, ml, kind));
  }

  private static List<Method> methods(@Nullable List<String> sent, Reader reader) {
    if (sent == null) {
      return Arrays.asList(Method.values());
    }
    List<Method> methods = new ArrayList<>();
    reader
        .problems()
        .require(
            !sent.isEmpty() && sent.size() <= MOST_METHODS, "methods", "Name at least one way.");
    for (int i = 0; i < Math.min(sent.size(), MOST_METHODS); i++) {
      String word = sent.get(i) == null ? "" : sent.get(i);
      Method method = reader.method("methods[" + i + "]", word, Method.COLD);
      if (method != null) {
        methods.add(method);
      }
    }
    return methods;
  }
}
