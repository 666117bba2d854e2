package velvetcrock.plans;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import velvetcrock.core.diary.Job;
import velvetcrock.core.outlook.Hours;
import velvetcrock.core.outlook.Timetable;

/**
 * A plan as it stands.
 *
 * @param code that its batch will have
 * @param begins when it is to be charged
 * @param ready when it is finished
 * @param by the day by whose evening it is wanted
 * @param appliance on which it is to stand, if on any
 * @param open whether it is still to be charged
 */
public record Planned(
    UUID id,
    String code,
    PlanDetails details,
    Instant begins,
    Instant ready,
    LocalDate by,
    Optional<UUID> appliance,
    boolean open,
    String madeBy) {

  /** Key of its herb. */
  public String herb() {
    return details.plant().herb();
  }

  LocalDateTime begins(ZoneId zone) {
    return LocalDateTime.ofInstant(begins, zone);
  }

  /** Its steps, in the household's hours. */
  Timetable timetable(ZoneId zone, Hours hours) {
    return Timetable.decided(
        begins(zone), details.way().method(), details.way().hours(), details.making(), hours);
  }

  /** It, as the diary sees it. */
  Job job(ZoneId zone) {
    return new Job(
        code,
        details.way().method(),
        details.way().hours(),
        details.making(),
        details.jars(),
        begins(zone),
        by.plusDays(1).atStartOfDay());
  }
}
