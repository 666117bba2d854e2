package velvetcrock.batch;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import velvetcrock.core.batch.Visited.Act;
import velvetcrock.core.care.Task;

/** Words a visit to a jar: what is asked for before, and what the log says after. */
public final class VisitWords {
  private VisitWords() {}

  /** What a visit for these tasks consists of; a tick logs just that. */
  public static Set<Act> acts(Collection<Task> tending) {
    Set<Act> acts = EnumSet.noneOf(Act.class);
    for (Task task : tending) {
      switch (task.kind()) {
        case SHAKE -> acts.add(Act.SHAKEN);
        case TOP_UP -> acts.add(Act.LEVEL);
        case SETTLE -> acts.addAll(EnumSet.of(Act.LEVEL, Act.LOOKED));
        case LOOK -> acts.addAll(EnumSet.of(Act.LOOKED, Act.SMELLED));
        default -> throw new IllegalArgumentException("No visit: " + task.kind());
      }
    }
    return acts;
  }

  /** What is to be done, such as “Shake, look and smell”. */
  public static String toDo(Set<Act> acts) {
    return joined(acts, List.of("shake", "check the level", "look", "smell"));
  }

  /** What was done, such as “Shaken, looked at and smelled”. */
  public static String done(Set<Act> acts) {
    return joined(acts, List.of("shaken", "level checked", "looked at", "smelled"));
  }

  /** In order of the acts. */
  private static String joined(Set<Act> acts, List<String> words) {
    List<String> said = new ArrayList<>();
    for (Act act : EnumSet.copyOf(acts)) {
      said.add(words.get(act.ordinal()));
    }
    String last = said.remove(said.size() - 1);
    String all = said.isEmpty() ? last : String.join(", ", said) + " and " + last;
    return Character.toUpperCase(all.charAt(0)) + all.substring(1);
  }
}
