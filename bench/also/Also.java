package velvetcrock.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import org.springframework.boot.SpringApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.HttpRequestHandler;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.WebContext;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.FileTemplateResolver;
import org.thymeleaf.web.servlet.JakartaServletWebApplication;
import velvetcrock.VelvetCrock;
import velvetcrock.web.CurrentHousehold;

/**
 * The application with what the benchmarks compare it with. The yardstick of bench/throughput: a page behind the same
 * session and door, by Thymeleaf and one query, that answers the bytes that another page answered, as a template of
 * their own, and reckons nothing. For bench/pages, what the core alone takes, in the same machine. And a page that is
 * asked for with “written” finds that the household has just written of a jar.
 */
@Configuration(proxyBeanMethods = false)
public class Also {
  private final ITemplateEngine pages = pages(System.getProperty("pages"));

  public static void main(String[] args) {
    SpringApplication.run(new Class<?>[] {VelvetCrock.class, Also.class}, args);
  }

  private static ITemplateEngine pages(String folder) {
    FileTemplateResolver files = new FileTemplateResolver();
    files.setPrefix(folder + "/");
    files.setCharacterEncoding("UTF-8");
    SpringTemplateEngine engine = new SpringTemplateEngine();
    engine.setTemplateResolver(files);
    return engine;
  }

  /** With “core”, it has the core alone reckon that before it answers. */
  @Bean("/bare")
  HttpRequestHandler bare(JdbcTemplate jdbc, CurrentHousehold current, Alone core) {
    return (request, response) -> {
      String what = request.getParameter("core");
      if (what != null) {
        response.setHeader("Core", core.reckon(what).toString());
      }
      answer(jdbc, current, request, response);
    };
  }

  /** The core by itself: one want by every way, or one charge. */
  static class Alone {
    private final PlanBenchmark plans = new PlanBenchmark();
    private final CoreBenchmark charges = new CoreBenchmark();

    Integer reckon(String what) {
      return (what.equals("want") ? plans.oneWant() : charges.charge()).hashCode();
    }
  }

  @Bean
  Alone alone() {
    return new Alone();
  }

  /** How long the core alone takes for something, ms. */
  @Bean("/core")
  HttpRequestHandler core(Alone core) {
    return (request, response) -> {
      long begun = System.nanoTime();
      Integer reckoned = core.reckon(request.getParameter("what"));
      double millis = (System.nanoTime() - begun) / 1e6;
      response.getWriter().printf(Locale.ROOT, "%.4f %d", millis, reckoned);
    };
  }

  @Bean
  HandlerInterceptor written(JdbcTemplate jdbc, TransactionTemplate transactions) {
    return new HandlerInterceptor() {
      @Override
      public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getParameter("written") != null) {
          transactions.executeWithoutResult(status -> {
            jdbc.execute("set local synchronous_commit = off");
            jdbc.update("update batch set status = status where id = (select id from batch where standing order by id limit 1)");
          });
        }
        return true;
      }
    };
  }

  @Bean
  WebMvcConfigurer writtenFirst(HandlerInterceptor written) {
    return new WebMvcConfigurer() {
      @Override
      public void addInterceptors(InterceptorRegistry interceptors) {
        interceptors.addInterceptor(written).order(Ordered.HIGHEST_PRECEDENCE);
      }
    };
  }

  private void answer(JdbcTemplate jdbc, CurrentHousehold current, HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    var exchange = JakartaServletWebApplication.buildApplication(request.getServletContext()).buildExchange(request, response);
    WebContext context = new WebContext(exchange);
    context.setVariable("name", jdbc.queryForObject("select current_setting('server_version') || ?", String.class, current.id().toString()));
    response.setContentType("text/html;charset=UTF-8");
    pages.process(request.getParameter("of"), context, response.getWriter());
  }
}
