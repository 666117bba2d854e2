package velvetcrock.push;

import com.interaso.webpush.VapidKeys;
import com.interaso.webpush.WebPush;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Hands calls to the push services that an operator allows, encrypted to the phone (RFC 8291) and
 * signed by the house (RFC 8292). Off until {@code velvetcrock.push.services} names one.
 */
@Component
class PushPost {
  private static final Logger LOG = LoggerFactory.getLogger(PushPost.class);
  private static final Duration PATIENCE = Duration.ofSeconds(10);
  private static final int ENDPOINT_LENGTH = 1000;
  private static final int SUCCESS = 200;
  private static final int GONE = 410;
  private static final int NOT_FOUND = 404;

  /** A call that could not be handed over for so long is not worth it any more, s. */
  private static final int WORTH_SECONDS = 1800;

  private final List<String> services;
  private final Optional<WebPush> push;
  private final HttpClient client =
      HttpClient.newBuilder()
          .connectTimeout(PATIENCE)
          .followRedirects(HttpClient.Redirect.NEVER)
          .build();

  /**
   * Reads how it is set.
   *
   * @param services hosts that may be asked, each with those below it, or whole origins
   * @param contact where a service reaches whoever keeps the house: {@code mailto:} or {@code
   *     https:}
   * @param keys file of the house's keys, made where it is not there
   */
  PushPost(
      @Value("${velvetcrock.push.services:}") List<String> services,
      @Value("${velvetcrock.push.contact:}") String contact,
      @Value("${velvetcrock.push.keys}") String keys) {
    this.services = services.stream().map(String::strip).filter(one -> !one.isEmpty()).toList();
    boolean on = !this.services.isEmpty() && !contact.isBlank();
    this.push =
        on ? Optional.of(new WebPush(contact.strip(), keys(Path.of(keys)))) : Optional.empty();
  }

  private static VapidKeys keys(Path file) {
    VapidKeys keys = VapidKeys.load(file, true);
    try {
      Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
    } catch (IOException | UnsupportedOperationException others) {
      LOG.warn("Others on this machine may read {}: {}", file, others.getMessage());
    }
    return keys;
  }

  /** What became of a call. */
  enum Outcome {
    TAKEN,
    /** The phone is not to be reached that way any more. */
    GONE,
    /** Another time, perhaps. */
    FAILED
  }

  /** Whether closed phones can be called at all. */
  boolean on() {
    return push.isPresent();
  }

  /** What a browser wants to know of the house before it lets itself be called, base64url. */
  String publicKey() {
    return push.map(p -> p.getVapidKeys().getApplicationServerKey())
        .map(Base64.getUrlEncoder().withoutPadding()::encodeToString)
        .orElse("");
  }

  /** Whether an address belongs to a service that is allowed here: no other is ever asked. */
  boolean allows(String endpoint) {
    if (!on() || endpoint.length() > ENDPOINT_LENGTH) {
      return false;
    }
    try {
      URI uri = URI.create(endpoint);
      String host = uri.getHost();
      if (host == null || uri.getUserInfo() != null) {
        return false;
      }
      String origin = uri.getScheme() + "://" + uri.getAuthority();
      return services.stream()
          .anyMatch(
              one ->
                  one.contains("://")
                      ? origin.equals(one)
                      : origin.equals("https://" + host)
                          && (host.equals(one) || host.endsWith("." + one)));
    } catch (IllegalArgumentException unreadable) {
      return false;
    }
  }

  /** Hands a call over. */
  Outcome send(Phones.Phone phone, String words) {
    if (!allows(phone.endpoint())) {
      return Outcome.GONE;
    }
    WebPush keyed = push.orElseThrow();
    Base64.Decoder decoder = Base64.getUrlDecoder();
    byte[] body =
        keyed.getBody(
            words.getBytes(StandardCharsets.UTF_8),
            decoder.decode(phone.publicKey()),
            decoder.decode(phone.secret()));
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(phone.endpoint()))
            .timeout(PATIENCE)
            .POST(HttpRequest.BodyPublishers.ofByteArray(body));
    keyed
        .getHeaders(phone.endpoint(), WORTH_SECONDS, null, WebPush.Urgency.High)
        .forEach(request::header);
    try {
      int status =
          client.send(request.build(), HttpResponse.BodyHandlers.discarding()).statusCode();
      if (status == GONE || status == NOT_FOUND) {
        return Outcome.GONE;
      }
      return status / 100 == SUCCESS / 100 ? Outcome.TAKEN : Outcome.FAILED;
    } catch (IOException unreachable) {
      return Outcome.FAILED;
    } catch (InterruptedException ended) {
      Thread.currentThread().interrupt();
      return Outcome.FAILED;
    }
  }
}
