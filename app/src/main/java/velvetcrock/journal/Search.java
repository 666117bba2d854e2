package velvetcrock.journal;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is looked for; all of it has to hold.
 *
 * @param words beginnings of words; may be empty
 * @param herb key of a herb
 * @param oil key of an oil
 * @param kinds kinds of entry; empty for all
 * @param from not before
 * @param until before
 */
public record Search(
    String words,
    @Nullable String herb,
    @Nullable String oil,
    List<String> kinds,
    @Nullable Instant from,
    @Nullable Instant until) {

  /** Copies the list. */
  public Search {
    kinds = List.copyOf(kinds);
  }

  /** What was written of a herb, of some kinds. */
  public static Search ofHerb(String herb, String... kinds) {
    return new Search("", herb, null, List.of(kinds), null, null);
  }
}
