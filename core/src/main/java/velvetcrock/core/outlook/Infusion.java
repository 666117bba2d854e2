package velvetcrock.core.outlook;

import java.util.List;
import velvetcrock.core.care.Care;
import velvetcrock.core.care.Rhythm;
import velvetcrock.core.extraction.Agitation;
import velvetcrock.core.extraction.Pull;
import velvetcrock.core.heat.HeatGoal;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.InfusingLeg;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.materia.Method;

/**
 * A method drawn out over its hours as it is usually done: how warm, in what light, how often moved
 * and looked at (practice).
 *
 * @param hours how long it draws, h; on the heat where it is heated
 * @param celsius how warm its long part is, °C
 */
record Infusion(Method method, double hours, double celsius) {
  /** As warm as a herb bears, which may be less than is usual of the method. */
  static Infusion of(Method method, double hours, double herbCeilingC) {
    return new Infusion(
        method,
        hours,
        method.heated() ? HeatGoal.of(method, herbCeilingC).usualC() : method.celsius());
  }

  private static final double HOURS_PER_DAY = 24;
  private static final double MINUTES_PER_HOUR = 60;
  private static final double WARM_START_C = 43;

  /** How long a two-stage infusion's warm start lasts, h. */
  static final double WARM_START_HOURS = 0.75;

  /** The oil's temperature over time. */
  Trace trace() {
    if (method != Method.TWO_STAGE) {
      return Trace.steady(celsius, hours);
    }
    return new Trace(
        List.of(
            new Trace.Point(0, WARM_START_C),
            new Trace.Point(WARM_START_HOURS, WARM_START_C),
            new Trace.Point(WARM_START_HOURS + 1, celsius),
            new Trace.Point(hours, celsius)));
  }

  /** How often the herb is moved. */
  Agitation agitation() {
    return switch (method) {
      case COLD, TWO_STAGE, SOLAR -> Agitation.DAILY;
      case SPIRIT, SIMMER -> Agitation.SEVERAL;
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
    return new InfusingLeg("infusing", hours, trace(), light());
  }

  /** Visits to a jar, looks at a pot. */
  int checks() {
    Rhythm rhythm = Rhythm.of(method);
    if (rhythm.visitsADay() == 0) {
      return (int) Math.ceil(hours * MINUTES_PER_HOUR / Care.minutesBetweenLooks(method));
    }
    return rhythm.visits((int) Math.floor(hours / HOURS_PER_DAY)).size() * rhythm.visitsADay();
  }
}
