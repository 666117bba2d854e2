package velvetcrock.shelf;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import velvetcrock.batch.VisitWords;
import velvetcrock.batch.Written;
import velvetcrock.core.batch.Visited;

/** What the round says of its timers. */
final class RoundWords {
  private RoundWords() {}

  /** What a tick wrote, or that it stood there before. */
  static String visited(List<Written> written, List<String> acts) {
    String codes = written.stream().map(Written::code).collect(Collectors.joining(", "));
    if (written.stream().allMatch(Written::repeated)) {
      return codes + ": that is in the log already, by " + written.get(0).by() + ".";
    }
    Set<Visited.Act> done = acts.stream().map(Visited.Act::valueOf).collect(Collectors.toSet());
    return codes + ": " + VisitWords.done(done).toLowerCase(Locale.ROOT) + ".";
  }

  /** How many things cannot wait. */
  static String cannotWait(long count) {
    return count == 1 ? "One cannot wait" : count + " cannot wait";
  }
}
