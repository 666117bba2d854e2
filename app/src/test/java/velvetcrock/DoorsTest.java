package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.response.SecurityMockMvcResultMatchers.authenticated;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;

/** Moving in, inviting, joining, signing in, tokens. */
class DoorsTest extends AppTest {
  private static final String PASSWORD = "a long enough password";

  final JdbcTemplate jdbc = TestCluster.shared().owner();

  private ResultActions moveIn(String kitchen, String login, String password) throws Exception {
    return mvc.perform(
        post("/welcome")
            .with(csrf())
            .param("household", kitchen)
            .param("zone", "Europe/Oslo")
            .param("kitchen", "US")
            .param("name", "Una")
            .param("login", login)
            .param("password", password));
  }

  private ResultActions join(String link, String login) throws Exception {
    return mvc.perform(
        post(link)
            .with(csrf())
            .param("name", "Odd")
            .param("login", login)
            .param("password", PASSWORD));
  }

  @Test
  void theFirstMovesInAndTheNextComeByInvitationOnly() throws Exception {
    mvc.perform(get("/welcome").locale(Locale.US))
        .andExpect(content().string(containsString("Set up for United States")))
        .andExpect(content().string(containsString("value=\"US\" checked")));
    mvc.perform(get("/welcome").locale(Locale.UK))
        .andExpect(content().string(containsString("Set up for United Kingdom")));
    moveIn("", "una", "short")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("Give it a name")))
        .andExpect(content().string(containsString("this one has 5")));
    moveIn("Harbour house", "Una", PASSWORD)
        .andExpect(redirectedUrl("/account/codes"))
        .andExpect(authenticated());
    assertThat(
            jdbc.queryForMap(
                "select weights, volumes, degrees, paper, dates, currency from household"
                    + " where name = 'Harbour house'"))
        .containsEntry("weights", "OUNCES")
        .containsEntry("volumes", "CUPS")
        .containsEntry("degrees", "FAHRENHEIT")
        .containsEntry("paper", "LETTER")
        .containsEntry("dates", "MONTH_FIRST")
        .containsEntry("currency", "USD");
    moveIn("Another house", "eve", PASSWORD)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("invitation")));
    mvc.perform(get("/welcome")).andExpect(redirectedUrl("/sign-in"));

    String stored =
        jdbc.queryForObject("select password_hash from member where login = 'una'", String.class);
    assertThat(stored).startsWith("{argon2}").doesNotContain(PASSWORD);
    mvc.perform(post("/sign-in").with(csrf()).param("login", "UNA").param("password", PASSWORD))
        .andExpect(authenticated());

    Somebody una =
        new Somebody(
            jdbc.queryForObject(
                "select household_id from member where login = 'una'", java.util.UUID.class),
            "Una");
    assertThat(as(una, () -> places.all())).extracting(p -> p.name()).contains("Dark cupboard");
    String link =
        String.valueOf(
                send(una, "/people/invitations").andReturn().getFlashMap().get("invitationLink"))
            .replaceFirst("http://[^/]*", "");
    mvc.perform(get(link)).andExpect(content().string(containsString("Join Harbour house")));
    join(link, "una")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("is taken")));
    join(link, "odd").andExpect(redirectedUrl("/account/codes"));
    join(link, "eve").andExpect(status().isNotFound());
    visit(una, "/people").andExpect(content().string(containsString("Odd")));
  }

  @Test
  void anInvitationThatIsTooOldOrUnknownLeadsNowhere() throws Exception {
    String link =
        String.valueOf(
                send(keeper, "/people/invitations").andReturn().getFlashMap().get("invitationLink"))
            .replaceFirst("http://[^/]*", "");
    jdbc.update(
        "update invitation set expires_at = now() - interval '1 minute' where household_id = ?",
        house.id());
    join(link, "late").andExpect(status().isNotFound());
    mvc.perform(get("/join/made-up"))
        .andExpect(status().isNotFound())
        .andExpect(content().string(containsString("Ask for a new link")));
  }

  @Test
  void aTokenActsForItsHouseholdUntilItIsRevoked() throws Exception {
    String code = charge(5);
    send(keeper, "/people/tokens", "tokenName", " ").andExpect(status().isUnprocessableContent());
    String secret =
        String.valueOf(
            send(keeper, "/people/tokens", "tokenName", "probe")
                .andReturn()
                .getFlashMap()
                .get("tokenSecret"));
    assertThat(
            jdbc.queryForList(
                "select token_hash from api_token where household_id = ?",
                String.class,
                house.id()))
        .doesNotContain(secret);

    mvc.perform(get("/api/v1/batches/" + code).header("Authorization", "Bearer " + secret))
        .andExpect(status().isOk());
    mvc.perform(get("/api/v1/batches/" + code).header("Authorization", "Bearer wrong"))
        .andExpect(status().isUnauthorized());
    String id =
        jdbc.queryForObject(
            "select id::text from api_token where household_id = ?", String.class, house.id());
    send(keeper, "/people/tokens/" + id + "/revoke");
    mvc.perform(get("/api/v1/batches/" + code).header("Authorization", "Bearer " + secret))
        .andExpect(status().isUnauthorized());
  }

  @Test
  void theDemoIsOneButtonAway() throws Exception {
    mvc.perform(get("/sign-in")).andExpect(content().string(containsString("demo kitchen")));
    mvc.perform(post("/demo").with(csrf()))
        .andExpect(redirectedUrl("/"))
        .andExpect(authenticated());
  }

  @Test
  void aJarIsMeasuredAndAPlankPutUpOrSaidWhyNot() throws Exception {
    send(keeper, "/kitchen/jars", "jarName", "Blue", "water", "a lot", "height", "tall")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("value=\"a lot\"")))
        .andExpect(content().string(containsString("is no length")));
    send(keeper, "/kitchen/jars", "jarName", "Blue", "water", "530 g", "height", "10.544")
        .andExpect(redirectedUrl("/kitchen"));
    visit(keeper, "/kitchen").andExpect(content().string(containsString("80 mm wide")));
    send(keeper, "/kitchen/places", "placeName", "counter", "light", "ROOM", "celsius", "18")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("of that name already")));
    send(keeper, "/kitchen/places", "placeName", "Loft", "light", "DARK", "celsius", "12")
        .andExpect(redirectedUrl("/kitchen"));
    send(
            keeper,
            "/kitchen/settings",
            "household",
            "Loft house",
            "zone",
            "Mars/Olympus",
            "kitchen",
            "US")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("not a time zone")));
    send(
            keeper,
            "/kitchen/settings",
            "household",
            "Loft house",
            "zone",
            "Pacific/Auckland",
            "kitchen",
            "US")
        .andExpect(redirectedUrl("/kitchen"));
    visit(keeper, "/bench").andExpect(content().string(containsString("cups) of oil covers it")));
  }
}
