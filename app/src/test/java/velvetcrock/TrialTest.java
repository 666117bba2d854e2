package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;
import velvetcrock.batch.BatchRecord;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Charged;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.materia.Speed;
import velvetcrock.core.yield.Expression;
import velvetcrock.kitchen.Catalogues;

/** Trials from the bench to what they showed. */
class TrialTest extends AppTest {
  final JdbcTemplate jdbc = TestCluster.shared().owner();
  @Autowired Catalogues catalogues;

  private ResultActions split(String... more) throws Exception {
    List<String> fields =
        new ArrayList<>(
            List.of(
                "amount",
                "60 g",
                "herbs[0].herb",
                "yarrow",
                "herbs[0].cut",
                "CUT",
                "herbs[0].state",
                "DRIED",
                "oils[0].carrier",
                "rapeseed",
                "clean",
                "yes",
                "bestBefore",
                today().plusMonths(9).toString(),
                "key",
                UUID.randomUUID().toString()));
    fields.addAll(List.of(more));
    return send(keeper, "/bench/trial", fields.toArray(String[]::new));
  }

  private String begun(String... more) throws Exception {
    return split(more)
        .andExpect(status().is3xxRedirection())
        .andReturn()
        .getResponse()
        .getRedirectedUrl();
  }

  private List<BatchRecord> jars() {
    return as(keeper, () -> batches.standing()).stream()
        .filter(b -> b.state().charge().manner().trial() != null)
        .sorted(
            (a, b) ->
                a.state()
                    .charge()
                    .manner()
                    .trial()
                    .words()
                    .compareTo(b.state().charge().manner().trial().words()))
        .toList();
  }

  @Test
  void oneChargeIsSplitIntoJarsThatDifferInTheirCutAlone() throws Exception {
    String trial = begun("differs", "CUT", "cuts", "WHOLE", "cuts", "CUT", "cuts", "GROUND");

    List<Charged> charges = jars().stream().map(b -> b.state().charge()).toList();
    assertThat(charges)
        .extracting(c -> c.herbs().get(0).cut().name())
        .containsExactly("CUT", "GROUND", "WHOLE");
    assertThat(charges)
        .allSatisfy(c -> assertThat(c.herbMassG().middle()).isEqualTo(20))
        .extracting(c -> Math.round(c.oil().oilMl().middle()))
        .as("the same oil in all")
        .containsOnly(Math.round(charges.get(0).oil().oilMl().middle()));
    visit(keeper, trial)
        .andExpect(content().string(containsString("Yarrow by cut")))
        .andExpect(content().string(containsString("ground")));
    visit(keeper, "/batches/" + jars().get(0).code())
        .andExpect(content().string(containsString("In a trial")))
        .andExpect(content().string(containsString(trial)));
    visit(keeper, "/trials")
        .andExpect(content().string(containsString(trial)))
        .andExpect(
            content().string(containsString("Yarrow in cold-pressed rapeseed, different cut")))
        .andExpect(content().string(containsString("<span>ground</span>")))
        .andExpect(content().string(containsString("Not concluded yet")));
  }

  @Test
  void theListSaysWhereItEndsBeforeTheFirstTrial() throws Exception {
    String trial = begun("differs", "WEEKS", "weeks", "2", "weeks", "6");
    String later =
        """
        insert into trial
        select c.* from trial t, generate_series(1, ?) n, jsonb_populate_record(t, jsonb_build_object(
          'id', gen_random_uuid(), 'made_at', t.made_at + n * interval '1 day')) c where t.id = ?::uuid
        """;
    String id = trial.substring(trial.lastIndexOf('/') + 1);

    jdbc.update(later, 59, id);
    visit(keeper, "/trials")
        .andExpect(content().string(containsString(trial)))
        .andExpect(content().string(not(containsString("These are the newest"))));
    jdbc.update(later, 1, id);
    TestCluster.shared().write(house.id(), "name = name");
    visit(keeper, "/trials")
        .andExpect(content().string(not(containsString(trial))))
        .andExpect(content().string(containsString("These are the newest <span>60</span>.")));
  }

  @Test
  void weeksGiveEveryJarItsOwnDay() throws Exception {
    begun("differs", "WEEKS", "weeks", "2", "weeks", "6");

    assertThat(jars())
        .extracting(
            b ->
                b.state()
                    .charge()
                    .begun()
                    .chargedOn()
                    .plusDays(b.state().charge().aimDays().orElse(0)))
        .containsExactly(today().plusDays(14), today().plusDays(42));
  }

  @Test
  void heatAndSpiritMakeOtherWaysOfDrawing() throws Exception {
    begun("differs", "HEAT", "heats", "COOL", "heats", "WARM");
    assertThat(jars())
        .extracting(b -> b.state().charge().method())
        .containsExactlyInAnyOrder(Method.COLD, Method.WARM);

    split("differs", "SPIRIT", "doses", "0", "doses", "0.5", "abv", "96")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("I have read")));
    assertThat(jars()).as("nothing is charged by halves").hasSize(2);
    begun("differs", "SPIRIT", "doses", "0", "doses", "0.5", "abv", "96", "read", "spirit-fire");
    assertThat(jars())
        .extracting(b -> b.state().charge().manner().spirit() != null)
        .containsOnlyOnce(true);
  }

  @ParameterizedTest
  @CsvSource({
    "'', cuts, CUT, differs",
    "CUT, cuts, CUT, another cut",
    "WEEKS, weeks, soon, not a number",
    "WEEKS, weeks, 90, Between 1 and 26",
    "CUT, cuts, SHREDDED, differs"
  })
  void whatIsNoTrialIsSaidAndNothingIsCharged(
      String differs, String list, String typed, String said) throws Exception {
    split("differs", differs, list, typed, list, typed)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)));
    assertThat(jars()).isEmpty();
  }

  @Test
  void aTrialIsJudgedBlindRevealedAndConcludedOnTheHerbsPage() throws Exception {
    String trial = begun("differs", "CUT", "cuts", "CUT", "cuts", "GROUND", "blind", "yes");
    Map<Integer, String> glasses = glasses(trial);

    visit(keeper, trial)
        .andExpect(content().string(containsString("Judge it blind")))
        .andExpect(content().string(containsString("Glass 1")))
        .andExpect(content().string(not(containsString("What did it show?"))));
    send(keeper, trial + "/judge", "glass[0].number", "1", "glass[0].strength", "5")
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("of every glass")));
    send(
            keeper,
            trial + "/judge",
            "glass[0].number",
            "1",
            "glass[0].strength",
            "5",
            "glass[0].smell",
            "4",
            "glass[0].note",
            "strong as tar",
            "glass[1].number",
            "2",
            "glass[1].strength",
            "2",
            "glass[1].smell",
            "3")
        .andExpect(redirectedUrl(trial));
    visit(keeper, trial)
        .andExpect(content().string(containsString("So far: strength 5 of 5")))
        .andExpect(content().string(not(containsString("Strength as judged"))));
    visit(keeper, "/journal?words=tar")
        .andExpect(content().string(containsString("Judged glass 1")));

    send(keeper, trial + "/reveal").andExpect(redirectedUrl(trial));
    String revealed =
        visit(keeper, trial)
            .andExpect(content().string(containsString("5 of 5, judged once, blind")))
            .andReturn()
            .getResponse()
            .getContentAsString();
    String jar = revealed.substring(revealed.indexOf("Jar " + glasses.get(1)));
    assertThat(jar.indexOf("5 of 5")).isPositive().isLessThan(jar.indexOf("</section>"));

    send(keeper, trial + "/conclude", "conclusion", " ")
        .andExpect(status().isUnprocessableContent());
    send(keeper, trial + "/conclude", "conclusion", "Ground draws sooner.")
        .andExpect(redirectedUrl(trial));
    send(keeper, trial + "/conclude", "conclusion", "Or not.")
        .andExpect(status().isUnprocessableContent());
    visit(keeper, "/herbs/yarrow")
        .andExpect(content().string(containsString("Ground draws sooner.")))
        .andExpect(content().string(containsString(trial)));
  }

  @Test
  void whoPoursTheGlassesIsToldWhichIsWhichAndWhatCameOutStandsByTheJars() throws Exception {
    String trial = begun("differs", "CUT", "cuts", "CUT", "cuts", "GROUND", "blind", "yes");
    List<BatchRecord> jars = jars();
    visit(keeper, trial + "/glasses")
        .andExpect(content().string(containsString("Only for whoever pours")))
        .andExpect(content().string(containsString(jars.get(0).code())))
        .andExpect(content().string(containsString(jars.get(1).code())))
        .andExpect(content().string(containsString("ground")));

    visit(keeper, trial)
        .andExpect(content().string(containsString("not strained yet")))
        .andExpect(content().string(not(containsString(" was expected"))));
    for (BatchRecord jar : jars) {
      as(
          keeper,
          () ->
              acts.append(
                  jar.code(),
                  new Strained(90, "90 ml", Expression.SQUEEZE, new Range(80, 140)),
                  null,
                  null,
                  UUID.randomUUID().toString()));
    }
    visit(keeper, trial)
        .andExpect(content().string(containsString("80–140 ml was expected")))
        .andExpect(content().string(not(containsString("not strained yet"))));
  }

  /** What was judged blind in a trial of two jars; the warm one came out stronger. */
  private String warmIsStronger() throws Exception {
    String trial =
        begun(
            "differs",
            "HEAT",
            "heats",
            "COOL",
            "heats",
            "WARM",
            "blind",
            "yes",
            "chargedOn",
            today().minusDays(50).toString());
    UUID id = UUID.fromString(trial.replaceAll(".*/", ""));
    Map<Integer, String> glasses = glasses(trial);
    List<BatchRecord> jars =
        jars().stream().filter(b -> id.equals(b.state().charge().manner().trial().id())).toList();
    for (int judge = 0; judge < 3; judge++) {
      List<String> fields = new ArrayList<>();
      for (Map.Entry<Integer, String> glass : glasses.entrySet()) {
        boolean warm = letterOf(id, jars, Method.WARM).equals(glass.getValue());
        String at = "glass[" + (glass.getKey() - 1) + "].";
        fields.addAll(List.of(at + "number", glass.getKey().toString()));
        fields.addAll(List.of(at + "strength", warm ? "5" : "1", at + "smell", "3"));
      }
      send(keeper, trial + "/judge", fields.toArray(String[]::new)).andExpect(redirectedUrl(trial));
    }
    return trial;
  }

  private String letterOf(UUID trial, List<BatchRecord> jars, Method method) {
    String code =
        jars.stream()
            .filter(b -> b.state().charge().method() == method)
            .findFirst()
            .orElseThrow()
            .code();
    return jdbc.queryForObject(
        "select letter from trial_jar where trial_id = ? and code = ?", String.class, trial, code);
  }

  @Test
  void whereItContradictsThePullBothPagesSaySoAndOnlyOnceItIsRevealed() throws Exception {
    String trial = warmIsStronger();
    BatchRecord warm =
        jars().stream()
            .filter(b -> b.state().charge().method() == Method.WARM)
            .findFirst()
            .orElseThrow();
    String code = warm.code();
    as(
        keeper,
        () ->
            acts.append(
                code,
                new Strained(90, "90 ml", Expression.SQUEEZE, new Range(80, 140)),
                today().minusDays(48).atStartOfDay(ZoneOffset.UTC).toInstant(),
                null,
                UUID.randomUUID().toString()));
    String said = "came out the other way round";
    visit(keeper, trial).andExpect(content().string(not(containsString(said))));
    visit(keeper, "/batches/" + code).andExpect(content().string(not(containsString(said))));

    send(keeper, trial + "/reveal").andExpect(redirectedUrl(trial));
    visit(keeper, trial).andExpect(content().string(containsString(said)));
    visit(keeper, "/batches/" + code).andExpect(content().string(containsString(said)));
  }

  @Test
  void threeTrialsMoveTheWayThatTheyTriedAndThePagesSayByWhat() throws Exception {
    for (int i = 0; i < 2; i++) {
      send(keeper, warmIsStronger() + "/conclude", "conclusion", "Warm it is.");
    }
    assertThat(warm().trials()).isEqualTo(2);
    assertThat(warm().moves()).isFalse();
    visit(keeper, "/kitchen/catalogue/sure/HERBS/yarrow")
        .andExpect(content().string(containsString("2 trials judged blind, of the 3")));

    String third = warmIsStronger();
    assertThat(warm().trials()).as("not while it is hidden").isEqualTo(2);
    send(keeper, third + "/reveal");
    assertThat(warm().moves()).isTrue();
    assertThat(warm().factor()).isGreaterThan(1.2);
    String jar =
        jars().stream()
            .filter(b -> b.state().charge().method() == Method.WARM)
            .findFirst()
            .orElseThrow()
            .code();
    visit(keeper, "/batches/" + jar)
        .andExpect(content().string(containsString("3 trials judged blind make it")));
  }

  private Speed warm() {
    return as(
        keeper,
        () ->
            catalogues
                .current()
                .speed(
                    new Speed.HerbInOil("yarrow", Part.FLOWER, Cut.CUT, "rapeseed", Method.WARM)));
  }

  /** The letters of a trial's jars by their glasses. */
  private Map<Integer, String> glasses(String trial) {
    UUID id = UUID.fromString(trial.replaceAll(".*/", ""));
    Map<Integer, String> glasses = new TreeMap<>();
    jdbc.query(
        "select glass, letter from trial_jar where trial_id = ?",
        row -> {
          glasses.put(row.getInt(1), row.getString(2));
        },
        id);
    assertThat(glasses.keySet()).containsExactly(1, 2);
    return glasses;
  }
}
