package velvetcrock.api;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the reckonings take, as it is sent; what may be missing is null. */
final class Requests {
  private Requests() {}

  record Substance(
      @Nullable String carrier,
      @Nullable String herb,
      @Nullable String part,
      @Nullable String cut,
      @Nullable String state,
      @Nullable String wax,
      @Nullable String powder,
      @Nullable String form) {}

  record Measure(
      @Nullable String text,
      @Nullable Substance of,
      @Nullable Double temperatureC,
      @Nullable String kitchen) {}

  record HerbIn(
      @Nullable String herb,
      @Nullable String part,
      @Nullable String cut,
      @Nullable String state,
      @Nullable Double massG,
      @Nullable Double waterFraction) {}

  record CarrierIn(
      @Nullable String carrier,
      @Nullable Double share,
      @Nullable Double ml,
      @Nullable Double massG,
      @Nullable LocalDate bestBefore,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate pressedOn,
      @Nullable Boolean dateUnknown) {}

  record RatioIn(@Nullable String kind, @Nullable Double oilPerHerb, @Nullable Double oilMl) {}

  record JarIn(@Nullable Double brimMl, @Nullable Double innerDiameterMm) {}

  record Charge(
      @Nullable List<HerbIn> herbs,
      @Nullable List<CarrierIn> carriers,
      @Nullable RatioIn ratio,
      @Nullable JarIn jar,
      @Nullable Double coverMm,
      @Nullable String method,
      @Nullable String use) {}

  record Yield(@Nullable Double oilMl, @Nullable List<HerbIn> herbs, @Nullable String expression) {}

  record PointIn(@Nullable Double hours, @Nullable Double celsius) {}

  record StoreIn(
      @Nullable String place,
      @Nullable String glass,
      @Nullable String fill,
      @Nullable String antioxidant) {}

  record Keeping(
      @Nullable LocalDate chargedOn,
      @Nullable LocalDate strainedOn,
      @Nullable List<CarrierIn> carriers,
      @Nullable String herbState,
      @Nullable Boolean freeWater,
      @Nullable String use,
      @Nullable List<PointIn> trace,
      @Nullable String light,
      @Nullable StoreIn store) {}

  record CrossCheck(
      @Nullable Substance of,
      @Nullable String weight,
      @Nullable String volume,
      @Nullable Double temperatureC,
      @Nullable String kitchen) {}

  record Moisture(
      @Nullable Double massG, @Nullable Double waterFraction, @Nullable Double targetFraction) {}

  record WeighingIn(@Nullable Double hours, @Nullable Double massG) {}

  record Drying(
      @Nullable Double freshMassG,
      @Nullable Double waterFraction,
      @Nullable Double targetFraction,
      @Nullable List<WeighingIn> weighings) {}

  record Spirit(
      @Nullable Double herbMassG,
      @Nullable Double dose,
      @Nullable Double abvPercent,
      @Nullable Double oilMassG) {}

  record ReadingIn(@Nullable String at, @Nullable Double celsius) {}

  record BandIn(@Nullable Double lowC, @Nullable Double highC) {}

  record Heat(@Nullable List<ReadingIn> trace, @Nullable BandIn band, @Nullable Double ceilingC) {}

  record Extraction(
      @Nullable List<PointIn> trace,
      @Nullable List<CarrierIn> carriers,
      @Nullable String cut,
      @Nullable String agitation,
      @Nullable Boolean spirit,
      @Nullable String part,
      @Nullable Boolean assumed) {}

  record WeighedIn(@Nullable String what, @Nullable Double massG) {}

  record Balance(
      @Nullable List<WeighedIn> in, @Nullable List<WeighedIn> out, @Nullable Double drivenOffG) {}

  record PartIn(@Nullable String kind, @Nullable String key, @Nullable Double massG) {}

  record TargetIn(@Nullable Double hardness, @Nullable String kind) {}

  record WithIn(@Nullable String wax) {}

  record Formula(
      @Nullable List<PartIn> parts,
      @Nullable TargetIn target,
      @Nullable Double usedAtC,
      @Nullable WithIn with,
      @Nullable String feel) {}

  record DropsIn(@Nullable String oil, @Nullable Double count) {}

  record Drops(
      @Nullable List<DropsIn> drops,
      @Nullable Double volumeMl,
      @Nullable Double dropMl,
      @Nullable String use) {}

  record TinsIn(@Nullable Integer count, @Nullable Double ml, @Nullable String kind) {}

  record WantIn(@Nullable Double oilMl, @Nullable TinsIn tins) {}

  record Plan(
      @Nullable WantIn want,
      @Nullable LocalDate by,
      @Nullable String herb,
      @Nullable String part,
      @Nullable String state,
      @Nullable String cut,
      @Nullable List<CarrierIn> carriers,
      @Nullable List<String> methods,
      @Nullable Double oilPerHerb,
      @Nullable String use,
      @Nullable LocalDate today) {}
}
