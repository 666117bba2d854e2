package velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.http.HttpMethod;
import org.springframework.transaction.PlatformTransactionManager;
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
 * was found once would be looked for again. It is rolled back in the end, there being nothing to
 * commit, so that a question that was refused on the way spoils no page.
 */
@Configuration(proxyBeanMethods = false)
public class OneLook
    implements WebMvcConfigurer, HandlerInterceptor, HandlerExceptionResolver, Ordered {
  private static final String LOOK = OneLook.class.getName();

  /** A page that is answered as it was made looks at nothing. */
  private static final int AFTER_SAME_PAGES = 1;

  private final PlatformTransactionManager transactions;
  private final CurrentHousehold current;
  private final DefaultTransactionDefinition reading = new DefaultTransactionDefinition();

  OneLook(PlatformTransactionManager transactions, CurrentHousehold current) {
    this.transactions = transactions;
    this.current = current;
    this.reading.setReadOnly(true);
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
      TransactionStatus look = transactions.getTransaction(reading);
      request.setAttribute(LOOK, (Runnable) () -> transactions.rollback(look));
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

  private static void over(HttpServletRequest request) {
    if (request.getAttribute(LOOK) instanceof Runnable end) {
      request.removeAttribute(LOOK);
      end.run();
    }
  }
}
