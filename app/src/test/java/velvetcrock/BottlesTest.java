package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.StringReader;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import velvetcrock.batch.BottleBook;
import velvetcrock.core.batch.BottleGone;
import velvetcrock.core.batch.BottleStood;
import velvetcrock.core.batch.Drawn;
import velvetcrock.core.batch.Ending;
import velvetcrock.core.batch.Noted;
import velvetcrock.core.batch.OilIn;
import velvetcrock.core.keeping.Store;
import velvetcrock.kitchen.Catalogues;
import velvetcrock.kitchen.OwnKind;
import velvetcrock.kitchen.OwnTyped;

/** Bottles as they are kept: their dates, labels and pages, and what their ends teach. */
class BottlesTest extends BottleHouse {
  @Autowired Catalogues catalogues;
  final JdbcTemplate jdbc = TestCluster.shared().owner();

  private static String words(LocalDate date) {
    return DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.UK).format(date);
  }

  private String label(String bottle, String... more) throws Exception {
    String[] fields = {
      "bottle", bottle, "grid", "a4-8", "address", "http://crock.test:8080/", "each", "1"
    };
    String[] all = new String[fields.length + more.length];
    System.arraycopy(fields, 0, all, 0, fields.length);
    System.arraycopy(more, 0, all, fields.length, more.length);
    byte[] pdf =
        send(keeper, "/cellar/labels", all)
            .andExpect(status().isOk())
            .andExpect(content().contentType("application/pdf"))
            .andReturn()
            .getResponse()
            .getContentAsByteArray();
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return new PDFTextStripper().getText(document).replace('\u00A0', ' ');
    }
  }

  private String token(String code) {
    return jdbc.queryForObject(
        "select p.token from bottle_pass p join batch x on x.id = p.batch_id"
            + " where x.code = ? and x.household_id = ? and p.revoked_at is null",
        String.class,
        code,
        house.id());
  }

  private Calendar calendar() throws Exception {
    String ics =
        visit(keeper, "/cellar/calendar")
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    return new CalendarBuilder().build(new StringReader(ics));
  }

  private LocalDate inCalendar(String bottle) throws Exception {
    return calendar().getComponents("VEVENT").stream()
        .map(VEvent.class::cast)
        .filter(e -> e.getSummary().getValue().contains(bottle))
        .map(e -> LocalDate.from(e.<LocalDate>getDateTimeStart().getDate()))
        .findFirst()
        .orElseThrow();
  }

  /** Everywhere that a bottle's date is told, it is the same. */
  private void sameDateEverywhere(String code, String letter) throws Exception {
    LocalDate date = bottle(code, letter).bestBefore();
    String words = words(date);
    int number = letter.charAt(0) - 'A';
    visit(keeper, "/cellar/" + code + "/" + letter)
        .andExpect(content().string(containsString("Good until <b>" + words + "</b>")));
    visit(keeper, "/cellar").andExpect(content().string(containsString("until " + words)));
    visit(keeper, "/batches/" + code).andExpect(content().string(containsString("until " + words)));
    visit(keeper, "/api/v1/batches/" + code)
        .andExpect(jsonPath("$.bottles[" + number + "].letter").value(letter))
        .andExpect(jsonPath("$.bottles[" + number + "].bestBefore").value(date.toString()));
    assertThat(inCalendar(code + "-" + letter)).isEqualTo(date);
    assertThat(label(code + "-" + letter).replaceAll("\\s+", " ")).contains("best before " + words);
  }

  @Test
  void aBottlesDateIsTheSameOnThePageTheLabelInJsonAndInTheCalendarWhateverHappens()
      throws Exception {
    String code = bottled(40);
    sameDateEverywhere(code, "A");
    sameDateEverywhere(code, "B");
    log(
        code,
        new BottleStood("A", Store.Place.WARM, Store.Glass.CLEAR, 500, Store.Antioxidant.NONE));
    sameDateEverywhere(code, "A");
    log(code, new Drawn("B", 100, "100 ml", "a salve"));
    sameDateEverywhere(code, "B");
    as(
        keeper,
        () ->
            catalogues.keep(
                OwnKind.CARRIER,
                OwnTyped.figures(
                    OwnKind.CARRIER, "rapeseed", "", Map.of("months", "4"), "a book")));
    sameDateEverywhere(code, "B");
  }

  @Test
  void aDateThatMovesSaysWhyAndByHowMuch() throws Exception {
    String code = bottled(40);
    LocalDate before = bottle(code, "A").bestBefore();

    send(
            keeper,
            "/cellar/" + code + "/A/log",
            "kind",
            "stood",
            "place",
            "WARM",
            "glass",
            "CLEAR",
            "size",
            "500 ml",
            "antioxidant",
            "NONE",
            "key",
            "w" + code)
        .andExpect(redirectedUrl("/cellar/" + code + "/A"));

    LocalDate after = bottle(code, "A").bestBefore();
    assertThat(after).isBefore(before);
    visit(keeper, "/cellar/" + code + "/A")
        .andExpect(content().string(containsString("Why its date moved")))
        .andExpect(content().string(containsString("stands on a warm shelf")))
        .andExpect(
            content()
                .string(
                    containsString("good until " + words(after) + " instead of " + words(before))))
        .andExpect(content().string(containsString("What would lengthen it")));
    visit(keeper, "/cellar/" + code + "/B")
        .andExpect(content().string(not(containsString("Why its date moved"))));
  }

  @Test
  void aFigureChangedInTheKitchenMovesTheBottlesOfThatOilAndSaysSo() throws Exception {
    String code = bottled(40);
    LocalDate pressed = today().minusMonths(3);
    as(
        keeper,
        () -> {
          acts.supplyOilDates(code, List.of(new OilIn("rapeseed", 1, null, null, pressed)));
          return null;
        });
    LocalDate before = bottle(code, "A").bestBefore();

    as(
        keeper,
        () ->
            catalogues.keep(
                OwnKind.CARRIER,
                OwnTyped.figures(
                    OwnKind.CARRIER, "rapeseed", "", Map.of("months", "3"), "a book")));

    assertThat(bottle(code, "A").bestBefore()).isBefore(before);
    visit(keeper, "/cellar/" + code + "/A")
        .andExpect(content().string(containsString("changed in the kitchen")));
  }

  @Test
  void aBottleThatSmellsRancidIsAskedForInTheRoundAndItsEndIsCounted() throws Exception {
    String code = bottled(60);
    send(
            keeper,
            "/cellar/" + code + "/B/log",
            "kind",
            "checked",
            "off",
            "RANCID",
            "cloudy",
            "yes",
            "key",
            "r" + code)
        .andExpect(redirectedUrl("/cellar/" + code + "/B"));
    visit(keeper, "/cellar/" + code + "/B")
        .andExpect(content().string(containsString("It has turned: throw it out.")))
        .andExpect(content().string(containsString("rancid, cloudy")));
    visit(keeper, "/").andExpect(content().string(containsString(code + "-B")));

    send(keeper, "/cellar/" + code + "/B/gone", "reason", "RANCID", "key", "g" + code)
        .andExpect(redirectedUrl("/cellar"));

    assertThat(as(keeper, () -> book.ownShelfLives()))
        .hasEntrySatisfying(
            new BottleBook.Shelf("rapeseed", Store.Place.ROOM),
            life -> assertThat(life.turned()).isEqualTo(1));
    visit(keeper, "/cellar")
        .andExpect(content().string(containsString("What your bottles taught")));
    visit(keeper, "/cellar/" + code + "/B")
        .andExpect(content().string(containsString("This bottle is gone.")));
  }

  @Test
  void theCellarSortsByOilAndByHerbAndSaysWhatItIsEnoughFor() throws Exception {
    String code = bottled(40);

    visit(keeper, "/cellar")
        .andExpect(content().string(containsString("300 ml of oil")))
        .andExpect(content().string(containsString("Enough for")))
        .andExpect(content().string(containsString(code + "-A")));
    visit(keeper, "/cellar?by=oil").andExpect(content().string(containsString("rapeseed")));
    visit(keeper, "/cellar?by=herb").andExpect(content().string(containsString("Yarrow")));
    visit(keeper, "/cellar?herb=yarrow").andExpect(content().string(containsString(code + "-B")));
    visit(keeper, "/cellar?herb=heather")
        .andExpect(content().string(not(containsString(code + "-B"))));
  }

  @Test
  void aLabelNamesWhatTheLawAndTheHolderWantAndNothingHealing() throws Exception {
    String code = bottled(40);

    String plain = label(code + "-A").replaceAll("\\s+", " ");
    String full =
        label(code + "-B", "inci", "yes", "words", "Made with rain").replaceAll("\\s+", " ");

    assertThat(plain)
        .contains(
            code + "-A",
            "Yarrow",
            "Achillea millefolium",
            "dried, cut",
            "rapeseed oil",
            "150 ml",
            "Not for eating",
            "daisy family",
            "Patch test first")
        .doesNotContain("INCI");
    assertThat(full)
        .contains(
            "with vitamin E",
            "INCI: Canola Oil, Achillea Millefolium Flower Extract, Tocopherol.",
            "Made with rain");
  }

  @Test
  void aWordThatClaimsToHealIsQuestionedAndPrintedOnlyOnOnesOwnWord() throws Exception {
    String code = bottled(40);
    String[] claiming = {
      "bottle", code + "-A", "grid", "a4-8", "address", "http://crock.test", "words", "Cures eczema"
    };

    send(keeper, "/cellar/labels", claiming)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString("medical claim")))
        .andExpect(content().string(containsString("Cures eczema")));
    assertThat(label(code + "-A", "words", "Cures eczema", "sure", "yes")).contains("Cures eczema");
    assertThat(label(code + "-A", "words", "Yarrow from the bay")).contains("from the bay");
  }

  @ParameterizedTest
  @CsvSource({
    "bottle, K7M-Z, Choose a bottle",
    "grid, a9-1, Choose a sheet",
    "each, none, number of labels",
    "each, 51, 50",
    "skip, -1, and 60 labels",
    "address, javascript:alert(1), begins with http",
    "words, 鼠尾草, Latin letters"
  })
  void whatCannotBePrintedIsSaidAtItsField(String field, String typed, String said)
      throws Exception {
    String code = bottled(40);
    Map<String, String> form = new LinkedHashMap<>();
    form.put("bottle", code + "-A");
    form.put("grid", "a4-21");
    form.put("address", "http://crock.test");
    form.put(field, typed);
    String[] fields =
        form.entrySet().stream()
            .flatMap(e -> Stream.of(e.getKey(), e.getValue()))
            .toArray(String[]::new);

    send(keeper, "/cellar/labels", fields)
        .andExpect(status().isUnprocessableContent())
        .andExpect(content().string(containsString(said)));
    assertThat(
            jdbc.queryForObject(
                "select count(*) from bottle_pass where batch_id = ?",
                Integer.class,
                as(keeper, () -> batches.find(code)).id()))
        .as("no pass is made of what is not printed")
        .isZero();
  }

  @Test
  void whoeverHoldsTheBottleSeesItsLabelAndNothingElseUntilItsCodeIsMadeVoid() throws Exception {
    String code = bottled(40);
    log(code, new Noted("Secret words about the neighbours"));
    label(code + "-A");
    String token = token(code);
    assertThat(token).hasSize(22);

    String page =
        mvc.perform(get("/b/" + token))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();

    assertThat(page)
        .contains("Achillea millefolium", "Not for eating", "INCI", "daisy family")
        .contains(words(bottle(code, "A").bestBefore()))
        .doesNotContain("Test kitchen", "Una", "Secret words", "/batches/", "/cellar", "Sign out");
    assertThat(links(page)).allMatch(link -> link.startsWith("/assets/"));
    label(code + "-A");
    assertThat(token(code)).as("a label printed again").isEqualTo(token);

    send(keeper, "/cellar/" + code + "/A/void-pass")
        .andExpect(redirectedUrl("/cellar/" + code + "/A"));
    mvc.perform(get("/b/" + token)).andExpect(status().isNotFound());
    label(code + "-A");
    assertThat(token(code)).isNotEqualTo(token);
    mvc.perform(get("/b/" + token(code))).andExpect(status().isOk());
    mvc.perform(get("/b/x")).andExpect(status().isNotFound());
  }

  @Test
  void thePageOfABottleThatIsGoneSaysSoInsteadOfKeepingSilent() throws Exception {
    String code = bottled(40);
    label(code + "-B");
    String token = token(code);

    log(code, new BottleGone("B", Ending.MUSTY));

    mvc.perform(get("/b/" + token))
        .andExpect(status().isOk())
        .andExpect(content().string(containsString("Do not use")));
  }

  private static List<String> links(String page) {
    Matcher matcher = Pattern.compile("(?:href|src|action)=\"([^\"]*)\"").matcher(page);
    return matcher.results().map(found -> found.group(1)).toList();
  }
}
