package velvetcrock.api;

import org.jspecify.annotations.Nullable;
import velvetcrock.core.Range;
import velvetcrock.core.charge.Amounts;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Herb;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Powder;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.measure.CrossCheck.Substance;

/** Finds the density of what an amount is of. */
final class Substances {
  /** A butter by the spoon, with the air between (typical), g/ml. */
  private final Catalogue catalogue;

  Substances(Catalogue catalogue) {
    this.catalogue = catalogue;
  }

  /**
   * The density of a carrier at its temperature, a wax, a powder or a loose herb; null where
   * nothing is named or, noted in the reader's problems, where it cannot be.
   */
  @Nullable Substance density(
      Requests.@Nullable Substance of, @Nullable Double temperatureC, Reader reader) {
    if (of == null) {
      return null;
    }
    double celsius = temperatureC == null ? Carrier.ROOM_C : temperatureC;
    reader
        .problems()
        .require(celsius >= -20 && celsius <= 200, "temperatureC", "Between −20 and 200 °C.");
    if (of.carrier() != null) {
      Carrier carrier =
          reader.problems().attempt("of.carrier", () -> catalogue.carrier(of.carrier()));
      return carrier == null ? null : Amounts.substance(carrier, celsius);
    }
    if (of.wax() != null) {
      return wax(of, reader);
    }
    if (of.powder() != null) {
      Powder powder = reader.problems().attempt("of.powder", () -> catalogue.powder(of.powder()));
      return powder == null ? null : new Substance(powder.bulkDensity(), powder.bulkRange(), true);
    }
    if (of.herb() != null) {
      return herb(of, reader);
    }
    reader.problems().add("of", "Name a carrier, a herb, a wax or a powder.");
    return null;
  }

  private @Nullable Substance wax(Requests.Substance of, Reader reader) {
    Wax wax = reader.problems().attempt("of.wax", () -> catalogue.wax(of.wax()));
    String form = of.form() == null ? "solid" : of.form();
    if (wax == null) {
      return null;
    }
    return switch (form) {
      case "pellets" -> new Substance(wax.pelletDensity(), wax.pelletRange(), true);
      case "solid" -> liquid(wax.densitySolid());
      case "melted" -> liquid(wax.densityMelted());
      default -> {
        reader.problems().add("of.form", "pellets, solid or melted.");
        yield null;
      }
    };
  }

  private @Nullable Substance herb(Requests.Substance of, Reader reader) {
    Herb herb = reader.problems().attempt("of.herb", () -> catalogue.herb(of.herb()));
    Cut cut = reader.choice("of.cut", Cut.class, of.cut(), Cut.CUT);
    HerbState state = reader.choice("of.state", HerbState.class, of.state(), HerbState.DRIED);
    Part part =
        reader.choice("of.part", Part.class, of.part(), herb == null ? Part.LEAF : herb.bestPart());
    return herb == null || cut == null || state == null || part == null
        ? null
        : new Substance(
            catalogue.looseDensity(herb, part, cut, state),
            catalogue.looseRange(herb, part, cut, state),
            true);
  }

  private static Substance liquid(double density) {
    return new Substance(density, Range.exactly(density), false);
  }
}
