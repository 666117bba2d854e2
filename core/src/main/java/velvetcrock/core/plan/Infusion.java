package velvetcrock.core.plan;

import java.util.List;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Method;

/**
 * A method drawn out over its hours as it is usually done: how warm, in what light, how often moved
 * and looked at (practice).
 *
 * @param hours how long it draws, h; on the heat where it is heated
 */
record Infusion(Method method, double hours) {
  private static final double HOURS_PER_DAY = 24;
  private static final double WARM_START_C = 43;

  /** How long a two-stage infusion's warm start lasts, h. */
  static final double WARM_START_HOURS = 0.75;

  /** The oil's temperature over time. */
  Trace trace() {
    if (method != Method.TWO_STAGE) {
      return Trace.steady(method.celsius(), hours);
    }
    return new Trace(
        List.of(
            new Trace.Point(0, WARM_START_C),
            new Trace.Point(WARM_START_HOURS, WARM_START_C),
            new Trace.Point(WARM_START_HOURS + 1, method.celsius()),
            new Trace.Point(hours, method.celsius())));
  }

  /** How often the herb is moved. */
  Agitation agitation() {
    return switch (method) {
      case COLD, TWO_STAGE -> Agitation.DAILY;
      case SOLAR, SPIRIT, SIMMER -> Agitation.SEVERAL;
      case WARM -> Agitation.WEEKLY;
      case CROCK, OVEN -> Agitation.NONE;
    };
  }

  /** The light it stands in. */
  Light light() {
    return method == Method.SOLAR ? Light.WINDOW : Light.DARK;
  }

  /** It, as the pull is reckoned from. */
  Pull.Leg pullLeg() {
    return new Pull.Leg(trace(), agitation());
  }

  /** It, as its keeping is spent. */
  InfusingLeg keepingLeg() {
    return new InfusingLeg("drawing", hours, trace(), light());
  }

  /** Shakings of a jar, looks at a pot. */
  int checks() {
    double days = hours / HOURS_PER_DAY;
    return switch (method) {
      case COLD, TWO_STAGE -> (int) Math.round(Math.min(7, days) + Math.max(0, days - 7) / 3);
      case SOLAR -> (int) Math.round(days * 2);
      case SPIRIT -> (int) Math.round(days * 3);
      case WARM, OVEN -> (int) Math.ceil(hours * 2);
      case CROCK -> (int) Math.ceil(hours / 4);
      case SIMMER -> (int) Math.ceil(hours * 4);
    };
  }

  /** Minutes between two looks at a pot on the heat. */
  int minutesBetweenLooks() {
    return switch (method) {
      case SIMMER -> 15;
      case CROCK -> 240;
      default -> 30;
    };
  }
}
