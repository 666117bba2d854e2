package velvetcrock.web;

import java.time.Duration;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.EncodedResourceResolver;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * Files of the interface. Under a name that tells their content, as pages link them, they are kept
 * for a year and never asked for again; under any other, for an hour, as {@code application.yaml}
 * says.
 */
@Configuration(proxyBeanMethods = false)
class Assets implements WebMvcConfigurer {
  static final String PATH = "/assets/";

  private static final Duration YEAR = Duration.ofDays(365);

  /** The hash of their content is an MD5. */
  private static final String TELLING = "{name:.+-[0-9a-f]{32}\\.[a-z0-9]+}";

  /** What lies beside a file in small, as {@code build.mjs} writes it. */
  private static EncodedResourceResolver small() {
    EncodedResourceResolver resolver = new EncodedResourceResolver();
    resolver.setContentCodings(List.of("br"));
    return resolver;
  }

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    // Before it is looked for among some three hundred routes.
    registry.setOrder(Ordered.HIGHEST_PRECEDENCE);
    for (String folder : new String[] {"", "fonts/", "icons/"}) {
      registry
          .addResourceHandler(PATH + folder + TELLING)
          .addResourceLocations("classpath:/static/assets/" + folder)
          .setCacheControl(CacheControl.maxAge(YEAR).cachePublic().immutable())
          .resourceChain(true)
          .addResolver(small())
          .addResolver(new VersionResourceResolver().addContentVersionStrategy("/**"));
    }
  }
}
