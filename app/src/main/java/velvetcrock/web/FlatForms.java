package velvetcrock.web;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.core.ResolvableType;
import org.springframework.stereotype.Component;
import org.springframework.validation.BindException;
import org.springframework.validation.DataBinder;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Reads forms that are composed of groups ({@link Flat}) out of fields that all lie on one level.
 */
@Component
class FlatForms implements HandlerMethodArgumentResolver, WebMvcConfigurer {
  private final Map<Class<?>, Set<String>> groups = new ConcurrentHashMap<>();

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return !groups(parameter.getParameterType()).isEmpty();
  }

  @Override
  public @Nullable Object resolveArgument(
      MethodParameter parameter,
      @Nullable ModelAndViewContainer container,
      NativeWebRequest request,
      @Nullable WebDataBinderFactory binders)
      throws Exception {
    if (binders == null) {
      throw new IllegalStateException("No binder for " + parameter.getParameterType());
    }
    WebDataBinder binder =
        binders.createBinder(request, null, "form", ResolvableType.forMethodParameter(parameter));
    binder.construct(new Fields(request, groups(parameter.getParameterType())));
    if (binder.getBindingResult().hasErrors()) {
      throw new BindException(binder.getBindingResult());
    }
    return binder.getTarget();
  }

  private Set<String> groups(Class<?> type) {
    return groups.computeIfAbsent(type, FlatForms::groupsOf);
  }

  private static Set<String> groupsOf(Class<?> type) {
    Set<String> groups = new LinkedHashSet<>();
    if (type.isRecord()) {
      Arrays.stream(type.getRecordComponents())
          .filter(c -> c.isAnnotationPresent(Flat.class))
          .map(RecordComponent::getName)
          .forEach(groups::add);
    }
    return groups;
  }

  /** What was sent, each group's fields asked for under its name and found without it. */
  private static final class Fields implements DataBinder.ValueResolver {
    private final NativeWebRequest request;
    private final Set<String> groups;
    private final Set<String> names;

    Fields(NativeWebRequest request, Set<String> groups) {
      this.request = request;
      this.groups = groups;
      this.names = names();
    }

    @Override
    public @Nullable Object resolveValue(String name, Class<?> type) {
      int dot = name.indexOf('.');
      if (groups.contains(name)) {
        return null;
      }
      boolean grouped = dot > 0 && groups.contains(name.substring(0, dot));
      String field = grouped ? name.substring(dot + 1) : name;
      String[] values = request.getParameterValues(field);
      if (values == null) {
        return null;
      }
      return values.length == 1 ? values[0] : values;
    }

    @Override
    public Set<String> getNames() {
      return names;
    }

    private Set<String> names() {
      Set<String> names = new HashSet<>();
      for (Iterator<String> sent = request.getParameterNames(); sent.hasNext(); ) {
        String name = sent.next();
        names.add(name);
        groups.forEach(g -> names.add(g + "." + name));
      }
      groups.forEach(g -> names.add(g + ".")); // a group is there though nothing of it was sent
      return names;
    }
  }
}
