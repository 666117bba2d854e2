package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.servlet.FlashMap;

class NoticesTest {
  private static FlashMap notice(String page, String words) {
    FlashMap notice = new FlashMap();
    notice.setTargetRequestPath(page);
    notice.put("notice", words);
    return notice;
  }

  @Test
  void theNewestNoticeForAPageStands() {
    List<FlashMap> kept =
        Notices.newest(
            List.of(
                notice("/batches/K7M", "Note."),
                notice("/", "Shaken."),
                notice("/batches/K7M", "It is in the log already.")));
    assertThat(kept)
        .extracting(one -> one.get("notice"))
        .containsExactlyInAnyOrder("It is in the log already.", "Shaken.");
  }

  @Test
  void aPageThatIsKeptForLaterLeavesTheNoticeForWhoeverLooks() {
    Notices notices = new Notices();
    MockHttpServletRequest form = new MockHttpServletRequest("POST", "/batches/K7M/log");
    notices.saveOutputFlashMap(
        notice("/batches/K7M", "Note."), form, new MockHttpServletResponse());
    MockHttpServletRequest looks = new MockHttpServletRequest("GET", "/batches/K7M");
    looks.setSession(form.getSession());
    MockHttpServletRequest keeps = new MockHttpServletRequest("GET", "/batches/K7M");
    keeps.setSession(form.getSession());
    keeps.addHeader(Notices.FOR_LATER, "yes");

    FlashMap kept = notices.retrieveAndUpdate(keeps, new MockHttpServletResponse());
    FlashMap seen = notices.retrieveAndUpdate(looks, new MockHttpServletResponse());
    assertThat(kept == null).isTrue();
    assertThat(seen.get("notice")).isEqualTo("Note.");
  }
}
