package velvetcrock.core.yield;

import static velvetcrock.core.Figures.plain;

import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Part;

/**
 * Predicts a straining: yield = oil − r·dry matter − film, with r by way of expressing, × 1.1 for
 * whole flowers and × 1.25 for powder, and a film of 3 ml + 1 % of the oil. Never below nothing and
 * never above the oil.
 */
public final class Strainer {
  private static final double WHOLE_FLOWER = 1.1;
  private static final double POWDER = 1.25;
  private static final double FILM_ML = 3;
  private static final double FILM_SHARE = 0.01;

  /**
   * Half the 80 % range of r without own experience, as a share of r: 1.28·s·√(1 + 1/3) with s =
   * 0.25·r.
   */
  private static final double RANGE_SHARE = 1.28 * 0.25 * Math.sqrt(1 + 1 / 3.0);

  private Strainer() {}

  /**
   * Predicts what comes out.
   *
   * @param oilMl oil in the jar with all top-ups, ml, above 0
   * @param herbs the herbs in it
   * @throws velvetcrock.core.Refused at {@code oilMl} or {@code herbs}
   */
  public static Yield predict(double oilMl, List<HerbPortion> herbs, Expression expression) {
    Problems problems = new Problems();
    problems.require(
        oilMl > 0 && oilMl <= 100_000, "oilMl", "The oil is above 0 and at most 100 l.");
    problems.require(!herbs.isEmpty(), "herbs", "Name at least one herb.");
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    double kept = 0;
    for (HerbPortion herb : herbs) {
      double perG = expression.keptMlPerG() * factor(herb);
      kept +=
          lines.line(
              "Kept by the marc of " + herb.herb().name(),
              plain(herb.dryMatterG()) + " g of dry matter × " + plain(perG) + " ml/g",
              herb.dryMatterG() * perG,
              "ml",
              Standing.TYPICAL);
    }
    double film =
        lines.line(
            "Film",
            "3 ml and 1 % of " + plain(oilMl) + " ml on vessels and filter",
            FILM_ML + FILM_SHARE * oilMl,
            "ml",
            Standing.TYPICAL);
    double yield = Math.max(0, oilMl - kept - film);
    Range range =
        Range.between(
            Math.max(0, yield - kept * RANGE_SHARE),
            Math.min(oilMl, Math.max(0, oilMl - kept * (1 - RANGE_SHARE) - film)));
    lines.line(
        "Comes out",
        plain(oilMl)
            + " − "
            + plain(kept)
            + " − "
            + plain(film)
            + " ml; four times in five in this range",
        range,
        "ml",
        Standing.ESTIMATE);
    return new Yield(yield, range, kept, film, lines.done());
  }

  private static double factor(HerbPortion herb) {
    boolean flower = herb.part() == Part.FLOWER || herb.part() == Part.HEAD;
    if (herb.cut() == Cut.POWDER) {
      return POWDER;
    }
    return flower && herb.cut() == Cut.WHOLE ? WHOLE_FLOWER : 1;
  }
}
