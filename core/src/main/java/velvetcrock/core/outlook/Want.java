package velvetcrock.core.outlook;

import static velvetcrock.core.Figures.plain;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.making.CompressPads;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.Formula;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Wax;

/** What somebody wants to have in the end. */
public sealed interface Want {
  /** The most that is ever made at once, ml. */
  double MOST_ML = 20_000;

  /**
   * So much infused oil.
   *
   * @param ml 1–20 000
   */
  record Oil(double ml) implements Want {
    /** Checks the amount. */
    public Oil {
      Problems problems = new Problems();
      problems.require(
          ml >= 1 && ml <= MOST_ML,
          "want.oilMl",
          () -> "Between 1 ml and 20 l; " + ml + " was read.");
      problems.refuseIfAny();
    }

    @Override
    public double oilMl(CarrierBlend carriers, Pan pan, Reckoning.Writer lines) {
      return lines.line("Oil wanted", "as asked", ml, "ml", Standing.STANDARD);
    }
  }

  /**
   * So much infused oil by weight.
   *
   * @param g 1–20 000
   */
  record Weight(double g) implements Want {
    /** Checks the amount. */
    public Weight {
      Problems problems = new Problems();
      problems.require(
          g >= 1 && g <= MOST_ML, "want.oilG", () -> "Between 1 g and 20 kg; " + g + " was read.");
      problems.refuseIfAny();
    }

    @Override
    public double oilMl(CarrierBlend carriers, Pan pan, Reckoning.Writer lines) {
      double density = carriers.densityAt(Carrier.ROOM_C);
      return lines.line(
          "Oil wanted",
          plain(g) + " g ÷ " + plain(density) + " g/ml",
          g / density,
          "ml",
          Standing.TYPICAL);
    }
  }

  /**
   * So many bottles, filled to the neck.
   *
   * @param count 1–10 000
   * @param ml what one holds, ml, 1–5000
   */
  record Bottles(int count, double ml) implements Want {
    /** Checks the figures. */
    public Bottles {
      Pieces.check("want.bottles", "bottles", count, ml, 5000);
    }

    @Override
    public double oilMl(CarrierBlend carriers, Pan pan, Reckoning.Writer lines) {
      return lines.line(
          "Oil wanted",
          count + " bottles of " + plain(ml) + " ml, filled to the neck",
          count * ml,
          "ml",
          Standing.STANDARD);
    }
  }

  /**
   * So many tins.
   *
   * @param count 1–10 000
   * @param ml what one holds, ml, 1–2000
   */
  record Tins(int count, double ml, Firmness kind) implements Want {
    /** Checks the figures. */
    public Tins {
      Pieces.check("want.tins", "tins", count, ml, 2000);
    }

    /**
     * Their volume with what stays in the pan, less the wax that makes the kind's hardness as it is
     * liked here; a whipped butter is a third air until its own growth is known.
     */
    @Override
    public double oilMl(CarrierBlend carriers, Pan pan, Reckoning.Writer lines) {
      Wax wax = pan.wax();
      double air = kind == Firmness.WHIPPED_BUTTER ? pan.overrun() : 0;
      double melt =
          lines.line(
              "Melt wanted",
              count + " tins of " + plain(ml) + " ml and 3 % that stays in the pan",
              count * ml / (1 - Formula.POUR_LOSS) / (1 + air),
              "ml",
              Standing.TYPICAL);
      double waxShare =
          Math.max(1, kind.hardness().middle() + pan.harder().getOrDefault(kind, 0.0))
              / wax.hardness();
      double oilVolume = (1 - waxShare) / carriers.densityAt(Carrier.ROOM_C);
      double waxVolume = waxShare / wax.densitySolid();
      return lines.line(
          "Oil wanted",
          "that less "
              + plain(100 * waxShare)
              + " % "
              + wax.name().toLowerCase(Locale.ROOT)
              + " by weight",
          melt * oilVolume / (oilVolume + waxVolume),
          "ml",
          Standing.TYPICAL);
    }
  }

  /**
   * So many lotion bars: oil, butter and wax in equal parts by weight (practice).
   *
   * @param count 1–10 000
   * @param g what one weighs, g, 1–2000
   */
  record Bars(int count, double g) implements Want {
    /** Checks the figures. */
    public Bars {
      Pieces.check("want.bars", "bars", count, g, 2000);
    }

    @Override
    public double oilMl(CarrierBlend carriers, Pan pan, Reckoning.Writer lines) {
      double melt =
          lines.line(
              "Melt wanted",
              count + " bars of " + plain(g) + " g and 3 % that stays in the pan",
              count * g / (1 - Formula.POUR_LOSS),
              "g",
              Standing.TYPICAL);
      return lines.line(
          "Oil wanted",
          "a third of that by weight, beside butter and wax",
          melt / 3 / carriers.densityAt(Carrier.ROOM_C),
          "ml",
          Standing.TYPICAL);
    }
  }

  /**
   * So many compress pads of gauze soaked in oil that sets.
   *
   * @param count 1–10 000
   * @param widthMm of the cloth laid flat, mm
   * @param lengthMm its length, mm
   * @param gPerM2 the cloth's weight, g per m²
   * @param layers how often it is folded over itself
   */
  record Pads(int count, double widthMm, double lengthMm, double gPerM2, int layers)
      implements Want {
    /** Checks the figures. */
    public Pads {
      Pieces.check(
          "want.pads",
          "pads",
          count,
          CompressPads.mlPerPad(widthMm, lengthMm, gPerM2, layers).middle(),
          5000);
    }

    @Override
    public double oilMl(CarrierBlend carriers, Pan pan, Reckoning.Writer lines) {
      double each = CompressPads.mlPerPad(widthMm, lengthMm, gPerM2, layers).middle();
      return lines.line(
          "Oil wanted",
          count + " pads that take up " + plain(each) + " ml each, about twice the cloth’s weight",
          count * each,
          "ml",
          Standing.TYPICAL);
    }
  }

  /**
   * Several things from one oil.
   *
   * @param wants at least one
   */
  record Several(List<Want> wants) implements Want {
    /** Copies. */
    public Several {
      wants = List.copyOf(wants);
      Problems problems = new Problems();
      problems.require(!wants.isEmpty(), "want", "Say what you want.");
      problems.refuseIfAny();
    }

    @Override
    public double oilMl(CarrierBlend carriers, Pan pan, Reckoning.Writer lines) {
      if (wants.size() == 1) {
        return wants.get(0).oilMl(carriers, pan, lines);
      }
      double sum = wants.stream().mapToDouble(w -> w.oilMl(carriers, pan, lines)).sum();
      return lines.line("Oil for all of it", "together", sum, "ml", Standing.TYPICAL);
    }
  }

  /**
   * The infused oil that it takes.
   *
   * @param pan how a household makes its products
   * @return ml
   */
  double oilMl(CarrierBlend carriers, Pan pan, Reckoning.Writer lines);

  /**
   * How a household makes its products.
   *
   * @param wax what hardens them
   * @param harder how much harder than usual it likes each kind with that wax
   * @param overrun by how much whipping makes a melt grow, as a share
   */
  record Pan(Wax wax, Map<Firmness, Double> harder, double overrun) {
    /** As is usual. */
    public static Pan usual(Wax wax) {
      return new Pan(wax, Map.of(), Formula.USUAL_OVERRUN);
    }
  }

  /** What goes for all that is counted. */
  final class Pieces {
    private static final int MOST = 10_000;

    private Pieces() {}

    private static void check(String field, String what, int count, double size, double largest) {
      Problems problems = new Problems();
      problems.require(
          count >= 1 && count <= MOST, field + ".count", () -> "From 1 to 10 000 " + what + ".");
      problems.require(
          size > 0 && size <= largest && (size >= 1 || what.equals("pads")),
          field + ".ml",
          () ->
              "One of the " + what + " holds 1 to " + plain(largest) + "; " + size + " was read.");
      problems.require(
          count * size <= MOST_ML, field, () -> "All " + what + " together hold at most 20 l.");
      problems.refuseIfAny();
    }
  }
}
