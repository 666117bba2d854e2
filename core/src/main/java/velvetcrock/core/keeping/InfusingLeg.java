package velvetcrock.core.keeping;

import velvetcrock.core.heat.Ageing;
import velvetcrock.core.heat.Trace;

/**
 * A stretch of the infusion in one light.
 *
 * @param name where it stood
 * @param hours how long, h; the hours that the trace does not cover count at 20 °C
 * @param trace the temperature as far as it is known
 */
public record InfusingLeg(String name, double hours, Trace trace, Light light) {

  /** Hours that no trace covers. */
  public double untracedHours() {
    return Math.max(0, hours - trace.hours());
  }

  /** Keeping spent: (ageing of the trace + untraced hours) ÷ 24 × light, days. */
  public double spentDays() {
    return (Ageing.hours(trace) + untracedHours()) / 24 * light.factor();
  }

  /** Days that it lasted. */
  public double days() {
    return Math.max(hours, trace.hours()) / 24;
  }
}
