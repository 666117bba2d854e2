package velvetcrock.kitchen;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import velvetcrock.web.Formats;
import velvetcrock.web.Happened;
import velvetcrock.web.Waited;

/** Hands every form's time to whoever takes the form, to be read in the household's own way. */
@Component
class HappenedForms implements HandlerMethodArgumentResolver, WebMvcConfigurer {
  private final ObjectProvider<Households> households;

  HappenedForms(ObjectProvider<Households> households) {
    this.households = households;
  }

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == Happened.class;
  }

  @Override
  public Happened resolveArgument(
      MethodParameter parameter,
      ModelAndViewContainer container,
      NativeWebRequest request,
      WebDataBinderFactory binders) {
    Households all = households.getObject();
    Formats formats = all.formats(all.current());
    Waited.readIn(formats);
    Optional<Instant> made =
        Waited.madeAt(
            request.getHeader(Waited.MADE), request.getHeader(Waited.SENT), formats.now());
    return new Happened(request.getParameter(Happened.FIELD), formats, made.orElse(null));
  }
}
