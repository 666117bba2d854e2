package velvetcrock.account;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.stereotype.Component;

/**
 * Whether a request came in by the management port, which only whoever keeps the house reaches;
 * where that is no port of its own, none did.
 */
@Component
class ManagementPort implements RequestMatcher {
  private static final String NAME = "management";
  private static final int NONE = -1;

  private volatile int port = NONE;

  /** Known once its server is up; asking the settings for it again took a sixth of a request. */
  @EventListener
  void up(WebServerInitializedEvent event) {
    if (NAME.equals(event.getApplicationContext().getServerNamespace())) {
      port = event.getWebServer().getPort();
    }
  }

  @Override
  public boolean matches(HttpServletRequest request) {
    return request.getLocalPort() == port;
  }
}
