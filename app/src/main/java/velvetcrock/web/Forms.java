package velvetcrock.web;

import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import velvetcrock.core.Refused;

/** What becomes of a form that was sent: done and away, or shown again with what was refused. */
public final class Forms {
  private Forms() {}

  /**
   * Does the work of a form.
   *
   * @param work does it and answers with the notice to show
   * @param done the page to go to then
   * @param again shows the form with what was typed and the errors
   */
  public static String saved(
      Supplier<String> work,
      String done,
      RedirectAttributes flash,
      HttpServletResponse response,
      Function<FieldErrors, String> again) {
    try {
      flash.addFlashAttribute("notice", work.get());
      return "redirect:" + done;
    } catch (Refused refused) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      return again.apply(FieldErrors.of(refused));
    }
  }

  /**
   * A form in which nothing was typed.
   *
   * @param type a record of things that may all be null, or of groups of such
   */
  public static <T> T blank(Class<T> type) {
    return SentForms.read(type, Map.of());
  }
}
