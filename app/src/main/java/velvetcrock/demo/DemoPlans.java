package velvetcrock.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.School;
import velvetcrock.kitchen.HomeHours;
import velvetcrock.kitchen.Household;
import velvetcrock.plans.Plans;

/** The demo household's plans: gifts on the way, two of which want the same plate at once. */
@Component
@Order(5)
class DemoPlans implements DemoPart {
  private static final int SOON_DAYS = 9;
  private static final int GIFTS_DAYS = 40;

  private final Plans plans;
  private final HomeHours homeHours;
  private final Clock clock;

  DemoPlans(Plans plans, HomeHours homeHours, Clock clock) {
    this.plans = plans;
    this.homeHours = homeHours;
    this.clock = clock;
  }

  @Override
  public void furnish(Household cottage) {
    homeHours.keep(
        new HomeHours.Typed(
            "06:30",
            "22:00",
            List.of("MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY"),
            "08:30",
            "13:00"));
    LocalDate today = LocalDate.ofInstant(clock.instant(), cottage.zone());
    LocalDate gifts = today.plusDays(GIFTS_DAYS);
    LocalDate soon = today.plusDays(SOON_DAYS);
    tins(12, Firmness.SALVE, "heather", "sunflower-high-oleic", gifts, Method.COLD, "ferry crew");
    tins(6, Firmness.FIRM_BALM, "rosehip-shell", "jojoba", gifts, Method.SOLAR, "wool spinners");
    tins(8, Firmness.SOFT_SALVE, "yarrow", "rapeseed", soon, Method.WARM, "weather station");
    tins(4, Firmness.SALVE, "scots-pine-bud", "rapeseed", soon, Method.SIMMER, "harbour");
    tins(5, Firmness.SALVE, "meadowsweet", "rapeseed", soon, Method.CROCK, "post boat");
  }

  private void tins(
      int count,
      Firmness kind,
      String herb,
      String carrier,
      LocalDate by,
      Method method,
      String key) {
    plans.decide(
        new Plans.Wanted(count, "30 ml", kind, herb, carrier, by, method, School.COVERING),
        "demo:" + key);
  }
}
