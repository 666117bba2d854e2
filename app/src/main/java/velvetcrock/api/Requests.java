package velvetcrock.api;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the reckonings take, as it is sent; what may be missing is null. */
final class Requests {
  private Requests() {}

  record Of(
      @Nullable String carrier,
      @Nullable String herb,
      @Nullable String part,
      @Nullable String cut,
      @Nullable String state,
      @Nullable String wax,
      @Nullable String form) {}

  record Measure(
      @Nullable String text,
      @Nullable Of of,
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
      @Nullable LocalDate bestBefore,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate pressedOn) {}

  record RatioIn(@Nullable String kind, @Nullable Double oilPerHerb, @Nullable Double oilMl) {}

  record JarIn(@Nullable Double brimMl, @Nullable Double innerDiameterMm) {}

  record Charge(
      @Nullable List<HerbIn> herbs,
      @Nullable List<CarrierIn> carriers,
      @Nullable RatioIn ratio,
      @Nullable JarIn jar,
      @Nullable Double coverMm,
      @Nullable String method) {}

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
}
