package velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;
import org.thymeleaf.spring6.view.ThymeleafView;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/**
 * A page with what it shows at hand: a template keeps its variables with the request and asks for
 * them thousands of times, each time through every filter that has wrapped it.
 */
public class PageView extends ThymeleafView {
  @Override
  protected void renderFragment(
      Set<String> markupSelectorsToRender,
      Map<String, ?> model,
      HttpServletRequest request,
      HttpServletResponse response)
      throws Exception {
    Written written = new Written(response);
    super.renderFragment(markupSelectorsToRender, model, new Drawn(request), written);
    written.send();
  }

  /** The answer, put into bytes once it is whole. */
  private static final class Written extends HttpServletResponseWrapper {
    private final StringWriter page = new StringWriter();
    private final PrintWriter writer = new PrintWriter(page);

    Written(HttpServletResponse response) {
      super(response);
    }

    @Override
    public PrintWriter getWriter() {
      return writer;
    }

    void send() throws IOException {
      getOutputStream().write(page.toString().getBytes(StandardCharsets.UTF_8));
    }
  }

  /**
   * The request of one page while it is drawn, by one thread; what is put into it meanwhile is for
   * the page alone.
   */
  private static final class Drawn extends HttpServletRequestWrapper {
    private final Map<String, @Nullable Object> seen = new HashMap<>();

    Drawn(HttpServletRequest request) {
      super(request);
    }

    @Override
    public @Nullable Object getAttribute(String name) {
      if (!seen.containsKey(name)) {
        seen.put(name, super.getAttribute(name));
      }
      return seen.get(name);
    }

    @Override
    public void setAttribute(String name, @Nullable Object value) {
      seen.put(name, value);
    }

    @Override
    public void removeAttribute(String name) {
      seen.put(name, null);
    }
  }

  /** Has every page drawn so. */
  @Component
  static class Everywhere implements BeanPostProcessor {
    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
      if (bean instanceof ThymeleafViewResolver resolver) {
        resolver.setViewClass(PageView.class);
      }
      return bean;
    }
  }
}
