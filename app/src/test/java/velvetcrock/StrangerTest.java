package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.startsWith;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Walks all routes as a stranger: somebody of another household, and nobody at all. */
class StrangerTest extends AppTest {
  private static final Set<String> DOORS =
      Set.of(
          "/sign-in",
          "/welcome",
          "/join/{secret}",
          "/b/{token}",
          "/calendar/{secret}.ics",
          "/demo",
          "/lost",
          "/back-in/{secret}",
          "/arrive/{secret}",
          "/api",
          "/licences",
          "/sw.js",
          "/.well-known/security.txt",
          "/error");

  private static final Pattern NAMED = Pattern.compile("\\{(code|id|member|recovery)}");

  final JdbcTemplate jdbc = TestCluster.shared().owner();

  @Autowired
  @Qualifier("requestMappingHandlerMapping")
  RequestMappingHandlerMapping routes;

  /** Whatever somebody is elsewhere, and whatever a token of elsewhere is for. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "ROLE_KEEPER",
        "ROLE_MEMBER",
        "ROLE_ONLOOKER",
        "SCOPE_LOG",
        "SCOPE_READ",
        "SCOPE_READINGS"
      })
  void noRouteShowsOrChangesAnythingOfAnotherHousehold(String authority) throws Exception {
    UUID cottage =
        jdbc.queryForObject(
            "select id from household where demo and name like 'Keeper%'", UUID.class);
    Somebody ailsa = new Somebody(cottage, "Ailsa");
    send(ailsa, "/people/tokens", "tokenName", "probe");
    send(ailsa, "/people/invitations");
    jdbc.update(
        "insert into member (id, household_id, login, name, password_hash, role, created_at)"
            + " values (gen_random_uuid(), ?, 'islander', 'Islander', '', 'MEMBER', now())"
            + " on conflict do nothing",
        cottage);
    jdbc.update(
        "insert into recovery (id, household_id, member_id, asked_by, asked_at, ready_at, secret_hash)"
            + " select gen_random_uuid(), ?, id, 'Ailsa', now(), now(), gen_random_uuid()::text"
            + " from member where login = 'islander'",
        cottage);
    send(ailsa, "/round/timer", "minutes", "30", "reason", "dripping", "key", "stranger-timer");
    Real real = new Real(jdbc, cottage);
    List<String> before = real.all();
    Set<String> theirs =
        Set.copyOf(
            jdbc.queryForList(
                "select code from batch where household_id = ?", String.class, cottage));
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Stranger");
    as(
        stranger,
        () -> {
          places.furnish();
          return null;
        });
    boolean token = authority.startsWith("SCOPE");
    Authentication who =
        UsernamePasswordAuthenticationToken.authenticated(
            stranger, null, List.of(new SimpleGrantedAuthority(authority)));
    int walked = 0;
    for (var route : routes.getHandlerMethods().keySet()) {
      for (String pattern : route.getPatternValues()) {
        String path = real.path(pattern);
        if (token && !path.startsWith("/api/v1/")) {
          continue;
        }
        for (RequestMethod method : route.getMethodsCondition().getMethods()) {
          var call =
              request(HttpMethod.valueOf(method.name()), path)
                  .with(authentication(who))
                  .with(csrf())
                  .param("kind", "shaken")
                  .param("key", "stranger" + walked);
          if (path.startsWith("/api/v1/")) {
            boolean csv =
                route.getConsumesCondition().getConsumableMediaTypes().stream()
                    .anyMatch(m -> m.includes(new MediaType("text", "csv")));
            call.contentType(csv ? "text/csv" : "application/json")
                .content(
                    csv
                        ? "time,celsius\n"
                        : path.endsWith("readings") ? "[]" : "{\"kind\":\"shaken\"}");
          }
          var response = mvc.perform(call).andReturn().getResponse();
          assertThat(response.getStatus()).as("%s %s", method, path).isLessThan(500);
          String said = response.getContentAsString();
          theirs.forEach(
              code -> assertThat(said).as("%s %s", method, path).doesNotContain(">" + code + "<"));
          boolean names = NAMED.matcher(pattern).find();
          if (names && !pattern.startsWith("/stove/practice") && !pattern.startsWith("/pots")) {
            assertThat(response.getStatus())
                .as("%s %s", method, path)
                .isIn(authority.equals("ROLE_KEEPER") ? List.of(404) : List.of(403, 404));
          }
          walked++;
        }
      }
    }
    assertThat(walked).isGreaterThan(token ? 10 : 100);
    assertThat(real.all()).isEqualTo(before);
    jdbc.update("delete from member where login = 'islander'");
  }

  /** What a form or a body names is of the household too, not only what the address names. */
  @Test
  void whatABodyNamesIsOfTheHousehold() throws Exception {
    UUID cottage =
        jdbc.queryForObject(
            "select id from household where demo and name like 'Keeper%'", UUID.class);
    Real real = new Real(jdbc, cottage);
    String code = charge(2);
    String heater = real.one("select id::text from appliance where household_id = ?");
    String place = real.one("select id::text from place where household_id = ?");
    List<String> entries =
        List.of(
            "{'kind':'put-on-heat','data':{'heater':{'key':'"
                + heater
                + "','name':'Plate','kind':'ELECTRIC_PLATE'},'knob':{'name':'1'}}}",
            "{'kind':'moved','data':{'stand':{'place':'" + place + "','name':'x','light':'DARK'}}}",
            "{'kind':'coloured','data':{'colour':{'red':1,'green':2,'blue':3},'plain':false,'photo':'"
                + UUID.randomUUID()
                + "'}}");
    for (String entry : entries) {
      int answer =
          mvc.perform(
                  post("/api/v1/batches/" + code + "/entries")
                      .with(authentication(signedIn(keeper)))
                      .with(csrf())
                      .contentType("application/json")
                      .content(entry.replace('\'', '"')))
              .andReturn()
              .getResponse()
              .getStatus();
      assertThat(answer).as(entry).isIn(404, 422);
    }
    String lot = real.one("select id::text from lot where kind = 'HERB' and household_id = ?");
    String again = real.one("select code from batch where household_id = ?");
    String trial = real.one("select id::text from trial where household_id = ?");
    assertThat(charge("{'read':[],'again':'" + again + "'}", null)).isEqualTo(422);
    // an id is known within its household: one of the same name begins a trial here
    String jars = "select count(*)::text from trial_jar where household_id = ?";
    String before = real.one(jars);
    assertThat(charge("{'read':[],'trial':{'id':'" + trial + "','words':'x'}}", null))
        .isEqualTo(201);
    assertThat(real.one(jars)).isEqualTo(before);
    assertThat(charge("{'read':[]}", lot)).isEqualTo(422);
    assertThat(charge("{'read':[]}", null)).isEqualTo(201);
  }

  private int charge(String manner, String lot) throws Exception {
    String place = as(keeper, () -> places.all().get(0).id().toString());
    String body =
        "{'method':'COLD','herbs':[{'herb':'yarrow','part':'FLOWER','cut':'CUT','state':'DRIED',"
            + "'massG':{'low':30,'high':30},'waterFraction':0.1,'text':''"
            + (lot == null ? "" : ",'lot':'" + lot + "'")
            + "}],'carriers':[{'carrier':'rapeseed','share':1,'bestBefore':'2031-01-01'}],"
            + "'oilMl':{'low':400,'high':400},'oilText':'','jar':{'name':'Jar','brimMl':530,"
            + "'innerDiameterMm':80},'coverMm':12,'use':'SKIN','stand':{'place':'"
            + place
            + "','name':'x','light':'DARK'},'chargedOn':'"
            + today()
            + "','aboutDays':0,'takenOn':false,'cleanAndDry':true,'manner':"
            + manner.replace("{'read'", "{'blended':false,'read'")
            + "}";
    return mvc.perform(
            post("/api/v1/batches")
                .with(authentication(signedIn(keeper)))
                .with(csrf())
                .contentType("application/json")
                .content(body.replace('\'', '"')))
        .andReturn()
        .getResponse()
        .getStatus();
  }

  @Test
  void whoeverIsNotSignedInIsSentToTheDoor() throws Exception {
    for (var route : routes.getHandlerMethods().keySet()) {
      for (String pattern : route.getPatternValues()) {
        if (DOORS.contains(pattern)
            || pattern.startsWith("/api/v1/reckon")
            || pattern.startsWith("/api/v1/openapi")
            || pattern.startsWith("/error")) {
          continue;
        }
        String path = pattern.replaceAll("\\{[a-z]+}", "K7M");
        for (RequestMethod method : route.getMethodsCondition().getMethods()) {
          int answer =
              mvc.perform(request(HttpMethod.valueOf(method.name()), path).with(csrf()))
                  .andReturn()
                  .getResponse()
                  .getStatus();
          assertThat(answer)
              .as("%s %s", method, path)
              .isEqualTo(path.startsWith("/api/v1/") ? 401 : 302);
        }
      }
    }
  }

  @Test
  void aFormWithoutItsTokenIsRefused() throws Exception {
    String code = charge(1);
    mvc.perform(
            post("/batches/" + code + "/log")
                .with(authentication(signedIn(keeper)))
                .param("kind", "shaken")
                .param("key", "x"))
        .andExpect(status().isForbidden());
    mvc.perform(
            post("/api/v1/batches/" + code + "/entries")
                .with(authentication(signedIn(keeper)))
                .contentType("application/json")
                .content("{\"kind\":\"shaken\"}"))
        .andExpect(status().isForbidden());
  }

  @Test
  void pagesForbidForeignAndInlineScripts() throws Exception {
    mvc.perform(get("/sign-in"))
        .andExpect(
            header()
                .string(
                    "Content-Security-Policy",
                    org.hamcrest.Matchers.allOf(
                        org.hamcrest.Matchers.containsString("script-src 'self'"),
                        org.hamcrest.Matchers.not(
                            org.hamcrest.Matchers.containsString("unsafe")))));
  }

  @Test
  void whoeverCameByHttpsIsToStayThere() throws Exception {
    for (String path : List.of("/sign-in", "/api/v1/openapi.json")) {
      mvc.perform(get(path).secure(true))
          .andExpect(header().string("Strict-Transport-Security", startsWith("max-age=31536000")))
          .andExpect(header().string("X-Content-Type-Options", "nosniff"))
          .andExpect(header().string("X-Frame-Options", "DENY"));
      mvc.perform(get(path)).andExpect(header().doesNotExist("Strict-Transport-Security"));
    }
  }

  @Test
  void failedSignInsAreLimited() throws Exception {
    for (int i = 0; i < 8; i++) {
      mvc.perform(
              post("/sign-in")
                  .with(csrf())
                  .param("login", "nobody-here")
                  .param("password", "wrong-password"))
          .andExpect(redirectedUrl("/sign-in?wrong"));
    }
    mvc.perform(
            post("/sign-in")
                .with(csrf())
                .param("login", "nobody-here")
                .param("password", "wrong-password"))
        .andExpect(redirectedUrl("/sign-in?wait"));
  }
}
