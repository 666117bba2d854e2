package velvetcrock;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import velvetcrock.batch.BatchActs;
import velvetcrock.batch.Batches;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Heater;
import velvetcrock.core.batch.HerbIn;
import velvetcrock.core.batch.JarIn;
import velvetcrock.core.batch.Knob;
import velvetcrock.core.batch.Manner;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.batch.PutOnHeat;
import velvetcrock.core.batch.Stand;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.keeping.Light;
import velvetcrock.core.keeping.Use;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.kitchen.Places;
import velvetcrock.kitchen.Vessels;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;

/** The whole application on a throw-away database, with a household of its own for each test. */
@SpringBootTest(
    webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
    properties = {
      "velvetcrock.demo=true",
      "velvetcrock.demo-probes=false",
      "velvetcrock.few-households=1000000"
    })
abstract class AppTest {
  @Autowired Households households;
  @Autowired Places places;
  @Autowired Vessels vessels;
  @Autowired Batches batches;
  @Autowired BatchActs acts;
  @Autowired CurrentHousehold current;
  @Autowired WebApplicationContext context;
  @LocalServerPort int port;

  MockMvc mvc;
  Household house;
  Somebody keeper;

  /** Somebody of a household, signed in without a password. */
  record Somebody(UUID householdId, String displayName) implements InHousehold {}

  @DynamicPropertySource
  static void database(DynamicPropertyRegistry registry) {
    registry.add("spring.datasource.url", () -> TestCluster.shared().url());
    registry.add("spring.datasource.password", () -> TestCluster.shared().password());
  }

  @BeforeEach
  void moveIn() {
    mvc =
        MockMvcBuilders.webAppContextSetup(context)
            .addFilter(new PlainFigures())
            .apply(springSecurity())
            .build();
    found("Test kitchen", true);
  }

  /** A furnished household, with Una who keeps it, in place of the one before. */
  void found(String name, boolean demo) {
    house = households.found(name, "Europe/Oslo", "METRIC", demo);
    keeper = new Somebody(house.id(), "Una");
    as(
        keeper,
        () -> {
          places.furnish();
          return null;
        });
  }

  <T> T as(Somebody who, Supplier<T> work) {
    return current.actingAs(who, work);
  }

  ResultActions visit(Somebody who, String path) throws Exception {
    return mvc.perform(get(path).with(authentication(signedIn(who))));
  }

  ResultActions send(Somebody who, String path, String... fields) throws Exception {
    MockHttpServletRequestBuilder request =
        post(path).with(authentication(signedIn(who))).with(csrf());
    for (int i = 0; i < fields.length; i += 2) {
      request.param(fields[i], fields[i + 1]);
    }
    return mvc.perform(request);
  }

  /** Somebody comes in by an invitation, and is signed in. */
  void comesIn(Caller who, String login, String name, String role, String password)
      throws Exception {
    String link =
        String.valueOf(
                send(keeper, "/people/invitations", "role", role)
                    .andReturn()
                    .getFlashMap()
                    .get("invitationLink"))
            .replaceFirst("http://[^/]*", "");
    int status =
        who.send(new Caller.Form(link, link, "name", name, "login", login, "password", password))
            .statusCode();
    if (status != 302) {
      throw new AssertionError(name + " was not let in: " + status);
    }
  }

  static UsernamePasswordAuthenticationToken signedIn(Somebody who) {
    return UsernamePasswordAuthenticationToken.authenticated(
        who, null, List.of(new SimpleGrantedAuthority("ROLE_KEEPER")));
  }

  LocalDate today() {
    return households.today(house);
  }

  /** Charges 30 g of cut yarrow in 400 ml of rapeseed so many days ago; hands back its code. */
  String charge(int daysAgo) {
    LocalDate on = today().minusDays(daysAgo);
    return as(
        keeper,
        () -> {
          String place = places.all().get(0).id().toString();
          Charged charged =
              new Charged(
                  Method.COLD,
                  List.of(
                      new HerbIn(
                          "yarrow",
                          Part.FLOWER,
                          Cut.CUT,
                          HerbState.DRIED,
                          Range.exactly(30),
                          0.10,
                          "30 g")),
                  List.of(new OilIn("rapeseed", 1, on.plusMonths(11), null, null)),
                  new Charged.Oil(Range.exactly(400), ""),
                  new JarIn("Jar 500 ml", 530, 80),
                  12,
                  Use.SKIN,
                  new Stand(place, "Dark cupboard", Light.DARK),
                  new Charged.Begun(on, 0, false),
                  true,
                  Manner.PLAIN);
          return acts.charge(charged, UUID.randomUUID().toString()).code();
        });
  }

  /** Puts a jar on an electric plate, its knob at 1. */
  void onTheHeat(String code) {
    as(
        keeper,
        () ->
            acts.append(
                code,
                new PutOnHeat(
                    new Heater(null, "Plate", Appliance.ELECTRIC_PLATE),
                    new Knob("1", 44.0, 0.5),
                    null),
                null,
                null,
                UUID.randomUUID().toString()));
  }
}
