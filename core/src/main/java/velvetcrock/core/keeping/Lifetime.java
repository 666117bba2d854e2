package velvetcrock.core.keeping;

import java.util.ArrayList;
import java.util.List;
import velvetcrock.core.Range;
import velvetcrock.core.keeping.InfusingLeg.Spending;
import velvetcrock.core.keeping.KeepingOrder.StoredLeg;

/**
 * How long what the carrier brought lasts, reckoned in its middle and with each of its guesses at
 * either end. The moves of the pace, as logarithms, are added in quadrature, up and down apart.
 */
final class Lifetime {
  private final KeepingOrder order;
  private final double broughtDays;
  private final List<Spending> infusing;
  private final double before;
  private final double infusedDays;

  /**
   * That of an order.
   *
   * @param infusing what its stretches of the infusion spend, which no store changes
   */
  Lifetime(KeepingOrder order, List<Spending> infusing, double broughtDays) {
    this.order = order;
    this.broughtDays = broughtDays;
    this.infusing = infusing;
    this.before = order.before().map(KeepingOrder.Before::spentDays).orElse(0.0);
    this.infusedDays =
        order.before().map(KeepingOrder.Before::days).orElse(0.0)
            + order.infusing().stream().mapToDouble(InfusingLeg::days).sum();
  }

  /** What the stretches of an order's infusion spend: a walk along all that was read of each. */
  static List<Spending> spendings(KeepingOrder order) {
    return order.infusing().stream().map(InfusingLeg::spending).toList();
  }

  /** Shelf life used in each stretch of the infusion, days. */
  List<Double> spent() {
    List<Double> spent = new ArrayList<>();
    infusing.forEach(leg -> spent.add(leg.days(Guess.MIDDLE)));
    return spent;
  }

  /** Days in store until nothing is left. */
  double usualStoreDays() {
    return Math.max(0, days(Guess.MIDDLE) - infusedDays);
  }

  /** Days in store until nothing is left, at the least and at the most. */
  Range storeDays() {
    double middle = days(Guess.MIDDLE);
    if (middle <= 0) {
      return Range.exactly(0);
    }
    double shorter = 0;
    double longer = 0;
    for (Guess.Figure of : Guess.Figure.values()) {
      for (boolean high : new boolean[] {false, true}) {
        double move = Math.log(days(new Guess(of, high)) / middle);
        shorter += move < 0 ? move * move : 0;
        longer += move > 0 ? move * move : 0;
      }
    }
    return new Range(
        Math.max(0, middle * Math.exp(-Math.sqrt(shorter)) - infusedDays),
        Math.max(0, middle * Math.exp(Math.sqrt(longer)) - infusedDays));
  }

  /**
   * Days from charging until nothing is left under a guess. What is spent before it is strained is
   * taken to be spent evenly.
   */
  private double days(Guess guess) {
    double spent = before + infusing.stream().mapToDouble(leg -> leg.days(guess)).sum();
    if (spent >= broughtDays) {
      return spent > 0 ? infusedDays * Math.max(0, broughtDays) / spent : 0;
    }
    double left = broughtDays - spent;
    double days = 0;
    for (StoredLeg leg : order.stored()) {
      double rate = leg.store().rate(guess);
      double lasting = Math.min(leg.days(), Math.max(0, left) / rate);
      days += lasting;
      left -= leg.days() * rate;
    }
    return infusedDays + days + Math.max(0, left) / order.store().rate(guess);
  }
}
