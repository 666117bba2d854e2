package velvetcrock.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.support.SessionFlashMapManager;

/**
 * Keeps what the next page is to say. Of several for the same page the newest stands: where an
 * answer was lost on the way, the page says what became of it when it was asked again. A page that
 * a phone keeps for later takes no notice along: nobody is looking at it. For a file nobody’s
 * session is looked up.
 */
@Component("flashMapManager")
class Notices extends SessionFlashMapManager {
  /** Header of a page that is asked for to be kept, with nobody looking. */
  static final String FOR_LATER = "For-Later";

  @Override
  protected @Nullable List<FlashMap> retrieveFlashMaps(HttpServletRequest request) {
    boolean shown =
        request.getHeader(FOR_LATER) == null && !request.getRequestURI().startsWith(Assets.PATH);
    return shown ? super.retrieveFlashMaps(request) : null;
  }

  @Override
  protected void updateFlashMaps(
      List<FlashMap> all, HttpServletRequest request, HttpServletResponse response) {
    super.updateFlashMaps(newest(all), request, response);
  }

  static List<FlashMap> newest(List<FlashMap> all) {
    Map<List<Object>, FlashMap> newest = new LinkedHashMap<>();
    for (FlashMap one : all) {
      String page = String.valueOf(one.getTargetRequestPath());
      newest.put(List.of(page, one.getTargetRequestParams()), one);
    }
    return new ArrayList<>(newest.values());
  }
}
