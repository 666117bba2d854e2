package velvetcrock.kitchen;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import velvetcrock.core.Problems;
import velvetcrock.core.Refused;
import velvetcrock.core.outlook.Hours;

/** When somebody of the household is up and at home. */
@Service
public class HomeHours {
  private final Households households;

  HomeHours(Households households) {
    this.households = households;
  }

  /**
   * Says when somebody is up and at home.
   *
   * @param typed the times as {@code 07:30}, the days by their names
   * @throws Refused at {@code wakes}, {@code sleeps}, {@code awayFrom} or {@code awayUntil}
   */
  @Transactional
  public void keep(Typed typed) {
    Problems problems = new Problems();
    LocalTime wakes = problems.attempt("wakes", () -> time(typed.wakes()));
    LocalTime sleeps = problems.attempt("sleeps", () -> time(typed.sleeps()));
    LocalTime from = problems.attempt("awayFrom", () -> time(typed.awayFrom()));
    LocalTime until = problems.attempt("awayUntil", () -> time(typed.awayUntil()));
    problems.refuseIfAny();
    Set<DayOfWeek> days =
        typed.awayDays().stream()
            .flatMap(day -> Arrays.stream(DayOfWeek.values()).filter(d -> d.name().equals(day)))
            .collect(Collectors.toSet());
    households.lockCurrent().keep(new Hours(wakes, sleeps, days, from, until));
  }

  /** Hours as they were typed. */
  public record Typed(
      String wakes, String sleeps, List<String> awayDays, String awayFrom, String awayUntil) {}

  private static LocalTime time(String typed) {
    try {
      return LocalTime.parse(typed.strip());
    } catch (DateTimeException e) {
      throw new Refused("", "“" + typed.strip() + "” is not a time, such as 07:30.");
    }
  }
}
