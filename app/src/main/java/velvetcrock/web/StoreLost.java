package velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.ModelAndView;

/**
 * Lets go on what was thrown because the database went away or the disk is full, to where that is
 * said. A connection to the database that breaks looks, to the resolvers after this one, like a
 * browser that hung up: they would answer that all is well, and what was to be logged would not be
 * there.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class StoreLost implements HandlerExceptionResolver {
  @Override
  public @Nullable ModelAndView resolveException(
      HttpServletRequest request,
      HttpServletResponse response,
      @Nullable Object handler,
      Exception failed) {
    if (failed instanceof RuntimeException thrown && StoreTrouble.of(failed).isPresent()) {
      throw thrown;
    }
    return null;
  }
}
