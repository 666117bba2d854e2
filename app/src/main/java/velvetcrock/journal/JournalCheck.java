package velvetcrock.journal;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import velvetcrock.core.log.Entry;
import velvetcrock.core.log.Log;

/** Compares a log with what the journal tells of it. */
public final class JournalCheck {
  private JournalCheck() {}

  /**
   * Compares.
   *
   * @param of what the log is of, in words
   * @param mend tells the journal of an entry; null to leave it as it is
   * @return a line for every difference
   */
  public static <E extends velvetcrock.core.log.Event<?>> List<String> differences(
      Journal journal,
      String of,
      Log<E> log,
      @org.jspecify.annotations.Nullable Consumer<Entry<E>> mend) {
    List<Entry<E>> told = log.entries().stream().filter(e -> !e.event().strikes()).toList();
    Map<UUID, Boolean> known = journal.known(told.stream().map(Entry::id).toList());
    Set<UUID> replaced = log.replaced();
    List<String> differences = new ArrayList<>();
    for (Entry<E> entry : told) {
      Boolean struck = known.get(entry.id());
      boolean should = replaced.contains(entry.id());
      if (struck != null && struck == should) {
        continue;
      }
      differences.add(
          of
              + ": the journal "
              + (struck == null ? "does not know" : should ? "does not strike out" : "strikes out")
              + " “"
              + entry.event().kind()
              + "” of "
              + entry.at());
      if (mend != null && struck == null) {
        mend.accept(entry);
      }
      if (mend != null && should) {
        journal.strike(entry.id());
      }
    }
    return differences;
  }
}
