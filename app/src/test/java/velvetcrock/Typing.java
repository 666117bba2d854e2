package velvetcrock;

import static java.util.stream.Collectors.toMap;

import java.util.Map;
import velvetcrock.web.SentForms;

/** Forms as they come out of a page, for tests that need no page. */
public final class Typing {
  private Typing() {}

  /** A form of text fields with what was typed in them, in whatever group they stand. */
  public static <T> T form(Class<T> type, Map<String, String> typed) {
    return SentForms.read(
        type,
        typed.entrySet().stream()
            .collect(toMap(Map.Entry::getKey, e -> new String[] {e.getValue()})));
  }
}
