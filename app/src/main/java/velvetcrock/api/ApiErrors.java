package velvetcrock.api;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import velvetcrock.core.Problem;
import velvetcrock.core.Refused;
import velvetcrock.web.NotFound;

/** Errors of the JSON face as RFC 9457 problem documents. */
@RestControllerAdvice(annotations = RestController.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class ApiErrors {
  @ExceptionHandler(Refused.class)
  ProblemDetail refused(Refused refused) {
    return unprocessable(refused.problems());
  }

  @ExceptionHandler(NotFound.class)
  ProblemDetail notFound(NotFound missing) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.NOT_FOUND, String.valueOf(missing.getMessage()));
  }

  @ExceptionHandler(HttpMessageNotReadableException.class)
  ProblemDetail unreadable(HttpMessageNotReadableException e) {
    if (e.getCause() instanceof UnrecognizedPropertyException unknown) {
      String field =
          unknown.getPath().stream()
              .map(
                  r -> r.getPropertyName() == null ? "[" + r.getIndex() + "]" : r.getPropertyName())
              .collect(Collectors.joining("."));
      return unprocessable(List.of(new Problem(field, "Nothing of this name is known here.")));
    }
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.BAD_REQUEST, "This is not JSON of the kind that is expected here; see /api.");
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
