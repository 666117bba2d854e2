package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.core.batch.Noted;
import velvetcrock.web.HouseholdChanges;
import velvetcrock.web.HouseholdPart;

/** A page is made once and answered again until something changes, and not a moment longer. */
class SamePagesTest extends AppTest {
  private static final Pattern KEY = Pattern.compile("name=\"key\"[^>]*value=\"([^\"]+)\"");
  private static final Pattern NEW_EACH_TIME =
      Pattern.compile("value=\"[^\"]*[0-9a-f]{8}-[0-9a-f]{4}-4[^\"]*\"|_csrf\"[^>]*");

  @Autowired HouseholdChanges changes;
  @Autowired JdbcTemplate jdbc;
  @Autowired TransactionTemplate transactions;

  private Caller una;

  @BeforeEach
  void moveInByTheDoor() throws Exception {
    una = new Caller(port, "Firefox");
    comesIn(una, "una-" + house.id(), "Una", "KEEPER", "warm-oil-and-yarrow");
    una.get("/");
  }

  private static String header(HttpResponse<String> answer, String name) {
    return answer.headers().firstValue(name).orElse("");
  }

  private static List<String> keys(HttpResponse<String> page) {
    return KEY.matcher(page.body()).results().map((MatchResult m) -> m.group(1)).toList();
  }

  private static String lasting(HttpResponse<String> page) {
    return NEW_EACH_TIME.matcher(page.body()).replaceAll("");
  }

  private void addPlace(String name) throws Exception {
    una.get("/kitchen");
    HttpResponse<String> added =
        una.send("/kitchen/places", "placeName", name, "light", "DARK", "celsius", "19");
    assertThat(added.statusCode()).as(added.body()).isEqualTo(302);
    una.get("/kitchen");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/",
        "/round",
        "/bench",
        "/cellar",
        "/plans/new",
        "/drawer",
        "/journal",
        "/kitchen"
      })
  void theSamePageIsAnsweredAgainWithKeysOfItsOwn(String path) throws Exception {
    HttpResponse<String> first = una.get(path);
    HttpResponse<String> second = una.get(path);

    assertThat(lasting(second)).isEqualTo(lasting(first));
    assertThat(keys(second)).hasSameSizeAs(keys(first)).noneMatch(keys(first)::contains);
  }

  @Test
  void whatIsWrittenIsOnTheNextPage() throws Exception {
    String first = charge(3);
    assertThat(una.get("/").body()).contains(first);
    assertThat(una.get("/").body()).contains(first);

    String second = charge(2);
    assertThat(una.get("/").body()).contains(first, second);
  }

  /** When its session was last used is written as it is sent, when nothing is read any more. */
  @Test
  void aPageThatLeadsOnDoes() throws Exception {
    String code = charge(3);
    HttpResponse<String> found = una.get("/lid?seen=" + code);

    assertThat(found.statusCode()).as(found.body()).isEqualTo(302);
    assertThat(header(found, "Location")).endsWith("/batches/" + code);
  }

  @Test
  void aFormOfAHeldPageIsTaken() throws Exception {
    una.get("/round");
    una.get("/round");
    HttpResponse<String> page = una.get("/round");
    HttpResponse<String> sent =
        una.send("/round/timer", "minutes", "5", "reason", "let it drip", "key", keys(page).get(0));

    assertThat(sent.statusCode()).as(sent.body()).isEqualTo(302);
    una.get("/round");
    assertThat(una.get("/round").body()).contains("let it drip");
  }

  @Test
  void aPageOnWhichAClockRunsIsNotHeld() throws Exception {
    assertThat(header(una.get("/"), "ETag")).isNotEmpty();
    HttpResponse<String> page = una.get("/round");
    una.send("/round/timer", "minutes", "5", "reason", "drip", "key", keys(page).get(0));
    una.get("/");

    HttpResponse<String> shelf = una.get("/");
    assertThat(shelf.body()).contains("data-seconds=");
    assertThat(header(shelf, "ETag")).isEmpty();
    assertThat(header(shelf, "Cache-Control")).contains("no-store");
  }

  /**
   * The change of the name is told to what reads the kitchen, and to no page: what tells it was
   * made anew.
   */
  @Test
  void aJarIsAnsweredAgainUnlessItIsWarmed() throws Exception {
    String cold = "/batches/" + charge(3);
    String warm = charge(2);
    onTheHeat(warm);
    assertThat(keys(una.get(cold))).doesNotContainAnyElementsOf(keys(una.get(cold)));
    una.get("/batches/" + warm);
    TestCluster.shared()
        .owner()
        .update("update household set name = 'Newly named' where id = ?", house.id());
    TestCluster.shared()
        .owner()
        .update(
            "update household_change set kitchen = changes + 1 where household_id = ?", house.id());

    assertThat(una.get(cold).body()).doesNotContain("Newly named");
    assertThat(una.get("/batches/" + warm).body()).contains("Newly named");
  }

  @Test
  void anUnchangedShelfIsNotSentTwice() throws Exception {
    HttpResponse<String> shelf = una.get("/");
    String tag = header(shelf, "ETag");
    assertThat(header(shelf, "Cache-Control")).isEqualTo("private, no-cache");
    assertThat(shelf.body()).contains("data-held");

    HttpResponse<String> again = una.get("/", "If-None-Match", tag);
    assertThat(again.statusCode()).isEqualTo(304);
    assertThat(again.body()).isEmpty();

    addPlace("Attic");
    assertThat(una.get("/", "If-None-Match", tag).statusCode()).isEqualTo(200);
  }

  @Test
  void nobodyHoldsAPageToWriteOn() throws Exception {
    for (String path : List.of("/bench", "/plans/new")) {
      HttpResponse<String> page = una.get(path);
      assertThat(header(page, "Cache-Control")).as(path).contains("no-store");
      assertThat(header(page, "ETag")).as(path).isEmpty();
    }
  }

  @Test
  void whatIsSaidOnceIsSaidOnce() throws Exception {
    una.get("/calendar");
    una.send("/calendar");
    una.get("/calendar");
    una.send("/calendar/revoke");

    String said = "The address opens nothing any more.";
    assertThat(una.get("/calendar").body()).contains(said);
    assertThat(una.get("/calendar").body()).doesNotContain(said);
    assertThat(una.get("/calendar").body()).doesNotContain(said);
  }

  @Test
  void aNeighbourIsShownHisOwn() throws Exception {
    // No code of a jar: one in some hundreds is a jar's of the demo too.
    String own = "Una’s own attic";
    addPlace(own);
    assertThat(una.get("/kitchen").body()).contains(own);
    assertThat(una.get("/").body()).contains(house.name());
    Caller ben = new Caller(port, "Chrome");
    ben.send(new Caller.Form("/sign-in", "/demo"));

    assertThat(ben.get("/kitchen").body()).contains("Keeper’s cottage").doesNotContain(own);
    assertThat(ben.get("/").body()).contains("Keeper’s cottage").doesNotContain(house.name());
  }

  @Test
  void onlyWhatWritesIsCounted() {
    long before = as(keeper, () -> changes.now());
    as(keeper, () -> transactions.execute(status -> jdbc.queryForList("select 1 from place")));
    assertThat(as(keeper, () -> changes.now())).isEqualTo(before);

    as(keeper, () -> transactions.execute(status -> jdbc.update("update place set name = name")));
    assertThat(as(keeper, () -> changes.now())).isEqualTo(before + 1);

    charge(3);
    assertThat(as(keeper, () -> changes.now())).isGreaterThan(before + 1);
  }

  private long now(HouseholdPart part) {
    return as(keeper, () -> changes.now(part));
  }

  /** What is told of the drawer still stands while a jar is written of, and the other way round. */
  @Test
  void partsAreCountedApart() {
    String code = charge(3);
    long all = as(keeper, () -> changes.now());
    long places = now(HouseholdPart.KITCHEN);
    long lots = now(HouseholdPart.DRAWER);
    as(keeper, () -> acts.append(code, new Noted("warm"), null, null, "warm-" + code));
    assertThat(as(keeper, () -> changes.now())).isEqualTo(all + 1);
    assertThat(now(HouseholdPart.KITCHEN)).isEqualTo(places);

    as(keeper, () -> transactions.execute(status -> jdbc.update("update place set name = name")));
    assertThat(now(HouseholdPart.KITCHEN))
        .isEqualTo(as(keeper, () -> changes.now()))
        .isEqualTo(all + 2);
    assertThat(now(HouseholdPart.DRAWER)).isEqualTo(lots);
    assertThat(as(keeper, () -> changes.now(HouseholdPart.DRAWER, HouseholdPart.KITCHEN)))
        .isEqualTo(all + 2);
  }

  @ParameterizedTest
  @CsvSource({
    "household, KITCHEN", "place, KITCHEN", "own_jar, KITCHEN", "jar_count, KITCHEN",
    "appliance, KITCHEN", "appliance_run, KITCHEN", "own_thing, KITCHEN", "speed_lesson, KITCHEN",
    "lot, DRAWER", "drying_load, DRAWER", "product, PRODUCTS", "product_source, PRODUCTS",
    "recipe, PRODUCTS", "recipe_version, PRODUCTS", "plan, PLANS", "plan_lot, PLANS",
    "round_note, ROUND"
  })
  void eachTableIsCountedWhereItBelongs(String table, HouseholdPart part) {
    List<HouseholdPart> others = Stream.of(HouseholdPart.values()).filter(p -> p != part).toList();
    long before = as(keeper, () -> changes.now(others.toArray(HouseholdPart[]::new)));
    as(
        keeper,
        () ->
            transactions.execute(
                status -> {
                  jdbc.update("delete from " + table + " where false");
                  return jdbc.update(
                      "insert into caught_up values (?, now())", table + " " + house.id());
                }));
    assertThat(now(part)).isEqualTo(as(keeper, () -> changes.now())).isPositive();
    assertThat(as(keeper, () -> changes.now(others.toArray(HouseholdPart[]::new))))
        .isEqualTo(before);
  }
}
