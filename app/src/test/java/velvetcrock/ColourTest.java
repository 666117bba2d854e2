package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.core.batch.BatchState;
import velvetcrock.core.batch.Coloured;
import velvetcrock.core.colour.Rgb;

/** The colour of a jar from the swatch or the picture to the strip. */
class ColourTest extends AppTest {
  /** Oil of a colour at the left and a white card at the right, both in the same dim light. */
  private static byte[] picture(Color oil, Color card) throws IOException {
    BufferedImage image = new BufferedImage(640, 480, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setColor(oil);
    graphics.fillRect(0, 0, 320, 480);
    graphics.setColor(card);
    graphics.fillRect(320, 0, 320, 480);
    graphics.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private ResultActions upload(String code, byte[] bytes) throws Exception {
    return mvc.perform(
        multipart("/batches/" + code + "/colour/photo")
            .file(new MockMultipartFile("photo", "oil.jpg", "image/jpeg", bytes))
            .with(authentication(signedIn(keeper)))
            .with(csrf()));
  }

  private BatchState state(String code) {
    return as(keeper, () -> batches.find(code).state());
  }

  @Test
  void aSwatchIsPickedAndStandsInTheStripBesideThePlainOil() throws Exception {
    String code = charge(20);
    visit(keeper, "/batches/" + code + "/colour")
        .andExpect(content().string(containsString("name=\"colour\"")));

    send(
            keeper,
            "/batches/" + code + "/colour",
            "colour",
            "#c9a63c",
            "of",
            "jar",
            "key",
            "1" + code)
        .andExpect(redirectedUrl("/batches/" + code));
    send(
            keeper,
            "/batches/" + code + "/colour",
            "colour",
            "#e8da96",
            "of",
            "plain",
            "key",
            "2" + code)
        .andExpect(redirectedUrl("/batches/" + code));

    assertThat(state(code).colours().plain()).isEqualTo(Rgb.of("#e8da96"));
    visit(keeper, "/batches/" + code)
        .andExpect(content().string(containsString("#c9a63c")))
        .andExpect(content().string(containsString("#e8da96")))
        .andExpect(content().string(containsString("Seen once")));
  }

  @ParameterizedTest
  @CsvSource({"#c9a63c, #c9a63e, Settled", "#c9a63c, #8a6a14, Still changing"})
  void twoLooksSayWhetherItStillChanges(String first, String second, String said) throws Exception {
    String code = charge(20);
    log(code, first);
    log(code, second);

    visit(keeper, "/batches/" + code).andExpect(content().string(containsString(said)));
  }

  private void log(String code, String hex) {
    as(
        keeper,
        () ->
            acts.append(
                code,
                new Coloured(Rgb.of(hex), false, null),
                null,
                null,
                UUID.randomUUID().toString()));
  }

  @Test
  void aPictureIsTappedAndItsCardCorrectsTheLight() throws Exception {
    String code = charge(20);
    Color dimOil = new Color(0x65531E);
    Color dimCard = new Color(0x808080);
    String tapping =
        upload(code, picture(dimOil, dimCard))
            .andExpect(status().is3xxRedirection())
            .andReturn()
            .getResponse()
            .getRedirectedUrl();
    String photo = tapping.replaceAll(".*/", "");
    visit(keeper, tapping).andExpect(content().string(containsString("Tap the oil")));
    visit(keeper, tapping + "?tap.x=80&tap.y=100")
        .andExpect(content().string(containsString("Tap the white card")));
    visit(keeper, "/batches/" + code + "/photos/" + photo + ".jpg")
        .andExpect(content().contentType("image/jpeg"));

    send(keeper, tapping, "oil", "80,100", "card", "240,100", "of", "jar", "key", "p" + code)
        .andExpect(redirectedUrl("/batches/" + code));

    var seen = state(code).colours().seen().get(0);
    Rgb undimmed = Rgb.of("#65531e").corrected(Rgb.of("#808080"));
    assertThat(seen.colour().difference(undimmed)).isLessThan(2);
    assertThat(seen.colour().difference(Rgb.of("#65531e"))).isGreaterThan(10);
  }

  @Test
  void whatIsNoCardIsSaidAndNothingIsLogged() throws Exception {
    String code = charge(20);
    String tapping =
        upload(code, picture(new Color(0xC9A63C), new Color(0x101010)))
            .andReturn()
            .getResponse()
            .getRedirectedUrl();

    send(keeper, tapping, "oil", "80,100", "card", "240,100", "of", "jar", "key", "n" + code)
        .andExpect(status().isUnprocessableContent());
    send(keeper, tapping, "oil", "", "of", "jar", "key", "o" + code)
        .andExpect(status().isUnprocessableContent());
    send(keeper, tapping, "oil", "9999,-4", "of", "jar", "key", "q" + code)
        .andExpect(status().isUnprocessableContent());

    assertThat(state(code).colours().seen()).isEmpty();
  }

  @Test
  void whatIsNoPictureIsSaidWhereItWasChosen() throws Exception {
    String code = charge(20);

    upload(code, "<html>".getBytes(java.nio.charset.StandardCharsets.UTF_8))
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("neither a JPEG nor a PNG")));
    upload(code, new byte[0]).andExpect(status().isUnprocessableContent());
    send(keeper, "/batches/" + code + "/colour", "colour", "mauve", "of", "jar", "key", "m" + code)
        .andExpect(status().isUnprocessableContent());
  }
}
