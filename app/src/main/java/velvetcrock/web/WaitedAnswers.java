package velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestContextUtils;
import org.springframework.web.servlet.view.json.JacksonJsonView;

/**
 * Answers what waited on a phone in words that the phone can keep, where a page would have been
 * shown: that it is done, that somebody else had done it, or why it is refused.
 */
@Component
class WaitedAnswers implements HandlerInterceptor, WebMvcConfigurer {
  private static final String VIEW = "waitedAnswer";
  private static final String REDIRECT = "redirect:";

  private final CurrentHousehold current;

  WaitedAnswers(CurrentHousehold current) {
    this.current = current;
  }

  /** The view of an answer: its model as JSON, and nothing else of it. */
  @Component(VIEW)
  static class Answer extends JacksonJsonView {
    Answer() {
      setModelKeys(Set.of("outcome", "words", "by", "link"));
    }
  }

  /** What became of it. */
  enum Outcome {
    DONE,
    DONE_BEFORE,
    REFUSED
  }

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this);
  }

  @Override
  public void postHandle(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable ModelAndView page) {
    if (page == null || request.getHeader(Waited.MADE) == null) {
      return;
    }
    String view = String.valueOf(page.getViewName());
    boolean led = view.startsWith(REDIRECT);
    Map<String, Object> flash = RequestContextUtils.getOutputFlashMap(request);
    String said = led ? flash.getOrDefault("notice", "").toString() : refusal(page);
    String problem = led ? flash.getOrDefault("problem", "").toString() : said;
    Optional<String> other = Waited.before().filter(by -> !by.equals(current.name()));
    Outcome outcome =
        !problem.isEmpty() || !led
            ? Outcome.REFUSED
            : other.isPresent() ? Outcome.DONE_BEFORE : Outcome.DONE;
    String link = led ? view.substring(REDIRECT.length()) : "";
    flash.clear();
    response.setStatus(HttpStatus.OK.value());
    page.clear();
    page.setViewName(VIEW);
    page.addObject("outcome", outcome.name());
    page.addObject("words", Waited.own(problem.isEmpty() ? said : problem));
    page.addObject("by", other.orElse(""));
    page.addObject("link", link);
  }

  /**
   * The view that says why something cannot be had or done.
   *
   * @param view the page for whoever looks at one
   */
  static String refusal(String view, String words, Model model) {
    if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes asked)
        || asked.getRequest().getHeader(Waited.MADE) == null) {
      return view;
    }
    model.addAttribute("outcome", Outcome.REFUSED.name());
    model.addAttribute("words", Waited.own(words));
    return VIEW;
  }

  /** What a page that was shown again says in its errors. */
  private static String refusal(ModelAndView page) {
    Object errors = page.getModel().get("errors");
    List<String> all =
        errors instanceof FieldErrors found ? List.copyOf(found.all().values()) : List.of();
    return all.isEmpty()
        ? "This could not be written."
        : all.stream().distinct().collect(Collectors.joining(" "));
  }
}
