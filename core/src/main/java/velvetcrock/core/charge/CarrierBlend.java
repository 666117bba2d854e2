package velvetcrock.core.charge;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import velvetcrock.core.Refused;
import velvetcrock.core.materia.Carrier;

/**
 * Carriers in shares by volume.
 *
 * @param shares at least one; normalised to a sum of 1
 */
public record CarrierBlend(List<Share> shares) {

  /**
   * One carrier's share.
   *
   * @param share part by volume, above 0
   */
  public record Share(Carrier carrier, double share) {}

  /**
   * Normalises the shares.
   *
   * @throws Refused at {@code carriers} if there is none or a share is not above 0
   */
  public CarrierBlend {
    if (shares.isEmpty()) {
      throw new Refused("carriers", "Name at least one carrier.");
    }
    if (!shares.stream().allMatch(s -> s.share() > 0 && Double.isFinite(s.share()))) {
      throw new Refused("carriers", "Each share is above 0.");
    }
    double total = shares.stream().mapToDouble(Share::share).sum();
    shares = shares.stream().map(s -> new Share(s.carrier(), s.share() / total)).toList();
  }

  /** A single carrier. */
  public static CarrierBlend of(Carrier carrier) {
    return new CarrierBlend(List.of(new Share(carrier, 1)));
  }

  /** Density of the blend: Σ share·ρ(t) for shares by volume, g/ml. */
  public double densityAt(double celsius) {
    return shares.stream().mapToDouble(s -> s.share() * s.carrier().densityAt(celsius)).sum();
  }

  /**
   * Where it begins to cloud as it cools, by ideal solubility (to about 4 °C).
   *
   * @return °C; empty where that is below 5 °C or every part is liquid
   */
  public OptionalDouble setsNearC() {
    return new Setting(this).cloudsC();
  }

  /**
   * Below this it is too solid to infuse, °C: a tenth of it or more is solid. Where all is oil, the
   * lowest melting point.
   */
  public double meltedAboveC() {
    return new Setting(this)
        .setsC()
        .orElseGet(
            () ->
                shares.stream().mapToDouble(s -> s.carrier().body().meltsC()).min().orElseThrow());
  }

  /** Whether a tenth of it or more is solid at a temperature. */
  public boolean tooSolidAt(double celsius) {
    return new Setting(this).solidShare(celsius) >= Setting.TOO_SOLID;
  }

  /** The carriers' names, largest share first. */
  public String names() {
    return shares.stream()
        .sorted((a, b) -> Double.compare(b.share(), a.share()))
        .map(s -> s.carrier().name())
        .collect(Collectors.joining(" and "));
  }

  /** Viscosity, mPa·s: ln η is the mean by volume of the carriers'. */
  public double viscosityAt(double celsius) {
    return Math.exp(
        shares.stream().mapToDouble(s -> s.share() * s.carrier().logViscosityAt(celsius)).sum());
  }
}
