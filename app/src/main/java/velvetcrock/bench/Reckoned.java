package velvetcrock.bench;

import java.util.List;
import java.util.Optional;
import velvetcrock.core.Range;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.charge.JarChoice;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.outlook.Comparison;
import velvetcrock.core.spirit.SpiritStep;
import velvetcrock.core.yield.Yield;

/**
 * What the bench's sentence comes to.
 *
 * @param wish the sentence as read
 * @param choice the vessels, each with its share; the first is the one that is drawn
 * @param filled the same with the oil that is measured out for each
 * @param order what stands in the first of them; a slurry as it comes out of the blender
 * @param charge that, reckoned
 * @param chosen what was chosen rather than found
 * @param oneToFive the cut at which 1:5 would cover, where the found ratio is larger
 * @param narrower a jar at hand narrow enough to cover, where that is a way out
 * @param expected what will come out, and how that is known
 * @param spirit the spirit's step for the first of them, if there is one
 * @param beside the same herb by other ways
 * @param cautions worst first, with what the lots' ages call for
 */
record Reckoned(
    Wish wish,
    JarChoice choice,
    List<Filled> filled,
    ChargeOrder order,
    Charge charge,
    Chosen chosen,
    Optional<Cut> oneToFive,
    Optional<Jar> narrower,
    Expected expected,
    Optional<SpiritStep> spirit,
    Beside beside,
    List<Caution> cautions) {

  /**
   * What was chosen rather than found.
   *
   * @param jarChosen whether the vessel was chosen rather than found
   * @param ratioChosen whether the ratio was typed rather than found
   */
  record Chosen(boolean jarChosen, boolean ratioChosen) {}

  /**
   * What will come out, and how that is known.
   *
   * @param learnedFrom how many of the household's own batches taught the yield
   */
  record Expected(Yield yield, int learnedFrom) {}

  /**
   * The same herb by other ways.
   *
   * @param compared the same herb without spirit and with it, where spirit is asked for
   * @param heats the same herb by every way of heat, where one is asked for
   */
  record Beside(Optional<Comparison> compared, Optional<Comparison> heats) {}

  /**
   * A vessel with what is measured out for it.
   *
   * @param share of the herb
   * @param pouredMl oil, ml
   */
  record Filled(Jar jar, double share, Range pouredMl) {}

  /** The vessel that is drawn. */
  Jar jar() {
    return choice.jar();
  }

  /** Its share of it all. */
  double share() {
    return choice.fills().get(0).share();
  }

  /** Oil for all vessels together, ml. */
  double oilMl() {
    return filled.stream().mapToDouble(f -> f.pouredMl().middle()).sum();
  }

  /** Herb in the vessel that is drawn, g. */
  Range herbG() {
    return wish.herbG().times(share());
  }

  /** Where its oil should be on the heat: by its method and its most delicate herb. */
  HeatGoal heatGoal() {
    return HeatGoal.of(wish.method(), herbCeilingC());
  }

  /** The most delicate herb's own ceiling, °C. */
  double herbCeilingC() {
    return wish.portions().stream()
        .mapToDouble(h -> h.herb().handling().drawing().ceilingC())
        .min()
        .orElseThrow();
  }

  /** Whether a caution says that it cannot be meant so. */
  boolean stopped() {
    return cautions.stream().anyMatch(c -> c.passing() == Caution.Passing.NEVER);
  }

  /** The cautions that somebody has to have read before going on. */
  List<Caution> toBeRead() {
    return cautions.stream().filter(c -> c.passing() == Caution.Passing.HAVING_READ).toList();
  }
}
