package velvetcrock.web;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import velvetcrock.core.Refused;

/** What a page says when it cannot be shown. */
@ControllerAdvice(annotations = Controller.class)
class PageErrors {
  @ExceptionHandler(NotFound.class)
  @ResponseStatus(HttpStatus.NOT_FOUND)
  String notFound(NotFound missing, Model model) {
    return say("Not here", String.valueOf(missing.getMessage()), model);
  }

  @ExceptionHandler(MethodArgumentTypeMismatchException.class)
  String mismatch(
      MethodArgumentTypeMismatchException mismatch, Model model, HttpServletResponse response) {
    if (mismatch.getValue() instanceof String[]) {
      response.setStatus(HttpStatus.BAD_REQUEST.value());
      return unreadable(mismatch.getName(), "This field was sent more than once.", model);
    }
    response.setStatus(HttpStatus.NOT_FOUND.value());
    return say("Not here", "There is no such page.", model);
  }

  @ExceptionHandler(Unreadable.class)
  @ResponseStatus(HttpStatus.BAD_REQUEST)
  String unreadable(Unreadable unreadable, Model model) {
    return unreadable(unreadable.field(), String.valueOf(unreadable.getMessage()), model);
  }

  /** A file’s envelope that cannot be opened, such as one without a boundary. */
  @ExceptionHandler(MultipartException.class)
  @ResponseStatus(HttpStatus.BAD_REQUEST)
  String unreadable(MultipartException broken, Model model) {
    return say("Not read", "What was sent came broken. Go back and send it again.", model);
  }

  private static String unreadable(String field, String why, Model model) {
    return say("Not read", "“" + field + "”: " + why, model);
  }

  @ExceptionHandler(MaxUploadSizeExceededException.class)
  @ResponseStatus(HttpStatus.CONTENT_TOO_LARGE)
  String tooLarge(MaxUploadSizeExceededException tooLarge, Model model) {
    return say("Too large", "That file is too large. Go back and choose a smaller one.", model);
  }

  @ExceptionHandler(PessimisticLockingFailureException.class)
  @ResponseStatus(HttpStatus.CONFLICT)
  String busy(PessimisticLockingFailureException conflict, Model model) {
    return say("Somebody else was writing", "Nothing was changed. Go back and try again.", model);
  }

  /** What no form of ours sends: a page with a form tells it at its field. */
  @ExceptionHandler(Refused.class)
  @ResponseStatus(HttpStatus.UNPROCESSABLE_CONTENT)
  String refused(Refused refused, Model model) {
    return say("Not written", refused.problems().get(0).message(), model);
  }

  @ExceptionHandler(Conflict.class)
  @ResponseStatus(HttpStatus.CONFLICT)
  String conflict(Conflict conflict, Model model) {
    return say("Not written", String.valueOf(conflict.getMessage()), model);
  }

  @ExceptionHandler(DataIntegrityViolationException.class)
  @ResponseStatus(HttpStatus.CONFLICT)
  String atOnce(DataIntegrityViolationException violation, Model model) {
    return say("Not written", Conflict.AT_ONCE, model);
  }

  private static String say(String title, String words, Model model) {
    model.addAttribute("title", title);
    model.addAttribute("words", words);
    return WaitedAnswers.refusal("web/problem", words, model);
  }
}
