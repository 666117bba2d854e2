package velvetcrock.api;

import io.swagger.v3.oas.annotations.Operation;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** A readable page of what the JSON face can be asked. */
@Controller
class ApiPageController {
  private final RequestMappingHandlerMapping routes;

  ApiPageController(RequestMappingHandlerMapping requestMappingHandlerMapping) {
    this.routes = requestMappingHandlerMapping;
  }

  /** A call: its route, what it does, and the fields that it takes. */
  record Call(String route, String summary, String takes) {}

  @GetMapping("/api")
  String page(Model model) {
    model.addAttribute("calls", calls());
    return "api/api";
  }

  private List<Call> calls() {
    return routes.getHandlerMethods().entrySet().stream()
        .flatMap(
            e ->
                e.getKey().getPatternValues().stream()
                    .filter(p -> p.startsWith("/api/v1/") && summary(e.getValue()) != null)
                    .map(
                        p ->
                            new Call(
                                e.getKey().getMethodsCondition().getMethods().iterator().next()
                                    + " "
                                    + p,
                                summary(e.getValue()),
                                takes(e.getValue()))))
        .sorted(Comparator.comparing(Call::route))
        .toList();
  }

  private static @Nullable String summary(HandlerMethod method) {
    var operation = method.getMethodAnnotation(Operation.class);
    return operation == null || operation.summary().isEmpty() ? null : operation.summary();
  }

  private static String takes(HandlerMethod method) {
    return Stream.of(method.getMethod().getParameterTypes())
        .filter(Class::isRecord)
        .flatMap(type -> Arrays.stream(type.getRecordComponents()))
        .map(RecordComponent::getName)
        .collect(Collectors.joining(", "));
  }
}
