package velvetcrock;

import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A browser as the house sees one: it keeps cookies and sends back the token of the last form. */
final class Caller {
  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

  private final HttpClient http =
      HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(10)).build();
  private final Map<String, String> cookies = new LinkedHashMap<>();
  private int port;
  private final String agent;
  private String token = "";

  Caller(int port, String agent) {
    this.port = port;
    this.agent = agent;
  }

  /** Where the house listens now. */
  void at(int now) {
    port = now;
  }

  /** Sends a file from a page. */
  HttpResponse<String> upload(String page, String path, String field, String text)
      throws Exception {
    get(page);
    String part = "--part\r\nContent-Disposition: form-data; name=\"";
    String body =
        part
            + "_csrf\"\r\n\r\n"
            + token
            + "\r\n"
            + part
            + field
            + "\"; filename=\"sent.csv\"\r\nContent-Type: text/csv\r\n\r\n"
            + text
            + "\r\n--part--\r\n";
    return send(
        to(path)
            .header("Content-Type", "multipart/form-data; boundary=part")
            .POST(BodyPublishers.ofString(body))
            .build());
  }

  HttpResponse<String> get(String path, String... headers) throws Exception {
    HttpRequest.Builder request = to(path).GET();
    if (headers.length > 0) {
      request.headers(headers);
    }
    return send(request.build());
  }

  /** Sends a form, with the token of the page it stood on. */
  HttpResponse<String> send(String path, String... fields) throws Exception {
    StringBuilder body = new StringBuilder("_csrf=" + encoded(token));
    for (int i = 0; i < fields.length; i += 2) {
      body.append('&').append(encoded(fields[i])).append('=').append(encoded(fields[i + 1]));
    }
    return send(
        to(path)
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(BodyPublishers.ofString(body.toString()))
            .build());
  }

  /** A page, and the form on it. */
  HttpResponse<String> send(Form form) throws Exception {
    get(form.page());
    return send(form.path(), form.fields());
  }

  /** A form on a page. */
  record Form(String page, String path, String... fields) {}

  private HttpRequest.Builder to(String path) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
            .timeout(Duration.ofSeconds(20))
            .header("User-Agent", agent)
            .header("Accept", "text/html");
    StringBuilder sent = new StringBuilder();
    cookies.forEach((name, value) -> sent.append(name).append('=').append(value).append("; "));
    return sent.isEmpty() ? request : request.header("Cookie", sent.toString());
  }

  private HttpResponse<String> send(HttpRequest request) throws Exception {
    HttpResponse<String> answer = http.send(request, BodyHandlers.ofString());
    for (String set : answer.headers().allValues("set-cookie")) {
      String pair = set.substring(0, set.indexOf(';'));
      int equals = pair.indexOf('=');
      if (equals == pair.length() - 1) {
        cookies.remove(pair.substring(0, equals));
      } else {
        cookies.put(pair.substring(0, equals), pair.substring(equals + 1));
      }
    }
    Matcher found = TOKEN.matcher(answer.body());
    if (found.find()) {
      token = found.group(1);
    }
    return answer;
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
