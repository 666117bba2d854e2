package velvetcrock.core.yield;

import static velvetcrock.core.Figures.plain;

import java.util.List;
import velvetcrock.core.Problems;
import velvetcrock.core.Range;
import velvetcrock.core.Reckoning;
import velvetcrock.core.Standing;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
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
  private static final String FILM_WORDS = "3 ml and 1 % of the oil on vessels and filter";

  private Strainer() {}

  /** How herbs are usually expressed: dried ones squeezed, what is fresh or wilted left to drip. */
  public static Expression usually(List<HerbPortion> herbs) {
    return herbs.stream().allMatch(h -> h.state() == HerbState.DRIED)
        ? Expression.SQUEEZE
        : Expression.DRIP;
  }

  /** Predicts what comes out without experience of one's own. */
  public static Yield predict(double oilMl, List<HerbPortion> herbs, Expression expression) {
    return predict(oilMl, herbs, expression, List.of());
  }

  /**
   * Predicts what comes out.
   *
   * @param oilMl oil in the jar with all top-ups, ml, above 0
   * @param herbs the herbs in it
   * @param experience what the household's own batches showed; used from the first on
   * @throws velvetcrock.core.Refused at {@code oilMl} or {@code herbs}
   */
  public static Yield predict(
      double oilMl,
      List<HerbPortion> herbs,
      Expression expression,
      List<Retention.Own> experience) {
    Problems problems = new Problems();
    problems.require(
        oilMl >= 0.001 && oilMl <= 100_000, "oilMl", "The oil is above 0 and at most 100 l.");
    problems.require(!herbs.isEmpty(), "herbs", "Name at least one herb.");
    problems.refuseIfAny();

    Reckoning.Writer lines = Reckoning.writer();
    double kept = 0;
    Range keptRange = Range.exactly(0);
    for (HerbPortion herb : herbs) {
      Retention retention = Retention.of(herb.part(), expression, experience);
      double perG = retention.mlPerG() * factor(herb);
      String learned =
          retention.batches() == 0 ? "" : ", learned from " + retention.batches() + " of your own";
      kept +=
          lines.line(
              "Kept by the spent herb of " + herb.herb().name(),
              plain(herb.dryMatterG()) + " g of dry matter × " + plain(perG) + " ml/g" + learned,
              herb.dryMatterG() * perG,
              "ml",
              Standing.TYPICAL);
      keptRange = keptRange.plus(retention.range().times(factor(herb) * herb.dryMatterG()));
    }
    double film = lines.line("Film", FILM_WORDS, filmMl(oilMl), "ml", Standing.TYPICAL);
    double yield = Math.max(0, oilMl - kept - film);
    Range range =
        Range.between(
            Math.max(0, oilMl - keptRange.high() - film),
            Math.max(0, oilMl - keptRange.low() - film));
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

  /**
   * What a straining teaches: the oil that stayed, less the film, per g of dry matter as cut herb
   * would have kept it.
   *
   * @param oilMl oil that was in the jar, ml
   * @param cameOutMl oil that came out, ml, not above it
   * @return one entry for every part in the jar; none below nothing
   * @throws velvetcrock.core.Refused at {@code cameOutMl}
   */
  public static List<Retention.Own> learn(
      double oilMl, double cameOutMl, List<HerbPortion> herbs, Expression expression) {
    Problems problems = new Problems();
    problems.require(
        cameOutMl >= 0 && cameOutMl <= oilMl, "cameOutMl", "No more comes out than was in it.");
    problems.refuseIfAny();

    double weighed = herbs.stream().mapToDouble(h -> h.dryMatterG() * factor(h)).sum();
    double mlPerG = Math.max(0, oilMl - cameOutMl - filmMl(oilMl)) / weighed;
    return herbs.stream()
        .map(HerbPortion::part)
        .distinct()
        .map(part -> new Retention.Own(part, expression, mlPerG))
        .toList();
  }

  private static double filmMl(double oilMl) {
    return FILM_ML + FILM_SHARE * oilMl;
  }

  private static double factor(HerbPortion herb) {
    boolean flower = herb.part() == Part.FLOWER || herb.part() == Part.HEAD;
    if (herb.cut() == Cut.POWDER) {
      return POWDER;
    }
    return flower && herb.cut() == Cut.WHOLE ? WHOLE_FLOWER : 1;
  }
}
