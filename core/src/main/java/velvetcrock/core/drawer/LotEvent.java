package velvetcrock.core.drawer;

import java.time.LocalDate;
import velvetcrock.core.Problems;

/** What can happen to a lot. Amounts are in the unit of its kind. */
public sealed interface LotEvent {
  /** Most that anybody has of anything: 100 kg or 100 l. */
  double MOST = 100_000;

  /**
   * It was put into the drawer.
   *
   * @param amount how much; 0 where it is still to be picked
   * @param text what was typed
   */
  record Added(LotDetails details, double amount, String text) implements LotEvent {
    /** Checks the amount. */
    public Added {
      check(amount, 0);
    }
  }

  /** More of it was picked. */
  record Picked(double amount, String text, LocalDate on) implements LotEvent {
    /** Checks the amount. */
    public Picked {
      check(amount, LEAST);
    }
  }

  /**
   * Some went into something.
   *
   * @param what the code of the batch, or what else it was for
   */
  record Taken(double amount, String what) implements LotEvent {
    /** Checks the amount. */
    public Taken {
      check(amount, LEAST);
    }
  }

  /** Some that had been taken came back. */
  record GivenBack(double amount, String what) implements LotEvent {
    /** Checks the amount. */
    public GivenBack {
      check(amount, LEAST);
    }
  }

  /** It was counted or weighed: so much there is, whatever was reckoned. */
  record Counted(double amount, String text) implements LotEvent {
    /** Checks the amount. */
    public Counted {
      check(amount, 0);
    }
  }

  /** What it is was said anew. */
  record Described(LotDetails details) implements LotEvent {}

  /** It was opened. */
  record Opened(LocalDate on) implements LotEvent {}

  /** It is no more. */
  record Ended(Reason reason) implements LotEvent {}

  /** Nothing: takes back the entry that it replaces. */
  record Struck() implements LotEvent {}

  /** Why a lot came to its end. */
  enum Reason {
    /** Used up. */
    USED_UP,
    /** Given away. */
    GIVEN_AWAY,
    /** Stale, rancid or spoiled. */
    SPOILED,
    /** Spilled or lost. */
    LOST
  }

  /** Least amount that is one. */
  double LEAST = 0.001;

  private static void check(double amount, double least) {
    Problems problems = new Problems();
    problems.require(
        amount >= least && amount <= MOST,
        "amount",
        "An amount is "
            + (least == 0 ? "not negative" : "above 0")
            + " and at most 100 kg or 100 l.");
    problems.refuseIfAny();
  }
}
