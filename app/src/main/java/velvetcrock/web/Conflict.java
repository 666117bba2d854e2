package velvetcrock.web;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** What was asked for stands against something that is written already; nothing was changed. */
@ResponseStatus(HttpStatus.CONFLICT)
public class Conflict extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** Said where two wrote the same thing at the same moment. */
  public static final String AT_ONCE =
      "Something was written there at the same moment. Nothing was changed: look again, and repeat"
          + " it if it is still wanted.";

  /**
   * Says what it stands against.
   *
   * @param message in words for the reader
   */
  public Conflict(String message) {
    super(message);
  }
}
