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
   * The temperature near which it begins to set: the share-weighted melting point of those of its
   * parts that are solid at 20 °C (an estimate).
   *
   * @return °C; empty if every part is liquid
   */
  public OptionalDouble setsNearC() {
    List<Share> solid = shares.stream().filter(s -> s.carrier().solidAt(Carrier.ROOM_C)).toList();
    double share = solid.stream().mapToDouble(Share::share).sum();
    return solid.isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(
            solid.stream().mapToDouble(s -> s.share() * s.carrier().body().meltsC()).sum() / share);
  }

  /** The highest melting point among its parts, °C: below it something in it is solid. */
  public double meltedAboveC() {
    return shares.stream().mapToDouble(s -> s.carrier().body().meltsC()).max().orElseThrow();
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
