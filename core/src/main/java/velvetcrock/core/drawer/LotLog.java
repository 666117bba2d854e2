package velvetcrock.core.drawer;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import velvetcrock.core.Refused;
import velvetcrock.core.log.Log;

/** Folds the log of a lot. */
public final class LotLog {
  private static final double ROUNDING = 1e-6;

  private @Nullable LotDetails details;
  private double amount;
  private double most;
  private final List<Lot.Picking> pickings = new ArrayList<>();
  private final List<Lot.Taking> takings = new ArrayList<>();
  private @Nullable LotEnding ended;

  private LotLog() {}

  /**
   * The lot as its log says it stands.
   *
   * @throws Refused at {@code amount} if it would hold less than nothing
   */
  public static Lot fold(Log<LotEvent> log) {
    LotLog fold = new LotLog();
    log.counting().forEach(e -> e.event().applyTo(fold, e.at()));
    return fold.lot();
  }

  void added(LotDetails what, double much) {
    details = what;
    put(much);
  }

  void picked(LocalDate on, double more) {
    pickings.add(new Lot.Picking(on, more));
    put(amount + more);
  }

  /**
   * Some went into something.
   *
   * @param less how much; below nothing where it came back
   */
  void taken(Instant at, double less, String what) {
    takings.add(new Lot.Taking(at, less, what));
    put(amount - less);
  }

  void counted(double now) {
    put(now);
  }

  void described(LotDetails anew) {
    details = anew;
  }

  void opened(LocalDate on) {
    if (details != null) {
      details = details.opened(on);
    }
  }

  void ended(LotEnding reason) {
    ended = reason;
    put(0);
  }

  private void put(double now) {
    if (now < -ROUNDING) {
      throw new Refused("amount", "There is not so much of it.");
    }
    amount = Math.max(0, now);
    most = Math.max(most, amount);
  }

  private Lot lot() {
    if (details == null) {
      throw new Refused("replaces", "That it was put into the drawer stays in its log.");
    }
    return new Lot(details, amount, most, List.copyOf(pickings), List.copyOf(takings), ended);
  }
}
