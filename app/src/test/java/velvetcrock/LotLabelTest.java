package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.drawer.Drawer;

/** The label of what was bought is pictured, and can be read on the lot's page. */
class LotLabelTest extends AppTest {
  private static final Pattern PICTURE = Pattern.compile("src=\"([^\"]+/label/[^\"]+\\.jpg)\"");

  @Autowired Drawer drawer;

  private String lot;

  @BeforeEach
  void anOil() {
    UUID id =
        as(
            keeper,
            () ->
                drawer.add(
                    SomeLots.rapeseed(today()), 500, "500 ml", null, UUID.randomUUID().toString()));
    lot = "/drawer/lots/" + id;
  }

  private static byte[] jpeg() throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "jpeg", out);
    return out.toByteArray();
  }

  private ResultActions picture(Somebody who, byte[] bytes, String key) throws Exception {
    return mvc.perform(
        multipart(lot + "/label")
            .file(new MockMultipartFile("photo", "label.jpg", "image/jpeg", bytes))
            .param("key", key)
            .with(authentication(signedIn(who)))
            .with(csrf()));
  }

  private List<String> pictures() throws Exception {
    String page = visit(keeper, lot).andReturn().getResponse().getContentAsString();
    return PICTURE.matcher(page).results().map(found -> found.group(1)).toList();
  }

  @Test
  void aPictureIsKeptOnceShownAndTakenAway() throws Exception {
    picture(keeper, jpeg(), "k")
        .andExpect(redirectedUrl(lot))
        .andExpect(flash().attribute("notice", "The picture of the label is kept."));
    picture(keeper, jpeg(), "k").andExpect(redirectedUrl(lot));

    assertThat(pictures()).hasSize(1);
    String shown = pictures().get(0);
    visit(keeper, shown).andExpect(content().contentType("image/jpeg"));

    send(keeper, shown.replace(".jpg", "/remove")).andExpect(redirectedUrl(lot));
    assertThat(pictures()).isEmpty();
    visit(keeper, shown).andExpect(status().isNotFound());
  }

  @Test
  void whatIsNoPictureIsSaidAndNotKept() throws Exception {
    picture(keeper, "no picture at all".getBytes(), "a")
        .andExpect(
            flash().attribute("problem", org.hamcrest.Matchers.containsString("neither a JPEG")));
    picture(keeper, new byte[0], "b").andExpect(flash().attributeExists("problem"));
    assertThat(pictures()).isEmpty();
  }

  @Test
  void sixAreEnough() throws Exception {
    for (int i = 0; i < 6; i++) {
      picture(keeper, jpeg(), "k" + i).andExpect(flash().attributeExists("notice"));
    }
    picture(keeper, jpeg(), "k6").andExpect(flash().attributeExists("problem"));
    assertThat(pictures()).hasSize(6);
  }

  @Test
  void nobodyElseSeesOrKeepsOne() throws Exception {
    picture(keeper, jpeg(), "k");
    String shown = pictures().get(0);
    Somebody stranger =
        new Somebody(households.found("Next door", "Europe/Oslo", "METRIC", true).id(), "Ivo");

    visit(stranger, shown).andExpect(status().isNotFound());
    picture(stranger, jpeg(), "s").andExpect(status().isNotFound());
    send(stranger, shown.replace(".jpg", "/remove"));
    assertThat(pictures()).containsExactly(shown);
  }
}
