package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import velvetcrock.web.QrCode;

/** A lid is held before a camera, or its code is typed. */
class ScanBrowserTest extends BrowserPages {
  private static final int WIDE = 640;
  private static final int HIGH = 480;
  private static final int MODULE = 8;

  private final JdbcTemplate jdbc = TestCluster.shared().owner();

  @TempDir Path folder;

  private String one(String sql) {
    return jdbc.queryForObject(sql + " and h.demo and h.name like 'Keeper%' limit 1", String.class);
  }

  /** A camera that sees a code on a light lid: uncompressed video of one picture. */
  private Path camera(String address) throws IOException {
    byte[] light = new byte[WIDE * HIGH];
    Arrays.fill(light, (byte) 220);
    QrCode code = QrCode.of(address);
    int left = (WIDE - code.side() * MODULE) / 2;
    int top = (HIGH - code.side() * MODULE) / 2;
    for (QrCode.Bar bar : code.bars()) {
      for (int y = 0; y < MODULE; y++) {
        int from = (top + bar.y() * MODULE + y) * WIDE + left + bar.x() * MODULE;
        Arrays.fill(light, from, from + bar.length() * MODULE, (byte) 20);
      }
    }
    byte[] grey = new byte[WIDE * HIGH / 2];
    Arrays.fill(grey, (byte) 128);
    Path film = folder.resolve("lid.y4m");
    try (OutputStream out = Files.newOutputStream(film)) {
      out.write(
          "YUV4MPEG2 W%d H%d F10:1 Ip A1:1 C420\n"
              .formatted(WIDE, HIGH)
              .getBytes(StandardCharsets.US_ASCII));
      for (int frame = 0; frame < 10; frame++) {
        out.write("FRAME\n".getBytes(StandardCharsets.US_ASCII));
        out.write(light);
        out.write(grey);
      }
    }
    return film;
  }

  private void scanned(String address, boolean allowed, String leadsTo) throws IOException {
    List<String> flags =
        allowed
            ? List.of(
                "--use-fake-device-for-media-stream",
                "--use-fake-ui-for-media-stream",
                "--use-file-for-fake-video-capture=" + camera(address))
            : List.of();
    try (Browser sees = launch(flags);
        Page page =
            sees.newContext(
                    new Browser.NewContextOptions()
                        .setViewportSize(360, 780)
                        .setBaseURL("http://localhost:" + port))
                .newPage()) {
      enterDemo(page);
      page.getByLabel("Scan a lid").click();
      arrived(page, "/lid$");
      assertThat(page.locator("video")).isHidden();
      press(page, "Open the camera");
      if (leadsTo.isEmpty()) {
        assertThat(page.locator("[data-scan-said]")).containsText("Type the code instead");
        assertThat(page.locator("#seen")).isFocused();
      } else {
        arrived(page, leadsTo + "$");
      }
    }
  }

  @Test
  void aLidHeldBeforeTheCameraOpensItsJarUnderWhateverNameTheHouseHas() throws Exception {
    String jar =
        one(
            "select b.code from batch b join household h on h.id = b.household_id"
                + " where b.status = 'INFUSING'");
    scanned("https://kitchen.local/batches/" + jar, true, "/batches/" + jar);
  }

  @Test
  void aCameraThatMayNotBeUsedSaysSo() throws Exception {
    scanned("", false, "");
  }

  @Test
  void aLabelOrWhatIsTypedLeadsToItsPage() {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      enterDemo(page);
      String bottle =
          one(
              "select b.code || '-' || o.letter from bottle o join batch b on b.id = o.batch_id"
                  + " join household h on h.id = b.household_id where true");
      page.navigate("/cellar/labels?bottle=" + bottle);
      // The sheet is printed: its bottle has a code from here on.
      assertThat(
              page.evaluate(
                  """
                  async () => {
                    const form = document.querySelector("form[action$='/cellar/labels'][method=post]");
                    const body = new URLSearchParams(new FormData(form));
                    return (await fetch(form.action, { method: "POST", body })).headers.get("Content-Type");
                  }"""))
          .isEqualTo("application/pdf");
      page.navigate("/lid");
      page.getByLabel("Or type what stands on it").fill(bottle.toLowerCase(java.util.Locale.ROOT));
      press(page, "Find it");
      arrived(page, "/cellar/" + bottle.replace('-', '/') + "$");
      page.navigate("/lid?seen=ZZZZ");
      assertThat(page.locator(".wrong")).containsText("Nothing here is called that");
      assertThat(page.locator("#seen")).hasValue("ZZZZ");
      accessible(page);
      String product =
          one("select p.code from product p join household h on h.id = p.household_id where true");
      page.navigate("/lid?seen=" + product);
      arrived(page, "/products/" + product + "$");
      List<String> tokens =
          jdbc.queryForList(
              "select token from bottle_pass p join household h on h.id = p.household_id"
                  + " where h.demo and h.name like 'Keeper%' and p.revoked_at is null limit 1",
              String.class);
      assertThat(tokens).isNotEmpty();
      for (String token : tokens) {
        page.navigate("/lid?seen=http%3A%2F%2Fkitchen.local%2Fb%2F" + token);
        assertThat(page.url()).matches(".*/(cellar|products)/.*");
      }
    }
  }
}
