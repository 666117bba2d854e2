package velvetcrock.plans;

import java.time.LocalDateTime;
import java.util.List;
import org.springframework.stereotype.Component;
import velvetcrock.core.diary.Diary;
import velvetcrock.core.diary.House;
import velvetcrock.core.diary.Job;
import velvetcrock.web.HeldUntilChanged;
import velvetcrock.web.HouseholdPart;

/** Settles plans that clash, once for all who look within a minute. */
@Component
class PlanSettling {
  /**
   * How plans settle in one kitchen.
   *
   * @param minute from when on
   */
  @HeldUntilChanged(value = HouseholdPart.PLANS, rows = 100)
  Diary.Settled settled(House house, LocalDateTime minute, List<Job> jobs) {
    return new Diary(house, minute).settle(jobs);
  }
}
