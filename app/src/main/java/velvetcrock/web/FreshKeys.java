package velvetcrock.web;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** The keys that name what a page's forms will write: new with each page that is sent. */
public final class FreshKeys {
  private static final String GIVEN = FreshKeys.class.getName();

  private FreshKeys() {}

  /** A key that nothing was written under. */
  public static String next() {
    String key = UUID.randomUUID().toString();
    RequestAttributes request = RequestContextHolder.getRequestAttributes();
    if (request != null) {
      List<String> given = new ArrayList<>(given(request));
      given.add(key);
      request.setAttribute(GIVEN, given, RequestAttributes.SCOPE_REQUEST);
    }
    return key;
  }

  /** Those that the page of a request was given. */
  @SuppressWarnings("unchecked")
  static List<String> given(RequestAttributes request) {
    Object given = request.getAttribute(GIVEN, RequestAttributes.SCOPE_REQUEST);
    return given == null ? List.of() : (List<String>) given;
  }
}
