package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Colour, straining, labels, trials and the journal through the real interface. */
class CellarBrowserTest extends BrowserPages {
  private static byte[] picture() throws IOException {
    BufferedImage image = new BufferedImage(800, 600, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(new Color(0x65531E));
    graphics.fillRect(0, 0, 400, 600);
    graphics.setColor(new Color(0x808080));
    graphics.fillRect(400, 0, 400, 600);
    graphics.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpeg", out);
    return out.toByteArray();
  }

  private static void tap(Page page, double x) {
    page.locator("input[type=image]").click(new Locator.ClickOptions().setPosition(x, 100));
    page.waitForLoadState();
  }

  @Test
  void aPictureIsTappedOnAPhoneAndItsColourStandsInTheStrip() throws IOException {
    Page page = page(360, ColorScheme.LIGHT);
    enterDemo(page);
    page.locator("a.stand").first().click();
    arrived(page, "/batches/[A-Z0-9]+$");
    String batch = page.url();
    page.navigate(batch + "/colour");
    fitsTheScreen(page);
    accessible(page);
    page.locator("#photo").setInputFiles(new FilePayload("oil.jpg", "image/jpeg", picture()));
    press(page, "Use this picture");
    assertThat(page.locator("h2").first()).containsText("Tap the oil");
    tap(page, 60);
    assertThat(page.locator("h2").first()).containsText("Tap the white card");
    tap(page, 260);
    fitsTheScreen(page);
    press(page, "Note the colour");
    arrived(page, "/batches/[A-Z0-9]+$");
    assertThat(page.locator(".notice")).containsText("colour noted");
  }

  @Test
  void theCellarItsLabelsAndTheJournalFitAPhoneAndCanBeReadByAll() {
    Page page = page(360, ColorScheme.DARK);
    enterDemo(page);
    for (String path :
        new String[] {
          "/cellar",
          "/cellar?by=oil",
          "/cellar?by=herb",
          "/cellar/labels",
          "/journal",
          "/trials",
          "/herbs/yarrow"
        }) {
      page.navigate(path);
      fitsTheScreen(page);
      accessible(page);
    }
    page.navigate("/cellar/labels");
    page.locator("input[name=bottle]").first().check();
    Download download = page.waitForDownload(() -> press(page, "Make the PDF"));
    org.assertj.core.api.Assertions.assertThat(download.suggestedFilename())
        .isEqualTo("labels.pdf");
    page.navigate("/trials");
    page.locator("main ul a").first().click();
    assertThat(page.locator("main")).containsText("All the same but for the");
    fitsTheScreen(page);
    accessible(page);
  }

  @Test
  void aChargeIsSplitAtTheBenchJudgedAndConcluded() {
    Page page = page(1280, ColorScheme.LIGHT);
    enterDemo(page);
    page.navigate("/bench?herbs%5B0%5D.herb=yarrow&oils%5B0%5D.carrier=sunflower&amount=30+g");
    page.getByText("Split it into a trial").click();
    Locator cuts = page.locator("#cuts0");
    assertThat(cuts).isHidden();
    page.locator("input[name=differs][value=CUT]").check();
    assertThat(cuts).isVisible();
    cuts.selectOption("CUT");
    page.locator("#cuts1").selectOption("GROUND");
    page.getByLabel("Jar and herb are clean").check();
    press(page, "Charge the trial’s jars");
    assertThat(page.locator(".wrong")).hasCount(0);
    arrived(page, "/trials/[0-9a-f-]+$");
    assertThat(page.locator(".trial > section")).hasCount(2);
    for (int glass = 0; glass < 2; glass++) {
      for (String mark : new String[] {"strength", "smell"}) {
        page.locator("input[name='glass[" + glass + "]." + mark + "'][value='4']").check();
      }
    }
    press(page, "Judged");
    assertThat(page.locator(".trial")).containsText("4 of 5, judged once");
    page.locator("#conclusion").fill("No difference yet.");
    page.waitForNavigation(() -> press(page, "Conclude it"));
    assertThat(page.locator("main")).containsText("What it showed");
    page.navigate("/journal?words=difference");
    assertThat(page.locator("main")).containsText("No difference yet.");
  }
}
