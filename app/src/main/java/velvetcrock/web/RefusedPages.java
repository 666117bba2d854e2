package velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Tells a page that it answers something that was refused, so that it says so at its top. */
@Component
class RefusedPages implements HandlerInterceptor, WebMvcConfigurer {
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
    if (page != null && response.getStatus() == HttpStatus.UNPROCESSABLE_CONTENT.value()) {
      page.addObject("refused", true);
    }
  }
}
