package velvetcrock.bench;

import java.util.List;
import java.util.Optional;
import velvetcrock.core.Range;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.charge.Charge;
import velvetcrock.core.charge.ChargeOrder;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Jar;
import velvetcrock.core.yield.Yield;
import velvetcrock.kitchen.Place;

/**
 * What the bench's sentence comes to.
 *
 * @param herbG the herb, g; a range where it was measured by volume or by eye
 * @param jar the jar it is reckoned in
 * @param jarCount how many of that jar it takes
 * @param jarChosen whether the jar was chosen rather than found
 * @param ratioChosen whether the ratio was typed rather than found
 * @param oneToFive the cut at which 1:5 would cover, where the found ratio is larger
 * @param narrower a jar at hand narrow enough to cover, where that is a way out
 */
record Plan(
    ChargeOrder order,
    Charge charge,
    Range herbG,
    Jar jar,
    int jarCount,
    boolean jarChosen,
    boolean ratioChosen,
    Optional<Cut> oneToFive,
    Optional<Jar> narrower,
    Place place,
    Use use,
    Yield yield,
    List<Caution> cautions) {

  /** Whether a caution says not to go on. */
  boolean stopped() {
    return cautions.stream()
        .anyMatch(c -> c.level() == Caution.Level.STOP && !c.code().equals("no-ear"));
  }
}
