package velvetcrock.core.batch;

import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.log.Checks;

/**
 * A carrier as it went in, with the dates known of it.
 *
 * @param carrier its key in the catalogue
 * @param share part by volume
 * @param lot the lot that it came from, if it was kept
 * @param dateUnknown whether it was said that nobody knows any of its dates
 */
public record OilIn(
    String carrier,
    double share,
    @Nullable LocalDate bestBefore,
    @Nullable LocalDate openedOn,
    @Nullable LocalDate pressedOn,
    @Nullable UUID lot,
    boolean dateUnknown) {
  /** One whose dates are known, or may still be told. */
  public OilIn(
      String carrier,
      double share,
      @Nullable LocalDate bestBefore,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate pressedOn,
      @Nullable UUID lot) {
    this(carrier, share, bestBefore, openedOn, pressedOn, lot, false);
  }

  /** From no lot. */
  public OilIn(
      String carrier,
      double share,
      @Nullable LocalDate bestBefore,
      @Nullable LocalDate openedOn,
      @Nullable LocalDate pressedOn) {
    this(carrier, share, bestBefore, openedOn, pressedOn, null);
  }

  /** Checks what has to be there. */
  public OilIn {
    Checks.present("carrier", carrier);
    Checks.within("share", share, 1e-6, 1e6);
  }
}
