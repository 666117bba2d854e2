package velvetcrock.web;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import velvetcrock.core.Refused;

/**
 * Of something that waited on a phone: when it was made there, and who had done the same before it
 * came in. A phone tells its own time twice, when it was made and when it is sent, so that a clock
 * that is wrong by minutes or hours does no harm. It is put right by whole minutes: what is sent
 * twice because its answer was lost is of the same moment.
 */
public final class Waited {
  /** The phone's time when it was made, as in ISO 8601. */
  public static final String MADE = "Made-At";

  /** The phone's time when it is sent. */
  public static final String SENT = "Sent-At";

  private static final double MINUTE_MS = 60_000;
  private static final String FORMATS = Waited.class.getName() + ".formats";
  private static final String BEFORE = Waited.class.getName() + ".before";

  private Waited() {}

  /**
   * When it was made.
   *
   * @param made what is told as {@link #MADE}; null where it did not wait
   * @param sent what is told as {@link #SENT}
   * @param now the house's own time
   * @throws Refused at {@code happened} where they are no times, or in the wrong order
   */
  public static Optional<Instant> madeAt(
      @Nullable String made, @Nullable String sent, Instant now) {
    if (made == null) {
      return Optional.empty();
    }
    try {
      Instant then = Instant.parse(made);
      Instant since = Instant.parse(sent == null ? "" : sent);
      if (!since.isBefore(then)) {
        long slow = Math.round(Duration.between(since, now).toMillis() / MINUTE_MS);
        Instant right = then.plus(Duration.ofMinutes(slow));
        return Optional.of(right.isAfter(now) ? now : right);
      }
    } catch (DateTimeException | ArithmeticException e) {
      // as below
    }
    throw new Refused(Happened.FIELD, "This phone’s clock was set anew. Say when it was.");
  }

  /** Notes in whose units and spelling whoever sent this reads its answer. */
  public static void readIn(Formats formats) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      request.setAttribute(FORMATS, formats, RequestAttributes.SCOPE_REQUEST);
    }
  }

  /** A finished text as whoever sent this reads it. */
  static String own(String text) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    Object formats =
        request == null ? null : request.getAttribute(FORMATS, RequestAttributes.SCOPE_REQUEST);
    return formats instanceof Formats known ? known.own(text) : text;
  }

  /** Notes that what is being written had been written before, and by whom. */
  public static void writtenBefore(String by) {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      request.setAttribute(BEFORE, by, RequestAttributes.SCOPE_REQUEST);
    }
  }

  /** Who had written before what this request was to write; empty if nobody had. */
  static Optional<String> before() {
    return Optional.ofNullable(RequestContextHolder.getRequestAttributes())
        .map(request -> (String) request.getAttribute(BEFORE, RequestAttributes.SCOPE_REQUEST));
  }
}
