package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
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
}
