package velvetcrock.core.diary;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import velvetcrock.core.materia.Method;
import velvetcrock.core.outlook.Timetable;

/**
 * A plan as the diary sees it: what it holds and when it would like to.
 *
 * @param id names it
 * @param hours how long it draws, h
 * @param jars how many of which vessel it takes, by key
 * @param wished when it would begin if it were alone
 * @param deadline until when it should be ready
 */
public record Job(
    String id,
    Method method,
    double hours,
    Timetable.Making making,
    Map<String, Integer> jars,
    LocalDateTime wished,
    LocalDateTime deadline) {

  /** Copies. */
  public Job {
    jars = Map.copyOf(jars);
  }

  /** How many vessels it takes, which is how many places it wants on an appliance. */
  public int places() {
    return Math.max(1, jars.values().stream().mapToInt(Integer::intValue).sum());
  }

  /** Whether it stands on the heat at any time. */
  public boolean wantsHeat() {
    return method.heated() || method == Method.TWO_STAGE;
  }

  /** Its vessels in a list, for words. */
  public List<String> jarKeys() {
    return jars.keySet().stream().sorted().toList();
  }
}
