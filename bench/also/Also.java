package velvetcrock.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.boot.SpringApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.HttpRequestHandler;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.WebContext;
import org.thymeleaf.web.servlet.JakartaServletWebApplication;
import velvetcrock.VelvetCrock;
import velvetcrock.web.CurrentHousehold;

/**
 * The application with one page more, the yardstick of bench/throughput: behind the same session and door, by
 * Thymeleaf and one query, it answers the very bytes that another page answered, and reckons nothing.
 */
@Configuration(proxyBeanMethods = false)
public class Also {
  private final Map<String, String> pages = new ConcurrentHashMap<>();

  public static void main(String[] args) {
    SpringApplication.run(new Class<?>[] {VelvetCrock.class, Also.class}, args);
  }

  @Bean("/bare")
  HttpRequestHandler bare(ITemplateEngine templates, JdbcTemplate jdbc, CurrentHousehold current) {
    return (request, response) -> answer(templates, jdbc, current, request, response);
  }

  private void answer(ITemplateEngine templates, JdbcTemplate jdbc, CurrentHousehold current, HttpServletRequest request, HttpServletResponse response) throws IOException {
    var exchange = JakartaServletWebApplication.buildApplication(request.getServletContext()).buildExchange(request, response);
    WebContext context = new WebContext(exchange);
    context.setVariable("name", jdbc.queryForObject("select name from household where id = ?", String.class, current.id()));
    context.setVariable("page", pages.computeIfAbsent(request.getParameter("of"), Also::page));
    response.setContentType("text/html;charset=UTF-8");
    templates.process("bare", context, response.getWriter());
  }

  /** A page as it was answered before, but for the few bytes of what stands around it. */
  private static String page(String of) {
    try {
      return Files.readString(Path.of(System.getProperty("pages"), of), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new IllegalArgumentException(of, e);
    }
  }
}
