package velvetcrock.api;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.ArrayList;
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
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.making.Drops;
import velvetcrock.core.making.Drops.Where;
import velvetcrock.core.making.Feel;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.Formula;
import velvetcrock.core.making.Formula.Target;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.Melt;
import velvetcrock.core.product.ProductFacts;
import velvetcrock.kitchen.Catalogues;

/** What the oil becomes next. Computed, answered, not stored. */
@RestController
@RequestMapping("/api/v1/reckon")
@Tag(name = "reckon", description = "Computes and stores nothing; open to all.")
class ReckonProductController {
  private static final int MOST_PARTS = 50;
  private static final String USUAL_WAX = "beeswax";

  private final Catalogues catalogues;
  private final Cautions cautions;

  ReckonProductController(Catalogues catalogues, Cautions cautions) {
    this.catalogues = catalogues;
    this.cautions = cautions;
  }

  @PostMapping("/formula")
  @Operation(summary = "Hardness of a product and what brings it to its target.")
  Answers.Formula formula(@RequestBody Requests.Formula request) {
    Reader reader = new Reader(catalogues.current());
    double usedAtC = request.usedAtC() == null ? 20 : request.usedAtC();
    List<Ingredient> parts = parts(request.parts(), usedAtC, reader);
    String waxKey =
        request.with() == null || request.with().wax() == null ? USUAL_WAX : request.with().wax();
    Ingredient wax =
        reader
            .problems()
            .attempt("with.wax", () -> Ingredient.of(catalogues.current().wax(waxKey), 1));
    Feel feel =
        request.feel() == null
            ? null
            : reader.choice("feel", Feel.class, request.feel(), Feel.RIGHT);
    Target target = feel != null ? null : target(request.target(), usedAtC, reader);
    reader.problems().refuseIfAny();

    Formula formula =
        target == null
            ? Formula.afterTest(parts, Objects.requireNonNull(feel), Objects.requireNonNull(wax))
            : Formula.towards(parts, target, Objects.requireNonNull(wax));
    Melt melt = new Melt(formula.parts());
    return new Answers.Formula(
        formula.massG(),
        formula.hardness(),
        formula.targetHardness(),
        formula.addition().map(Ingredient::massG).orElse(0.0),
        formula.addition().map(Ingredient::key).orElse(null),
        new Answers.Formula.Amount(
            formula.densityGPerMl(), formula.volumeMl(), Reader.boxed(setsAtC(parts))),
        formula.meltOrder(),
        Reader.boxed(melt.oilPerWax()),
        Reader.boxed(melt.asHardAsOilPerBeeswax()),
        formula.parts().stream()
            .map(p -> new Answers.PartOut(p.key(), p.massG(), 100 * p.massG() / formula.massG()))
            .toList(),
        Line.of(formula.reckoning()),
        CautionOut.of(cautions.of(ProductFacts.ofMelt(melt.oilPerWax().isPresent()))));
  }

  /** Where the oils and butters among the parts begin to cloud, °C. */
  private OptionalDouble setsAtC(List<Ingredient> parts) {
    List<CarrierBlend.Share> shares =
        parts.stream()
            .filter(p -> p.kind() == Ingredient.Kind.OIL || p.kind() == Ingredient.Kind.BUTTER)
            .map(
                p ->
                    new CarrierBlend.Share(
                        catalogues.current().carrier(p.key()), p.massG() / p.density()))
            .toList();
    return shares.isEmpty() ? OptionalDouble.empty() : new CarrierBlend(shares).setsNearC();
  }

  private List<Ingredient> parts(
      @Nullable List<Requests.PartIn> sent, double usedAtC, Reader reader) {
    List<Ingredient> parts = new ArrayList<>();
    List<Requests.PartIn> all = sent == null ? List.of() : sent;
    reader
        .problems()
        .require(
            !all.isEmpty() && all.size() <= MOST_PARTS, "parts", "Name between 1 and 50 parts.");
    for (int i = 0; i < Math.min(all.size(), MOST_PARTS); i++) {
      Requests.PartIn in = all.get(i);
      String at = "parts[" + i + "]";
      Ingredient.Kind kind =
          reader.choice(at + ".kind", Ingredient.Kind.class, in == null ? null : in.kind(), null);
      String key = reader.need(at + ".key", in == null ? null : in.key());
      Double mass = reader.need(at + ".massG", in == null ? null : in.massG());
      if (kind != null && key != null && mass != null) {
        Ingredient part = part(at, kind, key, mass, usedAtC, reader);
        if (part != null) {
          parts.add(part);
        }
      }
    }
    return parts;
  }

  private @Nullable Ingredient part(
      String at, Ingredient.Kind kind, String key, double mass, double usedAtC, Reader reader) {
    return switch (kind) {
      case OIL, BUTTER -> {
        var carrier =
            reader.problems().attempt(at + ".key", () -> catalogues.current().carrier(key));
        yield carrier == null
            ? null
            : reader.under(at, () -> Ingredient.of(carrier, mass, usedAtC));
      }
      case WAX -> {
        var wax = reader.problems().attempt(at + ".key", () -> catalogues.current().wax(key));
        yield wax == null ? null : reader.under(at, () -> Ingredient.of(wax, mass));
      }
      case POWDER -> {
        var powder = reader.problems().attempt(at + ".key", () -> catalogues.current().powder(key));
        yield powder == null ? null : reader.under(at, () -> Ingredient.of(powder, mass));
      }
      case EXTRA -> {
        reader.problems().add(at + ".kind", "What is stirred in last counts for no hardness.");
        yield null;
      }
    };
  }

  private static @Nullable Target target(
      Requests.@Nullable TargetIn in, double usedAtC, Reader reader) {
    if (in == null) {
      return reader.need("target", null);
    }
    if (in.hardness() != null) {
      return reader.problems().attempt(() -> new Target(in.hardness(), usedAtC));
    }
    Firmness kind = reader.choice("target.kind", Firmness.class, in.kind(), null);
    return kind == null ? null : reader.problems().attempt(() -> Target.of(kind, usedAtC));
  }

  @PostMapping("/drops")
  @Operation(summary = "Essential oils against every ceiling, and the most drops that pass.")
  Answers.Drops drops(@RequestBody Requests.Drops request) {
    Reader reader = new Reader(catalogues.current());
    List<Drops.Count> counts = counts(request.drops(), reader);
    Double volume = reader.need("volumeMl", request.volumeMl());
    Where where = reader.choice("use", Where.class, request.use(), null);
    double dropMl = request.dropMl() == null ? Drops.USUAL_DROP_ML : request.dropMl();
    reader.problems().refuseIfAny();

    Drops drops =
        Drops.of(counts, Objects.requireNonNull(volume), dropMl, Objects.requireNonNull(where));
    return new Answers.Drops(
        drops.percent(),
        drops.ceilingPercent(),
        drops.ok(),
        drops.each().stream()
            .map(e -> new Answers.EachOil(e.oil().key(), e.percent(), e.ceilingPercent(), e.ok()))
            .toList(),
        drops.mostDrops(),
        Line.of(drops.reckoning()),
        CautionOut.of(
            cautions.of(
                ProductFacts.ofDrops(
                    where,
                    counts.stream().map(c -> c.oil().key()).toList(),
                    catalogues.current()))));
  }

  private List<Drops.Count> counts(@Nullable List<Requests.DropsIn> sent, Reader reader) {
    List<Drops.Count> counts = new ArrayList<>();
    List<Requests.DropsIn> all = sent == null ? List.of() : sent;
    reader
        .problems()
        .require(
            !all.isEmpty() && all.size() <= MOST_PARTS, "drops", "Name between 1 and 50 oils.");
    for (int i = 0; i < Math.min(all.size(), MOST_PARTS); i++) {
      Requests.DropsIn in = all.get(i);
      String at = "drops[" + i + "]";
      String key = reader.need(at + ".oil", in == null ? null : in.oil());
      Double count = reader.need(at + ".count", in == null ? null : in.count());
      var oil =
          key == null
              ? null
              : reader
                  .problems()
                  .attempt(at + ".oil", () -> catalogues.current().essentialOil(key));
      if (oil != null && count != null) {
        counts.add(new Drops.Count(oil, count));
      }
    }
    return counts;
  }
}
