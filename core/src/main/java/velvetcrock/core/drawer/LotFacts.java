package velvetcrock.core.drawer;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import velvetcrock.core.caution.About;
import velvetcrock.core.caution.Facts;
import velvetcrock.core.caution.Lookalikes;
import velvetcrock.core.materia.Catalogue;

/** Gathers the facts about lots that their cautions go by. */
public final class LotFacts {
  private LotFacts() {}

  /** Of lots: what the age of any of them calls for, and what a gathered herb is taken for. */
  public static Facts of(Collection<Lot> lots, Catalogue catalogue, LocalDate today) {
    Facts facts = Facts.about(About.LOT);
    lots.stream()
        .filter(lot -> lot.details().kind() == LotDetails.Kind.HERB)
        .filter(lot -> lot.details().origin() == LotDetails.Origin.FORAGED)
        .flatMap(lot -> Lookalikes.of(lot.details().thing()).stream())
        .forEach(code -> facts.bringing(List.of(code)));
    lots.forEach(
        lot ->
            lot.ages(catalogue, today).forEach(age -> facts.note(true, "age:" + Facts.word(age))));
    return facts;
  }
}
