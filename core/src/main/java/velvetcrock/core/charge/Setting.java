package velvetcrock.core.charge;

import java.util.List;
import java.util.OptionalDouble;
import velvetcrock.core.materia.Carrier;

/**
 * How a mix of oils and fats sets, by ideal solubility: a fat begins to come out at T = 1/(1/Tm −
 * R· ln x/ΔH) with x its mole fraction, so that a little fat stays dissolved in much oil. Good to
 * about 4 °C.
 */
final class Setting {
  /** A mix will not infuse where so much of it is solid. */
  static final double TOO_SOLID = 0.1;

  private static final double GAS_KJ = 0.008314;
  private static final double COLDEST_COUNTED_C = 5;
  private static final double HOTTEST_C = 80;
  private static final double ROOM_K = Carrier.ROOM_C + Carrier.KELVIN;
  private static final int ROUNDS = 2000;
  private static final double ENOUGH = 1e-9;
  private static final int HALVINGS = 50;

  /** What there is of one carrier: all masses for a millilitre of the mix. */
  private record Part(double massG, double moles, double meltsK, double meltingKj) {
    static Part of(CarrierBlend.Share share) {
      Carrier.Body body = share.carrier().body();
      double massG = share.share() * body.density20();
      return new Part(
          massG, massG / body.molarG(), body.meltsC() + Carrier.KELVIN, body.meltingKj());
    }

    /** Whether how it comes out is reckoned. */
    boolean reckoned() {
      return meltingKj > 0;
    }

    /**
     * The mole fraction that stays dissolved: of what has no heat of melting, all or, below its own
     * melting point, nothing.
     */
    double dissolves(double kelvin) {
      if (kelvin >= meltsK) {
        return 1;
      }
      return reckoned() ? Math.exp(-meltingKj / GAS_KJ * (1 / kelvin - 1 / meltsK)) : 0;
    }

    /** Where it begins to come out of the mix, °C. */
    double comesOutC(double fraction) {
      double kelvin =
          reckoned() ? 1 / (1 / meltsK - GAS_KJ * Math.log(fraction) / meltingKj) : meltsK;
      return kelvin - Carrier.KELVIN;
    }
  }

  private final List<Part> parts;
  private final double massG;
  private final double moles;

  Setting(CarrierBlend blend) {
    parts = blend.shares().stream().map(Part::of).toList();
    massG = parts.stream().mapToDouble(Part::massG).sum();
    moles = parts.stream().mapToDouble(Part::moles).sum();
  }

  /** Where it begins to cloud, °C; empty where that is below 5 °C or every part is an oil. */
  OptionalDouble cloudsC() {
    return parts.stream()
        .filter(p -> p.reckoned() || p.meltsK() > ROOM_K && p.massG() >= TOO_SOLID * massG)
        .mapToDouble(p -> p.comesOutC(p.moles() / moles))
        .filter(celsius -> celsius >= COLDEST_COUNTED_C)
        .max();
  }

  /** Below this a tenth of it or more is solid, °C; empty where that is below 5 °C. */
  OptionalDouble setsC() {
    if (solidShare(COLDEST_COUNTED_C) < TOO_SOLID) {
      return OptionalDouble.empty();
    }
    double low = COLDEST_COUNTED_C;
    double high = HOTTEST_C;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (solidShare(middle) >= TOO_SOLID) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return OptionalDouble.of(high);
  }

  /** How much of its mass is solid at a temperature, 0 to 1; falls as it gets warmer. */
  double solidShare(double celsius) {
    double kelvin = celsius + Carrier.KELVIN;
    double[] dissolves = parts.stream().mapToDouble(p -> p.dissolves(kelvin)).toArray();
    double liquid = moles;
    for (int i = 0; i < ROUNDS; i++) {
      double next = liquid(dissolves, liquid);
      if (liquid - next < moles * ENOUGH) {
        break;
      }
      liquid = next;
    }
    double solidG = 0;
    for (int i = 0; i < parts.size(); i++) {
      Part part = parts.get(i);
      solidG += part.massG() * (1 - molten(part, dissolves[i], liquid) / part.moles());
    }
    return solidG / massG;
  }

  private double liquid(double[] dissolves, double before) {
    double liquid = 0;
    for (int i = 0; i < dissolves.length; i++) {
      liquid += molten(parts.get(i), dissolves[i], before);
    }
    return liquid;
  }

  private static double molten(Part part, double dissolves, double liquid) {
    return dissolves >= 1 ? part.moles() : Math.min(part.moles(), dissolves * liquid);
  }
}
