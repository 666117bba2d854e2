package velvetcrock.core.drawer;

import java.time.LocalDate;
import java.util.Collection;
import velvetcrock.core.caution.About;
import velvetcrock.core.caution.Facts;
import velvetcrock.core.materia.Catalogue;

/** Gathers the facts about lots that their cautions go by. */
public final class LotFacts {
  private LotFacts() {}

  /** Of lots: what the age of any of them calls for. */
  public static Facts of(Collection<Lot> lots, Catalogue catalogue, LocalDate today) {
    Facts facts = Facts.about(About.LOT);
    lots.forEach(
        lot ->
            lot.ages(catalogue, today).forEach(age -> facts.note(true, "age:" + Facts.word(age))));
    return facts;
  }
}
