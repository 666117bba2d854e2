package velvetcrock.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.SpringApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.HttpRequestHandler;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.WebContext;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.FileTemplateResolver;
import org.thymeleaf.web.servlet.JakartaServletWebApplication;
import velvetcrock.VelvetCrock;
import velvetcrock.web.CurrentHousehold;

/**
 * The application with one page more, the yardstick of bench/throughput: behind the same session and door, by
 * Thymeleaf and one query, it answers the bytes that another page answered, as a template of their own, and reckons
 * nothing.
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

  @Bean("/bare")
  HttpRequestHandler bare(JdbcTemplate jdbc, CurrentHousehold current) {
    return (request, response) -> answer(jdbc, current, request, response);
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
