package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.core.Refused;
import velvetcrock.core.batch.Noted;
import velvetcrock.erasure.ClearedTables;
import velvetcrock.moving.MovingHand;

/** A household is packed into one file, and another house unpacks it. */
class MovingTest extends AppTest {
  /** What stays behind: who comes in and how, and what is made anew. */
  private static final List<String> STAYS =
      List.of(
          "household",
          "household_change",
          "member",
          "invitation",
          "api_token",
          "recovery",
          "recovery_code",
          "happened",
          "calendar_feed",
          "calendar_item",
          "bottle_pass",
          "thermometer",
          "push_phone",
          "reading_pack",
          "household_use");

  private static final JsonMapper JSON = JsonMapper.builder().build();

  final JdbcTemplate owner = TestCluster.shared().owner();
  private static final UUID LABEL = UUID.fromString("6d1f5f0a-0000-4000-8000-00000000abe1");

  @Autowired MovingHand hand;
  private Somebody cottage;

  @BeforeEach
  void theDemo() {
    UUID demo =
        owner.queryForObject(
            "select id from household where demo and name like 'Keeper%'", UUID.class);
    cottage = new Somebody(demo, "Ailsa");
    owner.update(
        "insert into lot_label (household_id, id, lot_id, jpeg, sent_at)"
            + " select ?, ?, (select id from lot where household_id = ? order by id limit 1), ?,"
            + " timestamptz '2026-11-02 09:30Z' on conflict do nothing",
        demo,
        LABEL,
        demo,
        new byte[] {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF, (byte) 0xD9});
  }

  /** Other tests find the demo by its name, which came along. */
  @AfterEach
  void calledOtherwise() {
    owner.update("update household set name = 'Moved' where id = ?", house.id());
  }

  private static Map<String, byte[]> files(byte[] box) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(box))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        files.put(entry.getName(), zip.readAllBytes());
      }
    }
    return files;
  }

  private static byte[] box(Map<String, byte[]> files) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        zip.write(file.getValue());
      }
    }
    return bytes.toByteArray();
  }

  private static byte[] with(byte[] box, String file, UnaryOperator<String> change)
      throws IOException {
    Map<String, byte[]> files = files(box);
    String text = new String(files.get(file), StandardCharsets.UTF_8);
    files.put(file, change.apply(text).getBytes(StandardCharsets.UTF_8));
    return box(files);
  }

  private String text(byte[] box, String file) throws IOException {
    return new String(Objects.requireNonNull(files(box).get(file)), StandardCharsets.UTF_8);
  }

  @Test
  void packingUnpackingAndPackingAgainGivesTheSameFileToTheLastByte() throws Exception {
    byte[] packed = as(cottage, hand::pack);
    MovingHand.Said trial = as(keeper, () -> hand.unpack(packed, false));
    assertThat(trial.problems()).isEmpty();
    assertThat(trial.good()).isTrue();
    assertThat(trial.come()).isGreaterThan(500);
    assertThat(count("entry")).isZero();

    MovingHand.Said done = as(keeper, () -> hand.unpack(packed, true));
    assertThat(done).isEqualTo(trial);
    byte[] again = as(keeper, hand::pack);
    Map<String, byte[]> before = files(packed);
    Map<String, byte[]> after = files(again);
    assertThat(after.keySet()).containsExactlyElementsOf(before.keySet());
    for (String name : before.keySet()) {
      if (name.endsWith(".csv")) {
        assertThat(text(again, name).lines().toList())
            .as(name)
            .containsExactlyElementsOf(text(packed, name).lines().toList());
      }
    }
    assertThat(again).isEqualTo(packed);

    MovingHand.Said twice = as(keeper, () -> hand.unpack(packed, true));
    assertThat(twice.good()).isTrue();
    assertThat(twice.come()).isZero();
    assertThat(twice.here()).isEqualTo(done.come());
    for (String page : List.of("/", "/stove", "/cellar", "/products", "/drawer", "/journal")) {
      String there = body(cottage, page);
      assertThat(count(body(keeper, page), "/batches/"))
          .as(page)
          .isEqualTo(count(there, "/batches/"));
    }
  }

  private String body(Somebody who, String page) throws Exception {
    return visit(who, page).andReturn().getResponse().getContentAsString();
  }

  private static int count(String text, String what) {
    return text.split(what, -1).length;
  }

  private long count(String table) {
    return owner.queryForObject(
        "select count(*) from " + table + " where household_id = ?", Long.class, house.id());
  }

  @Test
  void itIsADataPackageByItsProfile() throws Exception {
    byte[] packed = as(cottage, hand::pack);
    Map<String, byte[]> files = files(packed);
    String description = text(packed, "datapackage.json");
    assertThat(profile("data-package").validate(JACKSON_2.readTree(description))).isEmpty();
    JsonNode all = JSON.readTree(description);
    for (JsonNode resource : all.path("resources")) {
      String path = resource.path("path").stringValue();
      assertThat(files).containsKey(path);
      assertThat(files.get(path)).hasSize(resource.path("bytes").intValue());
      if (path.startsWith("photos/")) {
        continue;
      }
      assertThat(profile("tabular-data-resource").validate(JACKSON_2.readTree(resource.toString())))
          .as(path)
          .isEmpty();
      List<CSVRecord> rows = rows(text(packed, path));
      assertThat(rows).hasSize(resource.path("rows").intValue() + 1);
      int column = 0;
      for (JsonNode field : resource.path("schema").path("fields")) {
        assertThat(rows.get(0).get(column)).isEqualTo(field.path("name").stringValue());
        assertThat(field.path("description").stringValue()).isNotBlank();
        column++;
      }
    }
    assertThat(files).containsKey("photos/" + LABEL + ".jpg");
    assertThat(text(packed, "README.txt")).contains("Take it with you").contains("data/log.csv");
  }

  private static final com.fasterxml.jackson.databind.ObjectMapper JACKSON_2 =
      new com.fasterxml.jackson.databind.ObjectMapper();

  private static JsonSchema profile(String name) throws IOException {
    try (InputStream in = MovingTest.class.getResourceAsStream("/frictionless/" + name + ".json")) {
      return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V4)
          .getSchema(JACKSON_2.readTree(in));
    }
  }

  private static List<CSVRecord> rows(String csv) throws IOException {
    return org.apache.commons.csv.CSVParser.parse(csv, CSVFormat.RFC4180).getRecords();
  }

  /** A column that somebody adds is packed, or said to be left out. */
  @Test
  void everyColumnOfEveryTableIsPackedOrLeftOutOnPurpose() {
    Map<String, List<String>> known = MovingHand.columns();
    ClearedTables.known().stream()
        .filter(table -> !STAYS.contains(table))
        .forEach(table -> assertThat(known).containsKey(table));
    known.forEach(
        (table, columns) ->
            assertThat(
                    owner.queryForList(
                        "select attname from pg_attribute where attrelid = ?::regclass and attnum > 0"
                            + " and not attisdropped and attname <> 'household_id'",
                        String.class,
                        table))
                .as(table)
                .containsExactlyInAnyOrderElementsOf(columns));
  }

  @Test
  void aSpreadsheetTakesNoWordForAFormulaAndNothingIsChanged() throws Exception {
    String code = charge(5);
    List<String> words =
        List.of(
            "=1+1", "+49", "-x", "@sum", "\ttab", "'quoted", "two\nlines", "said \"so\", twice");
    for (String word : words) {
      as(keeper, () -> acts.append(code, new Noted(word), null, null, word));
    }
    byte[] packed = as(keeper, hand::pack);
    for (String file : files(packed).keySet()) {
      if (file.endsWith(".csv")) {
        for (CSVRecord row : rows(text(packed, file))) {
          for (String cell : row) {
            assertThat(cell.matches("(?s)[=+@\t\r].*|-(?![0-9]).*"))
                .as(file + ": " + cell)
                .isFalse();
          }
        }
      }
    }
    Somebody other = new Somebody(households.found("Other", "Europe/Oslo", "US", true).id(), "Bo");
    assertThat(as(other, () -> hand.unpack(packed, true)).good()).isTrue();
    assertThat(as(other, hand::pack)).isEqualTo(packed);
  }

  @Test
  void whatClashesIsToldAndNothingIsPutAway() throws Exception {
    byte[] packed = as(cottage, hand::pack);
    String code =
        owner.queryForObject(
            "select code from batch where household_id = ? limit 1",
            String.class,
            cottage.householdId());
    charge(5);
    owner.update("update batch set code = ? where household_id = ?", code, house.id());
    MovingHand.Said said = as(keeper, () -> hand.unpack(packed, true));
    assertThat(said.good()).isFalse();
    assertThat(said.clashes()).containsExactly(code);
    assertThat(count("batch")).isOne();
    assertThat(count("entry")).isOne();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "data/readings.csv ; Z,([0-9.]+), ; Z,warm, ; A cell does not fit its column",
        "data/jars.csv ; ,(INFUSING|RESTING), ; ,FLYING, ; a word or a figure that is not known",
        "data/log.csv ; ,charged, ; ,conjured, ; a word or a figure that is not known",
        "data/bottles.csv ; ,A,(?=[0-9]) ; ,A, ; two rows are the same thing",
        "data/journal.csv ; ,/batches/ ; ,//elsewhere/ ; a word or a figure that is not known",
        "data/places.csv ; name,light ; light,name ; other columns",
        "data/household.csv ; Europe/[A-Za-z]+|Atlantic/[A-Za-z]+ ; Nowhere/At_all ; time zone",
        "data/log.csv ; massG ; massKg ; nothing of the name “herbs.[0].massKg” is known",
        "datapackage.json ; \"form\" : 1 ; \"form\" : 2 ; A newer Velvet Crock packed this",
        "datapackage.json ; velvet-crock-household ; some-package ; not a file that Velvet Crock packed"
      })
  void whatDoesNotFitIsToldAndNothingIsPutAway(String file, String what, String by, String told)
      throws Exception {
    byte[] packed =
        with(
            as(cottage, hand::pack),
            file,
            text ->
                file.endsWith("bottles.csv")
                    ? text + text.lines().skip(1).findFirst().orElseThrow() + "\r\n"
                    : text.replaceFirst(what, by));
    List<String> problems;
    try {
      problems = as(keeper, () -> hand.unpack(packed, true)).problems();
    } catch (Refused refused) {
      problems = List.of(refused.problems().get(0).message());
    }
    assertThat(String.join(" ", problems)).contains(told);
    assertThat(count("entry")).isZero();
    assertThat(count("batch")).isZero();
  }

  @Test
  void whatIsNoBoxIsRefused() {
    assertThatThrownBy(
            () -> as(keeper, () -> hand.unpack("no zip".getBytes(StandardCharsets.UTF_8), false)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("not a file that Velvet Crock packed");
  }
}
