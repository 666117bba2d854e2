package velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.http.HttpMethod;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.DefaultTransactionDefinition;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * A page reads all that it shows in one transaction that cannot write, as long as its controller
 * works: each of its dozens of questions alone would have to say anew for whom it asks, and what
 * was found once would be looked for again. It begins with the first question ({@link LookFirst});
 * a page of which all is held asks none. It is rolled back in the end, there being nothing to
 * commit, so that a question that was refused on the way spoils no page.
 */
@Configuration(proxyBeanMethods = false)
public class OneLook
    implements WebMvcConfigurer, HandlerInterceptor, HandlerExceptionResolver, Ordered {
  private static final String LOOK = OneLook.class.getName();

  /** A page that is answered as it was made looks at nothing. */
  private static final int AFTER_SAME_PAGES = 1;

  private final HouseholdTransactions transactions;
  private final CurrentHousehold current;

  OneLook(HouseholdTransactions transactions, CurrentHousehold current) {
    this.transactions = transactions;
    this.current = current;
  }

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this).order(AFTER_SAME_PAGES);
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (handler instanceof HandlerMethod method
        && method.getMethod().getReturnType() == String.class
        && !method.hasMethodAnnotation(AtTheDoor.class)
        && !method.hasMethodAnnotation(ResponseBody.class)
        && !AnnotatedElementUtils.hasAnnotation(method.getBeanType(), ResponseBody.class)
        && (HttpMethod.GET.matches(request.getMethod())
            || method.hasMethodAnnotation(WritesNothing.class))
        && current.who().isPresent()) {
      request.setAttribute(LOOK, new Look(transactions));
    }
    return true;
  }

  /** What is shown has been found: drawing it needs no connection, which others may wait for. */
  @Override
  public void postHandle(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable ModelAndView shown) {
    over(request);
  }

  /** What is said of a failure is looked up anew: the store may have refused to go on. */
  @Override
  public @Nullable ModelAndView resolveException(
      HttpServletRequest request,
      HttpServletResponse response,
      @Nullable Object handler,
      Exception failure) {
    over(request);
    return null;
  }

  @Override
  public int getOrder() {
    return HIGHEST_PRECEDENCE;
  }

  @Override
  public void afterCompletion(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable Exception thrown) {
    over(request);
  }

  /** Whether a page is being read. */
  static boolean open() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    return request != null && request.getAttribute(LOOK, RequestAttributes.SCOPE_REQUEST) != null;
  }

  /** Has the look begin of the page that is read, if one is: its first question is asked now. */
  static void begin() {
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null
        && request.getAttribute(LOOK, RequestAttributes.SCOPE_REQUEST) instanceof Look look) {
      look.begin();
    }
  }

  private static void over(HttpServletRequest request) {
    if (request.getAttribute(LOOK) instanceof Look look) {
      request.removeAttribute(LOOK);
      look.end();
    }
  }

  /** One page’s. */
  private static final class Look {
    private final HouseholdTransactions transactions;
    private @Nullable TransactionStatus begun;

    Look(HouseholdTransactions transactions) {
      this.transactions = transactions;
    }

    void begin() {
      if (begun == null) {
        DefaultTransactionDefinition reading = new DefaultTransactionDefinition();
        reading.setReadOnly(true);
        begun = transactions.getTransaction(reading);
      }
    }

    void end() {
      if (begun != null) {
        transactions.rollback(begun);
      }
    }
  }
}
