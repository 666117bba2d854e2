package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import java.io.Serializable;
import java.time.Instant;
import java.util.List;
import java.util.Locale;

/**
 * Where somebody signed in, as it is kept in the session.
 *
 * @param what in words, from what the browser says of itself
 * @param address from which it came
 * @param at when the password or the passkey was last shown
 */
record Device(String what, String address, Instant at) implements Serializable {
  /** Its name in a session. */
  static final String ATTRIBUTE = "device";

  private static final long serialVersionUID = 1;

  /** What is told apart, those first whose words the others say too. */
  private static final List<String> BROWSERS = List.of("Firefox", "Edg", "Chrome", "Safari");

  private static final List<String> SYSTEMS =
      List.of("iPhone", "iPad", "Android", "Windows", "Mac OS", "Linux");

  static Device of(HttpServletRequest request, Instant now) {
    String said = request.getHeader("User-Agent");
    return new Device(words(said == null ? "" : said), request.getRemoteAddr(), now);
  }

  private static String words(String said) {
    String browser = first(BROWSERS, said, "A browser").replace("Edg", "Edge");
    String system = first(SYSTEMS, said, "");
    return system.isEmpty() ? browser : browser + " on " + system.replace("Mac OS", "a Mac");
  }

  private static String first(List<String> names, String said, String none) {
    String lower = said.toLowerCase(Locale.ROOT);
    return names.stream()
        .filter(n -> lower.contains(n.toLowerCase(Locale.ROOT)))
        .findFirst()
        .orElse(none);
  }
}
