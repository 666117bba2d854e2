package velvetcrock.core.drawer;

import velvetcrock.core.Problems;

/** What amounts of a lot have to hold. */
final class LotChecks {
  private LotChecks() {}

  /** Refuses an amount below the least or above the most. */
  static void amount(double amount, double least) {
    Problems problems = new Problems();
    problems.require(
        amount >= least && amount <= LotEvent.MOST,
        "amount",
        () ->
            "An amount is "
                + (least == 0 ? "not negative" : "above 0")
                + " and at most 100 kg or 100 l.");
    problems.refuseIfAny();
  }
}
