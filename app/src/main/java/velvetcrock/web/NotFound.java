package velvetcrock.web;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** What was asked for is not there, or not in this household: the answer is the same. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotFound extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /**
   * Names what is missing.
   *
   * @param message in words for the reader
   */
  public NotFound(String message) {
    super(message);
  }
}
