package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.config.ScheduledTaskHolder;
import velvetcrock.erasure.Erasure;

/** Who may do what, from where, and how somebody who lost the way in comes back. Over the wire. */
class AccountsTest extends AppTest {
  private static final String PASSWORD = "a long enough password";
  private static final String DESK = "Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Firefox/140.0";
  private static final String PHONE = "Mozilla/5.0 (Linux; Android 15) Chrome/140.0 Mobile";
  private static final Pattern CODE = Pattern.compile("([a-z2-9]{4}-){3}[a-z2-9]{4}");

  final JdbcTemplate jdbc = TestCluster.shared().owner();
  @Autowired Erasure erasure;
  @Autowired ScheduledTaskHolder schedule;

  private Caller ada;
  private String codes;

  @BeforeEach
  void adaKeepsTheHouse() throws Exception {
    ada = new Caller(port, DESK);
    codes = join(ada, "ada", "KEEPER");
  }

  private String login(String name) {
    return name + "-" + house.id();
  }

  /** Comes in by an invitation; hands back the page with the codes. */
  private String join(Caller who, String name, String role) throws Exception {
    comesIn(who, login(name), name, role, PASSWORD);
    return who.get("/account/codes").body();
  }

  private HttpResponse<String> signIn(Caller who, String name, String password) throws Exception {
    return who.send(
        new Caller.Form("/sign-in", "/sign-in", "login", login(name), "password", password));
  }

  private String id(String name) {
    return jdbc.queryForObject(
        "select id::text from member where login = ?", String.class, login(name));
  }

  private List<String> deeds() {
    return jdbc.queryForList(
        "select deed from happened where household_id = ? order by id", String.class, house.id());
  }

  /** The sign-in of everybody here was long ago. */
  private void elevenMinutesPass() {
    jdbc.update("delete from spring_session_attributes where attribute_name = 'device'");
  }

  @Test
  void anOnlookerReadsAndTicksNothing() throws Exception {
    Caller eve = new Caller(port, PHONE);
    join(eve, "eve", "ONLOOKER");
    String code = charge(5);
    String page = eve.get("/batches/" + code).body();
    assertThat(page).contains("You look on");
    HttpResponse<String> refused =
        eve.send("/batches/" + code + "/log", "kind", "note", "text", "hm", "key", "eve-1");
    assertThat(refused.statusCode()).isEqualTo(403);
    assertThat(eve.send("/bench", "amount", "30 g").statusCode()).isEqualTo(200);
    assertThat(eve.send("/people/invitations").statusCode()).isEqualTo(403);
    assertThat(eve.get("/happened").statusCode()).isEqualTo(403);
    assertThat(eve.send(new Caller.Form("/account", "/account/name", "name", "Eva")).statusCode())
        .isEqualTo(302);
    assertThat(eve.get("/account").body()).contains("Eva").contains("onlooker");

    ada.send(new Caller.Form("/people", "/people/" + id("eve") + "/role", "role", "MEMBER"));
    String after = eve.get("/batches/" + code).body();
    assertThat(after).doesNotContain("You look on");
    assertThat(
            eve.send("/batches/" + code + "/log", "kind", "note", "text", "hm", "key", "eve-2")
                .statusCode())
        .isEqualTo(302);
    assertThat(eve.send("/people/invitations").statusCode()).isEqualTo(403);
  }

  @Test
  void theDemosVisitorHasNoAccountAndLetsNobodyIn() throws Exception {
    Caller visitor = new Caller(port, PHONE);
    visitor.send(new Caller.Form("/sign-in", "/demo"));
    assertThat(visitor.get("/people").body()).contains("this is the demo kitchen");
    assertThat(visitor.send("/people/invitations").statusCode()).isEqualTo(403);
    assertThat(visitor.send("/people/tokens", "tokenName", "x").statusCode()).isEqualTo(403);
    assertThat(visitor.get("/account").statusCode()).isEqualTo(403);
    assertThat(visitor.get("/cellar").statusCode()).isEqualTo(200);
  }

  @Test
  void everyDeviceIsListedAndSignedOutFromAnother() throws Exception {
    Caller phone = new Caller(port, PHONE);
    signIn(phone, "ada", PASSWORD);
    String page = ada.get("/account").body();
    assertThat(page)
        .contains("Firefox on Linux")
        .contains("this one")
        .contains("Chrome on Android");
    Matcher other = Pattern.compile("/account/devices/[0-9a-f]{64}/sign-out").matcher(page);
    assertThat(other.find()).isTrue();
    ada.send(other.group());
    assertThat(phone.get("/cellar").statusCode()).isEqualTo(302);
    assertThat(ada.get("/cellar").statusCode()).isEqualTo(200);

    signIn(phone, "ada", PASSWORD);
    ada.send(new Caller.Form("/account", "/account/devices/sign-out"));
    assertThat(phone.get("/cellar").statusCode()).isEqualTo(302);
    assertThat(deeds()).contains("DEVICE_SIGNED_OUT");
  }

  @Test
  void whatHurtsMostAsksForThePasswordAgain() throws Exception {
    String another = "another way to come in";
    elevenMinutesPass();
    HttpResponse<String> wrong =
        ada.send(
            new Caller.Form(
                "/account", "/account/password", "password", "wrong", "newPassword", another));
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("Type your password once more");
    assertThat(
            ada.send("/account/password", "password", PASSWORD, "newPassword", "passwordpassword")
                .body())
        .contains("anybody would try");
    Caller phone = new Caller(port, PHONE);
    signIn(phone, "ada", PASSWORD);
    assertThat(
            ada.send("/account/password", "password", PASSWORD, "newPassword", another)
                .statusCode())
        .isEqualTo(302);
    assertThat(phone.get("/cellar").statusCode()).isEqualTo(302);
    assertThat(signIn(phone, "ada", PASSWORD).headers().firstValue("location").orElseThrow())
        .endsWith("wrong");
    signIn(phone, "ada", another);
    assertThat(phone.get("/cellar").statusCode()).isEqualTo(200);
    assertThat(deeds()).contains("PASSWORD_CHANGED", "SIGN_IN_FAILED", "SIGNED_IN");
  }

  @Test
  void aCodeLetsInOnce() throws Exception {
    Matcher code = CODE.matcher(codes);
    assertThat(code.results().count()).isEqualTo(10);
    code.reset();
    code.find();
    String typed = code.group().toUpperCase(java.util.Locale.ROOT).replace('-', ' ');
    Caller phone = new Caller(port, PHONE);
    String[] fields = {"login", login("ada"), "code", typed, "newPassword", "short"};
    HttpResponse<String> refused = phone.send(new Caller.Form("/lost", "/lost", fields));
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("this one has 5");
    fields[5] = "found in the tea tin";
    assertThat(phone.send("/lost", fields).statusCode()).isEqualTo(302);
    assertThat(phone.get("/account").body()).contains("9 recovery codes are left");
    assertThat(ada.get("/cellar").statusCode()).isEqualTo(302);
    assertThat(new Caller(port, DESK).send(new Caller.Form("/lost", "/lost", fields)).body())
        .contains("No code of yours");
    assertThat(deeds()).contains("CODE_USED");
  }

  @Test
  void aKeeperLetsSomebodyInAgainAfterADayUnlessItIsStopped() throws Exception {
    Caller ben = new Caller(port, PHONE);
    join(ben, "ben", "MEMBER");
    String path = "/people/" + id("ben") + "/recover";
    String link = backIn(path);
    assertThat(new Caller(port, DESK).get(link).statusCode()).isEqualTo(404);
    for (Caller told : List.of(ada, ben)) {
      assertThat(told.get("/").body()).contains("comes in again");
    }
    Matcher stop =
        Pattern.compile("/account/recoveries/[0-9a-f-]{36}/stop").matcher(ben.get("/").body());
    assertThat(stop.find()).isTrue();
    ben.send(stop.group());
    jdbc.update("update recovery set ready_at = now() - interval '1 hour'");
    assertThat(new Caller(port, DESK).get(link).statusCode()).isEqualTo(404);

    String again = backIn(path);
    jdbc.update("update recovery set ready_at = now() - interval '1 hour'");
    Caller anew = new Caller(port, DESK);
    assertThat(anew.get(again).body()).contains("Welcome back, ben");
    anew.send(again, "newPassword", "found in the tea tin");
    assertThat(anew.get("/cellar").statusCode()).isEqualTo(200);
    assertThat(ben.get("/cellar").statusCode()).isEqualTo(302);
    assertThat(new Caller(port, DESK).get(again).statusCode()).isEqualTo(404);
    assertThat(deeds()).contains("RECOVERY_ASKED", "RECOVERY_STOPPED", "RECOVERED");
  }

  private String backIn(String path) throws Exception {
    ada.send(new Caller.Form("/people", path));
    Matcher link = Pattern.compile("/back-in/[\\w-]{43}").matcher(ada.get("/people").body());
    assertThat(link.find()).isTrue();
    return link.group();
  }

  @Test
  void whoeverWentCannotComeInAndHisNameStays() throws Exception {
    Caller ben = new Caller(port, PHONE);
    join(ben, "ben", "KEEPER");
    String code = charge(5);
    ben.get("/batches/" + code);
    ben.send("/batches/" + code + "/log", "kind", "note", "text", "by ben", "key", "ben-1");
    ben.send(new Caller.Form("/people", "/people/tokens", "tokenName", "bens"));
    String secret =
        ben.get("/people").body().replaceAll("(?s).*id=\"secret\"[^>]*value=\"([^\"]+)\".*", "$1");
    ben.send(new Caller.Form("/calendar", "/calendar/address"));
    ada.send(new Caller.Form("/people", "/people/" + id("ben") + "/remove"));
    assertThat(ben.get("/cellar").statusCode()).isEqualTo(302);
    assertThat(signIn(ben, "ben", PASSWORD).headers().firstValue("location").orElseThrow())
        .endsWith("wrong");
    mvc.perform(get("/api/v1/batches/" + code).header("Authorization", "Bearer " + secret))
        .andExpect(status().isUnauthorized());
    assertThat(
            jdbc.queryForObject(
                "select count(*) from calendar_feed where household_id = ? and revoked_at is null",
                Integer.class,
                house.id()))
        .isZero();
    assertThat(ada.get("/batches/" + code).body()).contains("by ben").contains("ben");
    assertThat(ada.get("/people").body()).doesNotContain(login("ben"));
    assertThat(ada.get("/").body()).contains("removed somebody: ben");
    ada.send("/people/told");
    assertThat(ada.get("/").body()).doesNotContain("removed somebody");
    assertThat(ada.get("/happened").body()).contains("removed somebody: ben").contains("127.0.0.1");

    HttpResponse<String> last =
        ada.send(new Caller.Form("/account", "/account/leave", "sure", "yes"));
    assertThat(last.body()).contains("is the only keeper");
    assertThat(ada.send("/people/" + id("ada") + "/role", "role", "MEMBER").body())
        .contains("is the only keeper");
  }

  /** Asked twice, thirty days to think, and then nothing is left of it and all of the others. */
  @Test
  void aHouseholdIsErasedAfterThirtyDaysAndNoSooner() throws Exception {
    String code = charge(5);
    String[] fields = {"household", "another", "sure", "yes"};
    assertThat(ada.send(new Caller.Form("/erase", "/erase", fields)).body())
        .contains("Type the name of the household");
    fields[1] = house.name().toUpperCase(java.util.Locale.ROOT);
    assertThat(ada.send("/erase", "household", house.name()).body())
        .contains("Say that you are sure");
    ada.send("/erase", fields);
    assertThat(ada.get("/").body()).contains("everything here is erased");
    TestCluster.shared().write(house.id(), "demo = false");
    erasure.erase();
    assertThat(ada.get("/batches/" + code).statusCode()).isEqualTo(200);
    ada.send("/erase/stop");
    assertThat(ada.get("/").body()).doesNotContain("everything here is erased");

    ada.send(new Caller.Form("/erase", "/erase", fields));
    assertThatThrownBy(() -> jdbc.queryForList("select erase_log(?)", house.id()))
        .hasMessageContaining("not to be erased");
    jdbc.update(
        "update household set erase_at = now() - interval '1 minute' where id = ?", house.id());
    erasure.erase();
    assertThat(ada.get("/").statusCode()).isEqualTo(302);
    for (String table : List.of("household", "member", "entry", "batch", "happened")) {
      assertThat(
              jdbc.queryForObject(
                  "select count(*) from "
                      + table
                      + " where "
                      + (table.equals("household") ? "id" : "household_id")
                      + " = ?",
                  Integer.class,
                  house.id()))
          .as(table)
          .isZero();
    }
  }

  /** A house is left alone for years: what is due comes by itself. */
  @Test
  void erasingAndLettingGoComeByThemselves() {
    assertThat(schedule.getScheduledTasks())
        .extracting(task -> task.getTask().toString())
        .contains(
            "velvetcrock.erasure.EraseWhatIsDue.run", "velvetcrock.chronicle.LetGoOfTheOld.run");
    jdbc.update(
        "insert into happened (household_id, at, deed, who, address, what) select ?, now() - age,"
            + " 'SIGNED_IN', 'ada', 'here', age::text"
            + " from (values (interval '363 days'), ('367 days')) ages (age)",
        house.id());
    schedule.getScheduledTasks().forEach(task -> task.getTask().getRunnable().run());
    assertThat(
            jdbc.queryForList(
                "select what from happened where household_id = ? and what like '%days'",
                String.class, house.id()))
        .containsExactly("363 days");
  }

  @Test
  void theNameOfSomebodyWhoWentIsForgotten() throws Exception {
    Caller ben = new Caller(port, PHONE);
    join(ben, "ben", "MEMBER");
    String code = charge(5);
    ben.get("/batches/" + code);
    ben.send("/batches/" + code + "/log", "kind", "note", "text", "a draught", "key", "ben-1");
    assertThat(ada.get("/erase").body()).doesNotContain("value=\"ben\"");
    ada.send(new Caller.Form("/people", "/people/" + id("ben") + "/remove"));
    assertThat(ada.send(new Caller.Form("/erase", "/erase/name", "called", "ada")).body())
        .contains("Nobody of that name");
    ada.send("/erase/name", "called", "ben");
    assertThat(ada.get("/batches/" + code).body())
        .contains("a draught")
        .contains("a former member")
        .doesNotContain(">ben<");
    assertThat(ada.get("/happened").body()).doesNotContain(">ben<");
  }

  @Test
  void packingAsksForThePasswordAgainAndKeepersAreTold() throws Exception {
    Caller ben = new Caller(port, PHONE);
    join(ben, "ben", "MEMBER");
    assertThat(ben.get("/moving").statusCode()).isEqualTo(403);
    Caller eve = new Caller(port, PHONE);
    join(eve, "eve", "KEEPER");
    charge(5);
    assertThat(ada.get("/moving/box").statusCode()).isEqualTo(404);

    elevenMinutesPass();
    HttpResponse<String> asked = ada.send(new Caller.Form("/moving", "/moving/pack"));
    assertThat(asked.statusCode()).isEqualTo(422);
    assertThat(asked.body()).contains("Type your password once more");
    Caller.Form pack = new Caller.Form("/moving", "/moving/pack", "password", PASSWORD);
    assertThat(ada.send(pack).statusCode()).isEqualTo(302);
    await()
        .atMost(Duration.ofSeconds(20))
        .until(() -> ada.get("/moving").body().contains("Save the file"));
    HttpResponse<String> box = ada.get("/moving/box");
    assertThat(box.headers().firstValue("content-type")).contains("application/zip");
    assertThat(box.headers().firstValue("content-disposition").orElseThrow())
        .contains("velvet-crock-test-kitchen-");
    assertThat(deeds()).contains("EXPORTED");
    assertThat(eve.get("/").body()).contains("took the data out");

    ada.send(new Caller.Form("/moving", "/moving/throw-away"));
    assertThat(ada.get("/moving/box").statusCode()).isEqualTo(404);
    HttpResponse<String> nothing =
        ada.send(new Caller.Form("/moving", "/moving/take", "password", PASSWORD));
    assertThat(nothing.statusCode()).isEqualTo(422);
    assertThat(nothing.body()).contains("Choose the file once more");
  }

  @Test
  void anInvitationIsTakenBack() throws Exception {
    ada.send(new Caller.Form("/people", "/people/invitations", "role", "ONLOOKER"));
    String page = ada.get("/people").body();
    Matcher link = Pattern.compile("/join/[\\w-]{43}").matcher(page);
    assertThat(link.find()).isTrue();
    assertThat(page).contains("For one onlooker").contains("made by ada");
    Matcher back = Pattern.compile("/people/invitations/[0-9a-f-]{36}/withdraw").matcher(page);
    back.find();
    ada.send(back.group());
    assertThat(new Caller(port, PHONE).get(link.group()).statusCode()).isEqualTo(404);
    ada.send(new Caller.Form("/account", "/account/leave"));
    assertThat(ada.send("/account/leave").body()).contains("Say that you are sure");
  }

  @Test
  void aTokenDoesWhatItIsForUntilItIsOver() throws Exception {
    String code = charge(5);
    String path = "/api/v1/batches/" + code;
    String reads = token("READ", "30");
    String probe = token("READINGS", "");
    mvc.perform(get(path).header(HttpHeaders.AUTHORIZATION, "Bearer " + reads))
        .andExpect(status().isOk());
    reading(path, reads).andExpect(status().isForbidden());
    reading(path, probe).andExpect(status().is2xxSuccessful());
    mvc.perform(get(path).header(HttpHeaders.AUTHORIZATION, "Bearer " + probe))
        .andExpect(status().isForbidden());
    visit(keeper, "/people")
        .andExpect(content().string(containsString("sends readings")))
        .andExpect(content().string(containsString("last used")))
        .andExpect(content().string(containsString("good until")));
    jdbc.update("update api_token set expires_at = now() where household_id = ?", house.id());
    mvc.perform(get(path).header(HttpHeaders.AUTHORIZATION, "bearer " + reads))
        .andExpect(status().isUnauthorized());
    send(keeper, "/people/tokens", "tokenName", "x", "tokenDays", "soon")
        .andExpect(status().isUnprocessableContent());
  }

  private org.springframework.test.web.servlet.ResultActions reading(String path, String token)
      throws Exception {
    return mvc.perform(
        post(path + "/readings")
            .header(HttpHeaders.AUTHORIZATION, "Bearer " + token)
            .contentType(MediaType.APPLICATION_JSON)
            .content("[{\"at\":\"" + java.time.Instant.now() + "\",\"celsius\":40}]"));
  }

  private String token(String scope, String days) throws Exception {
    return String.valueOf(
        send(keeper, "/people/tokens", "tokenName", scope, "scope", scope, "tokenDays", days)
            .andReturn()
            .getFlashMap()
            .get("tokenSecret"));
  }
}
