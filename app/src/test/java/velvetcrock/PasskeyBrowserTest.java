package velvetcrock;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** A passkey is made, comes in, is bound to the name of the house, and opens nothing once gone. */
class PasskeyBrowserTest extends BrowserPages {
  final JdbcTemplate jdbc = TestCluster.shared().owner();

  @Test
  void aPasskeyComesInBesideThePassword() throws Exception {
    try (Page page = page(1280, ColorScheme.LIGHT)) {
      authenticator(page);
      moveIntoANewHousehold(page, "METRIC");
      households.found("Next door", "America/Chicago", "METRIC", false);
      page.navigate("/account");
      page.getByLabel("What is this device called?").fill("the phone on the dresser");
      press(page, "Make a passkey");
      assertThat(page.getByText("the phone on the dresser")).isVisible();

      press(page, "Sign out");
      arrived(page, "/sign-in$");
      press(page, "Come in by passkey");
      arrived(page, "/$");
      page.navigate("/account");
      assertThat(page.locator("main")).containsText("You sign in as");
      page.navigate("/people");

      jdbc.update(
          "update user_credentials set host = 'kitchen.example' where label like '%dresser'");
      page.navigate("/account");
      assertThat(page.locator("main")).containsText("made under another name of this house");
      press(page, "Remove the phone on the dresser");
      assertThat(page.locator(".notice")).containsText("opens nothing any more");
      press(page, "Sign out");
      press(page, "Come in by passkey");
      assertThat(page.getByText("That did not work")).isVisible();
    }
  }

  @Test
  void anOldSignInMakesNone() throws Exception {
    try (Page page = page(360, ColorScheme.LIGHT)) {
      authenticator(page);
      moveIntoANewHousehold(page, "METRIC");
      jdbc.update("delete from spring_session_attributes where attribute_name = 'device'");
      page.navigate("/account");
      page.getByLabel("What is this device called?").fill("made too late");
      press(page, "Make a passkey");
      assertThat(page.getByText("Sign in again first")).isVisible();
    }
    String made = "select count(*) from user_credentials where label = 'made too late'";
    assertThat(jdbc.queryForObject(made, Integer.class)).isZero();
  }

  /** One that is built into the browser and always says yes. */
  private static void authenticator(Page page) {
    CDPSession session = page.context().newCDPSession(page);
    session.send("WebAuthn.enable");
    JsonObject made = new JsonObject();
    made.addProperty("protocol", "ctap2");
    made.addProperty("transport", "internal");
    made.addProperty("hasResidentKey", true);
    made.addProperty("hasUserVerification", true);
    made.addProperty("isUserVerified", true);
    JsonObject options = new JsonObject();
    options.add("options", made);
    session.send("WebAuthn.addVirtualAuthenticator", options);
  }
}
