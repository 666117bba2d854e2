package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.batch.BatchReadings;
import velvetcrock.batch.PackReadings;
import velvetcrock.batch.ReadingQuestions;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.Noted;
import velvetcrock.core.batch.ThrownOut;
import velvetcrock.core.heat.Series;
import velvetcrock.core.jar.BatchReckoning.Reading;
import velvetcrock.stove.PotsHand;

/**
 * Many readings of a jar: packed for a quick start, never instead of what was read, and thinned by
 * choice.
 */
class PackedReadingsTest extends AppTest {
  private static final int MANY = 25_000;
  private static final Duration SOON = Duration.ofSeconds(20);

  private final JdbcTemplate jdbc = TestCluster.shared().owner();

  @Autowired BatchReadings readings;
  @Autowired PackReadings packing;
  @Autowired PotsHand pots;

  private UUID id(String code) {
    return as(keeper, () -> batches.find(code).id());
  }

  private Series all(String code) {
    return as(keeper, () -> readings.of(id(code)));
  }

  /** A reading each second, from a file; the last at the moment. */
  private void many(String code, Instant last, int file) {
    load(code, MANY, last, file);
  }

  private void load(String code, int seconds, Instant last, int file) {
    as(
        keeper,
        () ->
            readings.load(
                batches.find(code),
                file,
                sink -> {
                  for (int i = seconds - 1; i >= 0; i--) {
                    sink.accept(new Reading(last.minusSeconds(i), 43 + (i % 100) / 50.0));
                  }
                }));
  }

  private int packs(String code) {
    return jdbc.queryForObject(
        "select count(*) from reading_pack where batch_id = ?", Integer.class, id(code));
  }

  private String packed(Instant last) {
    String code = charge(0);
    many(code, last, 0);
    assertThat(all(code).size()).isEqualTo(MANY);
    await().atMost(SOON).until(() -> packs(code) == 1);
    return code;
  }

  /** As when it is next due. */
  private void thin() {
    jdbc.update("update job_lock set lock_until = now() where name = 'thin'");
    packing.run();
  }

  private static Instant now() {
    return Instant.now().truncatedTo(ChronoUnit.SECONDS);
  }

  @Test
  void whatIsPackedComesBackAsItWas() {
    Instant last = now();
    String code = packed(last);

    Series back = all(code);

    assertThat(back.size()).isEqualTo(MANY);
    for (int i = 0; i < MANY; i++) {
      assertThat(back.millis(i)).isEqualTo(last.minusSeconds(MANY - 1 - i).toEpochMilli());
      assertThat(back.celsius(i)).isEqualTo((float) (43 + ((MANY - 1 - i) % 100) / 50.0));
    }
  }

  @Test
  void whatWouldBeFeltIsPackedAndAnewWhereManyWereAdded() {
    String code = charge(0);
    Instant last = now();
    load(code, 2_000, last.minusSeconds(2_000), 0);
    assertThat(all(code).size()).isEqualTo(2_000);
    await().atMost(SOON).until(() -> inPack(code).equals(List.of(2_000)));

    load(code, 2_000, last, 0);
    assertThat(all(code).size()).isEqualTo(4_000);
    await().atMost(SOON).until(() -> inPack(code).equals(List.of(4_000)));
  }

  private List<Integer> inPack(String code) {
    return jdbc.queryForList(
        "select readings from reading_pack where batch_id = ?", Integer.class, id(code));
  }

  @Test
  void aReadingThatComesAfterItOrLateIsNotMissed() {
    Instant last = now();
    String code = packed(last);

    as(
        keeper,
        () -> readings.add(batches.find(code), List.of(new Reading(last.plusMillis(1), 51))));
    assertThat(all(code).celsius(MANY)).isEqualTo(51);

    Instant between = last.minusSeconds(100).plusMillis(500);
    as(keeper, () -> readings.add(batches.find(code), List.of(new Reading(between, 52))));

    Series back = all(code);
    assertThat(back.size()).isEqualTo(MANY + 2);
    assertThat(back.celsius(back.from(between.toEpochMilli()))).isEqualTo(52);
  }

  /** A pot that was looked at before a start, so that it has an outline. */
  private String outlined(Instant last) throws Exception {
    String code = packed(last);
    text("/stove/" + code);
    await().atMost(SOON).until(() -> jdbc.queryForObject(OUTLINED, Integer.class, id(code)) == 1);
    pots.begin();
    return code;
  }

  private static final String OUTLINED =
      "select count(*) from reading_pack where batch_id = ? and outline is not null";

  private String text(String page) throws Exception {
    String body = visit(keeper, page).andReturn().getResponse().getContentAsString();
    return body.startsWith("{") ? body : Jsoup.parse(body).select("main").text();
  }

  private boolean isByOutline(String code) {
    return as(keeper, () -> pots.isByOutline(code));
  }

  @Test
  void aPotOfManyReadingsOpensByItsOutlineAndIsExactSoon() throws Exception {
    Instant last = now().minusSeconds(60);
    String code = outlined(last);
    assertThat(as(keeper, () -> pots.hottest(code))).isEqualTo(44.98, within(1e-5));
    String page = text("/stove/" + code);
    String trace = text("/stove/" + code + "/trace");
    pots.begin();

    assertThat(isByOutline(code)).isTrue();
    assertThat(text("/stove/" + code)).isEqualTo(page);
    assertThat(text("/stove/" + code + "/trace")).isEqualTo(trace).contains("\"of\":25000");
    assertThat(text("/batches/" + code)).contains(code);
    await().atMost(SOON).until(() -> !isByOutline(code));
    assertThat(text("/stove/" + code)).isEqualTo(page);
  }

  @Test
  void whatCameSinceIsInTheOutlineAtOnceAndWhatCameLateASecondLater() throws Exception {
    Instant last = now().minusSeconds(60);
    String code = outlined(last);
    insert(code, last.plusSeconds(1), 60);
    insert(code, last.minusSeconds(100).plusMillis(500), 70);

    assertThat(as(keeper, () -> pots.look(code))).isEqualTo(new PotsHand.Look(true, 60, MANY + 1));
    await()
        .atMost(SOON)
        .until(
            () -> as(keeper, () -> pots.look(code)).equals(new PotsHand.Look(false, 70, MANY + 2)));

    pots.begin();
    assertThat(isByOutline(code)).isTrue();
    assertThat(as(keeper, () -> pots.hottest(code))).as("judged in full at once").isEqualTo(70);
    assertThat(isByOutline(code)).isFalse();
  }

  /** As another instance does. */
  private void insert(String code, Instant at, double celsius) {
    jdbc.update(
        "insert into reading (household_id, batch_id, at, celsius) values (?, ?, ?, ?)",
        house.id(),
        id(code),
        Timestamp.from(at),
        celsius);
  }

  @Test
  void anOutlineOfAnotherLogOrOfFiguresThatStandOtherwiseIsNotShown() throws Exception {
    String code = outlined(now().minusSeconds(60));
    assertThat(isByOutline(code)).isTrue();
    as(keeper, () -> acts.append(code, new Noted("smells of hay"), null, null, "note"));
    pots.begin();
    assertThat(isByOutline(code)).as("another log").isFalse();

    await().atMost(SOON).until(() -> afterAStart(code));
    byte[] kept =
        jdbc.queryForObject(
            "select outline from reading_pack where batch_id = ?", byte[].class, id(code));
    // Those that were begun before may still be kept, one after another.
    await("too few figures")
        .atMost(SOON)
        .until(
            () -> {
              jdbc.update(
                  "update reading_pack set outline = ? where batch_id = ?", cut(kept), id(code));
              return !afterAStart(code);
            });
  }

  private boolean afterAStart(String code) {
    pots.begin();
    return isByOutline(code);
  }

  /** Without its last figure. */
  private static byte[] cut(byte[] packed) throws Exception {
    byte[] figures = new InflaterInputStream(new ByteArrayInputStream(packed)).readAllBytes();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (DeflaterOutputStream deflated = new DeflaterOutputStream(out)) {
      deflated.write(figures, 0, figures.length - Double.BYTES);
    }
    return out.toByteArray();
  }

  @Test
  void whatSomebodyElseTakesOutOfTheTableIsGone() {
    String code = packed(now());

    jdbc.update(
        "delete from reading where (batch_id, at) = (select batch_id, min(at) from reading"
            + " where batch_id = ? group by batch_id)",
        id(code));

    assertThat(all(code).size()).isEqualTo(MANY - 1);
  }

  @Test
  void theSameReadingsComeInOnce() {
    Instant last = now();
    String code = packed(last);

    many(code, last, 0);

    assertThat(all(code).size()).isEqualTo(MANY);
    assertThat(
            as(
                keeper,
                () ->
                    readings.add(
                        batches.find(code),
                        List.of(new Reading(last, 20), new Reading(last.plusSeconds(1), 20)))))
        .isEqualTo(1);
  }

  /**
   * In none, as it does for a while if it counted as all of them were being written; in few; in
   * many. The greatest less the least is the same span, but for that it may read all of them, by
   * what else lies in the table.
   */
  @Test
  void aSpanIsLookedForAtItsEndsHoweverManyTheDatabaseBelievesIn() {
    String code = charge(0);
    many(code, now(), 0);
    assertThat(all(code).size()).isEqualTo(MANY);
    UUID id = id(code);

    for (int believed : new int[] {0, 40, 2_000_000}) {
      assertThat(rowsRead(believed, ReadingQuestions.SPAN_HOURS, id, id))
          .as("where it believes in %d a quarter", believed)
          .isEqualTo(1);
    }
  }

  @Test
  void manyThatCameAreCountedForWhateverIsAskedNext() {
    String code = charge(0);
    many(code, now().minus(Duration.ofDays(1)), 0);
    await().atMost(SOON).until(() -> counted(code) > 0);
    int before = counted(code);

    many(code, now(), 0);

    await().atMost(SOON).until(() -> counted(code) > before);
  }

  /** How often what lies where a batch's readings do was counted because somebody said so. */
  private int counted(String code) {
    return jdbc.queryForObject(
        "select sum(analyze_count) from pg_stat_user_tables"
            + " where relid in (select tableoid from reading where batch_id = ?)",
        Integer.class,
        id(code));
  }

  /** The most rows that any step of answering had, with so many believed in for each quarter. */
  private int rowsRead(int believed, String asked, Object... values) {
    return new TransactionTemplate(new JdbcTransactionManager(jdbc.getDataSource()))
        .execute(
            trying -> {
              trying.setRollbackOnly();
              jdbc.update(
                  "update pg_class set reltuples = ?, relpages = 6000"
                      + " where relname like 'reading\\_20%' and relkind = 'r'",
                  believed);
              jdbc.execute("set local role velvetcrock_app");
              jdbc.queryForList(
                  "select set_config('velvetcrock.household', ?, true)", house.id().toString());
              return jdbc
                  .queryForList("explain (analyze, timing off) " + asked, String.class, values)
                  .stream()
                  .flatMap(step -> ACTUAL_ROWS.matcher(step).results())
                  .mapToInt(found -> Integer.parseInt(found.group(1)))
                  .max()
                  .orElseThrow();
            });
  }

  private static final Pattern ACTUAL_ROWS = Pattern.compile("actual rows=(\\d+)");

  @Test
  void readingsLieByQuarterAndOddTimesAside() {
    String code = charge(0);
    Instant odd = Instant.parse("2093-05-01T12:00:00Z");
    as(
        keeper,
        () ->
            readings.add(
                batches.find(code), List.of(new Reading(now(), 20), new Reading(odd, 21))));

    List<String> where =
        jdbc.queryForList(
            "select tableoid::regclass::text from reading where batch_id = ? order by at",
            String.class,
            id(code));

    int quarter = (now().atZone(ZoneOffset.UTC).getMonthValue() + 2) / 3;
    assertThat(where)
        .containsExactly(
            "reading_" + now().atZone(ZoneOffset.UTC).getYear() + "_q" + quarter, "reading_aside");
  }

  /** As at the next start, when a quarter has begun that nobody made ready. */
  @Test
  void whatLiesAsideIsGivenItsQuarter() {
    String code = charge(0);
    jdbc.update(
        "insert into reading (household_id, batch_id, at, celsius) values (?, ?, ?, 20)",
        house.id(),
        id(code),
        Timestamp.from(Instant.parse("2016-02-01T12:00:00Z")));

    jdbc.queryForList("select make_reading_partitions()");

    assertThat(
            jdbc.queryForList(
                "select tableoid::regclass::text from reading where batch_id = ?",
                String.class,
                id(code)))
        .containsExactly("reading_2016_q1");
    assertThat(all(code).size()).isEqualTo(1);
  }

  @Test
  void jarsThatAreDoneAreThinnedWhereTheHouseholdWantsThat() throws Exception {
    String code = charge(0);
    many(code, now().minus(Duration.ofDays(500)), 0);
    as(keeper, () -> acts.append(code, new ThrownOut(Ending.MUSTY), null, null, "done"));
    String stands = charge(0);
    many(stands, now().minus(Duration.ofDays(500)), 0);

    thin();
    assertThat(all(code).size()).as("unless it is wanted, all stay").isEqualTo(MANY);

    send(
        keeper,
        "/kitchen/settings",
        "household",
        "Una’s",
        "zone",
        "Europe/Oslo",
        "keepsReadings",
        "A_YEAR");
    thin();

    Series few = all(code);
    assertThat(few.size()).as("of 84 stretches two to four each").isBetween(160, 500);
    assertThat(all(stands).size()).as("of a jar that stands").isEqualTo(MANY);
    assertThat(few.millis(few.size() - 1) - few.millis(0)).isEqualTo(1000L * (MANY - 1));
    assertThat(few.points(0, Long.MAX_VALUE, 0))
        .extracting(p -> p.celsius())
        .contains((double) 43f, (double) (float) 44.98);
    thin();
    assertThat(all(code).size()).isEqualTo(few.size());
  }
}
