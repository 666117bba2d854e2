package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.hamcrest.Matchers;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.context.TestPropertySource;
import velvetcrock.web.QrCode;

/**
 * A house with a name of its own in the household’s network, as {@code bin/start --house} opens it.
 */
@TestPropertySource(
    properties = {
      "velvetcrock.origin=https://kitchen.local",
      "velvetcrock.addresses=10.77.0.1",
      "velvetcrock.certificate=src/test/resources/house/root.crt"
    })
class HouseTest extends BottleHouse {
  private static final Pattern AWAITED = Pattern.compile("/phones/([A-Za-z0-9_-]+)/arrived");

  /** Another’s name that was made to lead here reads nothing. */
  @ParameterizedTest
  @CsvSource({
    "kitchen.local, 302",
    "KITCHEN.local, 302",
    "10.77.0.1, 302",
    "localhost, 302",
    "'[::1]', 302",
    "shop.example, 421",
    "kitchen.local.shop.example, 421",
    "10.77.0.2, 421"
  })
  void onlyItsOwnNamesAreAnswered(String host, int status) throws Exception {
    try (Socket line = new Socket("127.0.0.1", port)) {
      line.setSoTimeout(20_000);
      line.getOutputStream()
          .write(
              ("GET /cellar HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n")
                  .getBytes(StandardCharsets.US_ASCII));
      String answer = new String(line.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(answer).startsWith("HTTP/1.1 " + status);
      if (status == 421) {
        assertThat(answer).contains("No house of that name").doesNotContain("kitchen.local\n");
      }
    }
  }

  /** What is handed out leads to the name, wherever the page was asked for. */
  @Test
  void whatIsHandedOutBearsTheName() throws Exception {
    send(keeper, "/people/invitations", "role", "MEMBER")
        .andExpect(
            flash()
                .attribute("invitationLink", Matchers.startsWith("https://kitchen.local/join/")));
    send(keeper, "/calendar")
        .andExpect(
            flash().attribute("address", Matchers.startsWith("https://kitchen.local/calendar/")));
    bottled(40);
    String labels = visit(keeper, "/cellar/labels").andReturn().getResponse().getContentAsString();
    assertThat(labels).contains("value=\"https://kitchen.local\"");
  }

  @Test
  void aPhoneThatArrivesIsSeenOnThePageThatWaitsForIt() throws Exception {
    String page = visit(keeper, "/phones").andReturn().getResponse().getContentAsString();
    assertThat(page)
        .contains("http://kitchen.local/certificate", "45 25 B2 F0 FA 80 07 EA")
        .contains("No phone has come yet");
    Matcher awaited = AWAITED.matcher(page);
    assertThat(awaited.find()).isTrue();
    String secret = awaited.group(1);
    assertThat(page).contains(QrCode.of("https://kitchen.local/arrive/" + secret).outline());

    mvc.perform(get("/arrive/" + secret)).andExpect(status().isOk());
    assertThat(waiting(secret)).as("without HTTPS it is no proof").contains("No phone has come");
    mvc.perform(get("/arrive/" + secret).secure(true)).andExpect(status().isOk());
    assertThat(waiting(secret)).contains("The phone has arrived", "here").doesNotContain("hx-get=");

    mvc.perform(get("/arrive/somebody").secure(true)).andExpect(status().isNotFound());
    assertThat(waiting("somebody")).contains("has served its time").doesNotContain("hx-get=");
  }

  private String waiting(String secret) throws Exception {
    return visit(keeper, "/phones/" + secret + "/arrived")
        .andExpect(status().isOk())
        .andReturn()
        .getResponse()
        .getContentAsString();
  }
}
