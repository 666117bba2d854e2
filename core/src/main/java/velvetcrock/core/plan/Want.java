package velvetcrock.core.plan;

import static velvetcrock.core.Figures.plain;

import java.util.Locale;
import velvetcrock.core.Problems;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Wax;
import velvetcrock.core.pot.Formula;
import velvetcrock.core.pot.PotKind;

/** What somebody wants to have in the end. */
public sealed interface Want {
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
          ml >= 1 && ml <= 20_000, "want.oilMl", "Between 1 ml and 20 l; " + ml + " was read.");
      problems.refuseIfAny();
    }
  }

  /**
   * So many tins.
   *
   * @param count 1–10 000
   * @param ml what one holds, ml, 1–2000
   */
  record Tins(int count, double ml, PotKind kind) implements Want {
    /** Checks the figures. */
    public Tins {
      Problems problems = new Problems();
      problems.require(count >= 1 && count <= 10_000, "want.tins.count", "From 1 to 10 000 tins.");
      problems.require(ml >= 1 && ml <= 2000, "want.tins.ml", "A tin holds 1 to 2000 ml.");
      problems.require(count * ml <= 20_000, "want.tins", "All tins together hold at most 20 l.");
      problems.refuseIfAny();
    }
  }

  /**
   * The infused oil that it takes: for tins their volume with what stays in the pan, less the wax
   * that makes the kind's hardness; a whipped butter is a third air.
   *
   * @param wax what hardens tins
   * @return ml
   */
  default double oilMl(CarrierBlend carriers, Wax wax, Reckoning.Writer lines) {
    if (this instanceof Oil oil) {
      return lines.line("Oil wanted", "as asked", oil.ml(), "ml", Standing.STANDARD);
    }
    Tins tins = (Tins) this;
    double air = tins.kind() == PotKind.WHIPPED_BUTTER ? Formula.USUAL_OVERRUN : 0;
    double melt =
        lines.line(
            "Melt wanted",
            tins.count() + " tins of " + plain(tins.ml()) + " ml and 3 % that stays in the pan",
            tins.count() * tins.ml() / (1 - Formula.POUR_LOSS) / (1 + air),
            "ml",
            Standing.TYPICAL);
    double waxShare = tins.kind().hardness().middle() / wax.hardness();
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
