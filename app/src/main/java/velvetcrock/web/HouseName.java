package velvetcrock.web;

import java.net.URI;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Under what name browsers reach this house: as it is configured ({@code velvetcrock.origin}, such
 * as {@code https://kitchen.local}), else on this machine alone.
 */
@Component
public class HouseName {
  private static final Set<String> THIS_MACHINE =
      Set.of("localhost", "127.0.0.1", "[::1]", "::1", "0:0:0:0:0:0:0:1", "[0:0:0:0:0:0:0:1]");

  private final String configured;
  private final Set<String> addresses;
  private final Environment environment;

  HouseName(
      @Value("${velvetcrock.origin:}") String configured,
      @Value("${velvetcrock.addresses:}") Set<String> addresses,
      Environment environment) {
    this.configured = configured;
    this.addresses = addresses;
    this.environment = environment;
  }

  /** Whether it has a name by which others than this machine reach it. */
  public boolean given() {
    return !configured.isBlank();
  }

  /** Scheme, name and port. */
  public String origin() {
    return given()
        ? configured
        : "http://localhost:" + environment.getProperty("local.server.port", "8080");
  }

  /** The name alone, to which passkeys are bound. */
  public String host() {
    return URI.create(origin()).getHost();
  }

  /**
   * Where what is handed out leads to: under the name, which stays when a router gives the machine
   * another number; as the page was asked for where there is none.
   */
  public UriComponentsBuilder link() {
    return given()
        ? UriComponentsBuilder.fromUriString(configured)
        : ServletUriComponentsBuilder.fromCurrentContextPath();
  }

  /** Whether whoever asks for this host means this house. */
  boolean answersTo(String asked) {
    String host = asked.toLowerCase(Locale.ROOT);
    return THIS_MACHINE.contains(host)
        || host.endsWith(".localhost")
        || host.equals(host().toLowerCase(Locale.ROOT))
        || addresses.contains(host);
  }
}
