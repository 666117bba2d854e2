package velvetcrock.core.batch;

import velvetcrock.core.keeping.Store;
import velvetcrock.core.log.Checks;

/**
 * One bottle as filled.
 *
 * @param letter A, B, …; names it within its batch
 * @param ml what went in, ml
 * @param sizeMl what it holds, ml
 * @param cappedCold whether it was capped when fully cool; if not, that is still to be done
 */
public record BottleIn(
    String letter,
    double ml,
    double sizeMl,
    Store.Place place,
    Store.Glass glass,
    Store.Antioxidant antioxidant,
    boolean cappedCold) {
  /** Checks what has to be there. */
  public BottleIn {
    Checks.text("letter", letter);
    Checks.within("ml", ml, 0, 100_000);
    Checks.within("sizeMl", sizeMl, 0, 100_000);
    Checks.present("place", place);
    Checks.present("glass", glass);
    Checks.present("antioxidant", antioxidant);
  }
}
