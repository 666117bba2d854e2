package velvetcrock.account;

import java.net.URI;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Under what name browsers reach this house: as it is configured ({@code velvetcrock.origin}, such
 * as {@code https://kitchen.local}), else on this machine alone.
 */
@Component
class HouseName {
  private final String configured;
  private final Environment environment;

  HouseName(@Value("${velvetcrock.origin:}") String configured, Environment environment) {
    this.configured = configured;
    this.environment = environment;
  }

  /** Scheme, name and port. */
  String origin() {
    return configured.isBlank()
        ? "http://localhost:" + environment.getProperty("local.server.port", "8080")
        : configured;
  }

  /** The name alone, to which passkeys are bound. */
  String host() {
    return URI.create(origin()).getHost();
  }
}
