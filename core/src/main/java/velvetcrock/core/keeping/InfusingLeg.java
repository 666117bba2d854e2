package velvetcrock.core.keeping;

import velvetcrock.core.heat.Aged;
import velvetcrock.core.heat.Ageing;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.heat.Warmth;

/**
 * A stretch of the infusion in one light.
 *
 * @param name where it stood
 * @param hours how long, h; the hours that the trace does not cover count at 20 °C
 * @param warmth the temperature as far as it is known
 */
public record InfusingLeg(String name, double hours, Warmth warmth, Light light) {
  private static final double HOURS_PER_DAY = 24;

  /** One whose temperature is known, or planned. */
  public InfusingLeg(String name, double hours, Trace trace, Light light) {
    this(name, hours, Warmth.of(trace), light);
  }

  /** The temperature as it was read or is taken to have been. */
  public Trace trace() {
    return warmth.usual();
  }

  /** Hours that no trace covers. */
  public double untracedHours() {
    return Math.max(0, hours - trace().hours());
  }

  /** Shelf life used: (ageing of the trace + untraced hours) ÷ 24 × light, days. */
  public double spentDays() {
    return spentDays(Ageing.hours(trace()));
  }

  private double spentDays(double ageingHours) {
    return (ageingHours + untracedHours()) / HOURS_PER_DAY * light.factor();
  }

  /** Days that it lasted. */
  public double days() {
    return Math.max(hours, trace().hours()) / HOURS_PER_DAY;
  }

  /** It, with its integrals taken once. */
  Spending spending() {
    Aged usual = Ageing.of(trace());
    boolean known = warmth.coldest() == warmth.usual() && warmth.hottest() == warmth.usual();
    return new Spending(
        this,
        usual,
        known ? usual : Ageing.of(warmth.coldest()),
        known ? usual : Ageing.of(warmth.hottest()));
  }

  /** What it spends under each guess. */
  record Spending(InfusingLeg leg, Aged usual, Aged coldest, Aged hottest) {
    double days(Guess guess) {
      Aged aged = guess.of() != Guess.Figure.WARMTH ? usual : guess.high() ? hottest : coldest;
      return (guess.of(aged) + leg.untracedHours()) / HOURS_PER_DAY * leg.light().factor(guess);
    }
  }
}
