package velvetcrock.web;

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

/** What a page says when it cannot be shown. */
@ControllerAdvice(annotations = Controller.class)
class PageErrors {
  @ExceptionHandler(NotFound.class)
  @ResponseStatus(HttpStatus.NOT_FOUND)
  String notFound(NotFound missing, Model model) {
    return say("Not here", String.valueOf(missing.getMessage()), model);
  }

  @ExceptionHandler(MethodArgumentTypeMismatchException.class)
  @ResponseStatus(HttpStatus.NOT_FOUND)
  String noSuchAddress(MethodArgumentTypeMismatchException mismatch, Model model) {
    return say("Not here", "There is no such page.", model);
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
    return "web/problem";
  }
}
