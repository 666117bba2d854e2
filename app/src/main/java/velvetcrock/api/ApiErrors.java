package velvetcrock.api;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import velvetcrock.core.Problem;
import velvetcrock.core.Refused;
import velvetcrock.web.Conflict;
import velvetcrock.web.NotFound;
import velvetcrock.web.PlainText;
import velvetcrock.web.Unreadable;

/** Errors of the JSON face as RFC 9457 problem documents. */
@RestControllerAdvice(annotations = RestController.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class ApiErrors {
  private static final Pattern NAMED_TWICE =
      Pattern.compile("Duplicate Object property \"([^\"]*)\"");

  @ExceptionHandler(Refused.class)
  ProblemDetail refused(Refused refused) {
    return unprocessable(refused.problems());
  }

  @ExceptionHandler(NotFound.class)
  ProblemDetail notFound(NotFound missing) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.NOT_FOUND, String.valueOf(missing.getMessage()));
  }

  @ExceptionHandler(Conflict.class)
  ProblemDetail conflict(Conflict conflict) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.CONFLICT, String.valueOf(conflict.getMessage()));
  }

  @ExceptionHandler(Unreadable.class)
  ProblemDetail unreadable(Unreadable unreadable) {
    ProblemDetail detail =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.BAD_REQUEST, String.valueOf(unreadable.getMessage()));
    detail.setProperty(
        "errors", List.of(Map.of("field", unreadable.field(), "message", detail.getDetail())));
    return detail;
  }

  @ExceptionHandler(DataIntegrityViolationException.class)
  ProblemDetail atOnce(DataIntegrityViolationException violation) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, Conflict.AT_ONCE);
  }

  @ExceptionHandler(HttpMessageNotReadableException.class)
  ProblemDetail unreadable(HttpMessageNotReadableException e) {
    ProblemDetail detail =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.BAD_REQUEST,
            "This is not JSON of the kind that is expected here; see /api.");
    Optional<String> twice = namedTwice(e.getCause());
    if (twice.isPresent()) {
      detail.setProperty(
          "errors", List.of(Map.of("field", twice.get(), "message", "It is named twice.")));
    }
    if (e.getCause() instanceof DatabindException mapping && !mapping.getPath().isEmpty()) {
      String field = path(mapping);
      if (mapping instanceof UnrecognizedPropertyException) {
        return unprocessable(List.of(new Problem(field, "Nothing of this name is known here.")));
      }
      String why =
          String.valueOf(mapping.getOriginalMessage()).equals(PlainText.NOT_KEPT)
              ? PlainText.NOT_KEPT
              : "Not of the kind expected.";
      detail.setProperty("errors", List.of(Map.of("field", field, "message", why)));
    }
    return detail;
  }

  private static Optional<String> namedTwice(@Nullable Throwable cause) {
    return Optional.ofNullable(cause)
        .filter(StreamReadException.class::isInstance)
        .map(c -> NAMED_TWICE.matcher(String.valueOf(c.getMessage())))
        .filter(Matcher::find)
        .map(found -> found.group(1));
  }

  /** Where in the document it went wrong, such as {@code herbs[0].massG}. */
  private static String path(DatabindException e) {
    StringBuilder path = new StringBuilder();
    for (JacksonException.Reference step : e.getPath()) {
      if (step.getPropertyName() == null) {
        path.append('[').append(step.getIndex()).append(']');
      } else {
        path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
      }
    }
    return path.toString();
  }

  private static ProblemDetail unprocessable(List<Problem> problems) {
    ProblemDetail detail =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.UNPROCESSABLE_CONTENT,
            problems.stream().map(Problem::message).collect(Collectors.joining(" ")));
    detail.setProperty(
        "errors",
        problems.stream().map(p -> Map.of("field", p.field(), "message", p.message())).toList());
    return detail;
  }
}
