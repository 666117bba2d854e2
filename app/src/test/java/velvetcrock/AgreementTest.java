package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.component.VEvent;
import com.jayway.jsonpath.DocumentContext;
import com.jayway.jsonpath.JsonPath;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;
import velvetcrock.core.materia.Method;
import velvetcrock.kitchen.Catalogues;

/**
 * Every face tells the same of one jar. Jars of all methods, states and histories are read from the
 * pages, the calendar, the labels and the JSON as they are sent, and compared.
 */
class AgreementTest extends AppTest {
  private static final int HOUSES = 8;
  private static final int JARS = 40;
  private static final Pattern DATE = Pattern.compile("(\\d{1,2}) (\\p{L}{3,9})(?: (\\d{4}))?");
  private static final Pattern SPAN =
      Pattern.compile(
          "([\\d.]+)(?:–([\\d.]+))? (min|h|days?|weeks?)(?:(?:–| to )([\\d.]+) (h|days?|weeks?))?");

  private static final Pattern PULL = Pattern.compile("Extracted:? [a-z ]+, about (\\d+) %");
  private static final Pattern GAINED = Pattern.compile("about (\\d+) %");

  @Autowired Catalogues catalogues;
  @Autowired Clock clock;

  private final List<String> differ = new ArrayList<>();
  private int compared;
  private int bottled;
  private int checks;
  private int pulls;

  @Test
  void everyFaceTellsTheSameOfOneJar() throws Exception {
    for (int i = 0; i < HOUSES; i++) {
      moveIn();
      long seed = 1700 + i;
      List<String> codes = ManyJars.in(this, catalogues.current(), clock, seed, JARS);
      Document shelf = page("/");
      Document cellar = page("/cellar");
      List<VEvent> dates = calendar("/cellar/calendar");
      for (String code : codes) {
        DocumentContext json = json(code);
        String status = json.read("$.status");
        compared++;
        if (status.equals("infusing")) {
          infusing(code, json, shelf);
        }
        bottles(code, json, cellar, shelf, dates);
      }
    }
    assertThat(compared).isGreaterThanOrEqualTo(300);
    assertThat(bottled).isGreaterThan(100);
    assertThat(checks).isGreaterThan(2000);
    assertThat(pulls).isGreaterThan(20);
    assertThat(differ).isEmpty();
  }

  /** What the bench promised is what the batch page tells once it is charged. */
  @Test
  void theBenchPromisesWhatTheBatchTells() throws Exception {
    int charged = 0;
    for (Method method : Method.values()) {
      for (String herb :
          List.of("yarrow", "rosemary", "st-johns-wort", "meadowsweet", "mullein", "calendula")) {
        for (String state : List.of("DRIED", "FRESH")) {
          String[] typed = typed(method, herb, state, today().minusDays(method.heated() ? 0 : 9));
          Document bench = Jsoup.parse(content(send(keeper, "/bench/reckon", typed)));
          String code = content(send(keeper, "/bench/charge", typed), "/batches/");
          if (!code.isEmpty()) {
            charged++;
            promised(
                code + " " + method + " " + herb + " " + state, bench, page("/batches/" + code));
          }
        }
      }
    }
    assertThat(charged).isGreaterThan(25);
    assertThat(differ).isEmpty();
  }

  /** What the planner promises of a way is what the bench tells when it is charged so. */
  @Test
  void thePlannerPromisesWhatTheBenchTells() throws Exception {
    int planned = 0;
    for (String herb : List.of("yarrow", "rosemary", "calendula", "plantain", "rosehip-shell")) {
      String[] want = want(herb);
      Document found = Jsoup.parse(content(send(keeper, "/plans/new", want)));
      for (Element way : found.select("input[name=way]")) {
        String[] chosen = Arrays.copyOf(want, want.length + 2);
        chosen[want.length] = "way";
        chosen[want.length + 1] = way.val();
        chosen[1] = UUID.randomUUID().toString();
        String code = content(send(keeper, "/plans", chosen), "/plans/");
        if (code.isEmpty()) {
          continue;
        }
        planned++;
        Document plan = page("/plans/" + code);
        String link = plan.select("a.button[href^=/bench]").attr("href");
        planned(
            herb + " " + way.val(),
            plan,
            Jsoup.parse(content(send(keeper, "/bench/reckon", fields(link)))));
        send(keeper, "/plans/" + code + "/drop");
      }
    }
    assertThat(planned).isGreaterThan(15);
    assertThat(differ).isEmpty();
  }

  private void planned(String way, Document plan, Document bench) {
    for (String name : List.of("Herb", "Oil", "Comes out")) {
      double promised = amount(fact(plan, name));
      double told = amount(fact(bench, name));
      // The bench takes grams to a hundredth.
      check(way, Math.abs(told / promised - 1) < 0.006, "%s %s, %s", name, promised, told);
    }
    String served = fact(plan, "Extracted");
    double days = hours(served.substring(served.indexOf("for ") + 4)).get(0) / 24;
    String heat = fact(bench, "On the heat");
    if (heat.isEmpty()) {
      List<LocalDate> window = dates(fact(bench, "Strain"));
      check(
          way,
          window.size() == 3
              && days >= today().until(window.get(0), ChronoUnit.DAYS) - 0.5
              && days <= today().until(window.get(1), ChronoUnit.DAYS) + 0.5,
          "drawn for %s days, by the bench from to %s",
          days,
          window);
    } else {
      List<Double> hours = hours(heat);
      check(
          way,
          hours.size() == 2 && 24 * days > hours.get(0) - 0.26 && 24 * days < hours.get(1) + 0.26,
          "drawn for %s h, by the bench %s",
          24 * days,
          heat);
    }
  }

  /** What a link carries along. */
  private static String[] fields(String link) {
    return UriComponentsBuilder.fromUriString(link)
        .build()
        .getQueryParams()
        .toSingleValueMap()
        .entrySet()
        .stream()
        .flatMap(e -> Stream.of(e.getKey(), e.getValue()))
        .map(text -> UriUtils.decode(text, StandardCharsets.UTF_8))
        .toArray(String[]::new);
  }

  private static double amount(String told) {
    Matcher matcher = Pattern.compile("([\\d.,]+) (?:g|ml)").matcher(told);
    return matcher.find() ? Double.parseDouble(matcher.group(1).replace(",", "")) : Double.NaN;
  }

  private String[] want(String herb) {
    return new String[] {
      "key",
      UUID.randomUUID().toString(),
      "things[0].what",
      "TINS",
      "things[0].count",
      "4",
      "things[0].size",
      "30 ml",
      "things[0].kind",
      "SALVE",
      "herb",
      herb,
      "carrier",
      "sunflower-high-oleic",
      "by",
      today().plusDays(70).toString(),
      "from",
      "shopping"
    };
  }

  private void promised(String jar, Document bench, Document page) {
    for (Map.Entry<String, String> named :
        Map.of("Oil", "Oil", "Comes out", "Should come out", "Strain", "Strain").entrySet()) {
      String promised = fact(bench, named.getKey());
      String told = fact(page, named.getValue()).split(", ")[0];
      check(
          jar,
          !told.isEmpty() && (promised.contains(told) || dates(told).equals(dates(promised))),
          "%s “%s”, by the bench “%s”",
          named.getValue(),
          told,
          promised);
    }
  }

  private String[] typed(Method method, String herb, String state, LocalDate on) {
    return new String[] {
      "jar",
      "jar-500",
      "amount",
      "20 g",
      "herbs[0].herb",
      herb,
      "herbs[0].cut",
      "CUT",
      "herbs[0].state",
      state,
      "oils[0].carrier",
      "olive",
      "method",
      method.name(),
      "chargedOn",
      on.toString(),
      "bestBefore",
      on.plusMonths(14).toString(),
      "clean",
      "yes",
      "key",
      UUID.randomUUID().toString()
    };
  }

  private static String content(ResultActions answer) throws Exception {
    return answer.andReturn().getResponse().getContentAsString();
  }

  /** What follows a path where it leads there; else nothing. */
  private static String content(ResultActions answer, String path) {
    String to = answer.andReturn().getResponse().getRedirectedUrl();
    return to != null && to.startsWith(path) ? to.substring(path.length()) : "";
  }

  /** How it stands, without its day. */
  private static String stands(String state) {
    return state.substring(state.indexOf(", ") + 2);
  }

  private void infusing(String code, DocumentContext json, Document shelf) throws Exception {
    Document page = page("/batches/" + code);
    Element spot = shelf.selectFirst("a.stand[href=/batches/" + code + "]");
    String state = text(page, "#main p.font-bold[class*=mood-]");
    same(
        code,
        "state",
        Map.of("shelf", text(spot, ".tag > span:last-of-type"), "batch", stands(state)));
    window(code, json, page, spot);
    String verdict = text(page, "h2[class*=mood-]");
    List<String> tasks = tasks(shelf, code);
    boolean toStrain = tasks.contains("Strain");
    boolean toTakeOff = tasks.contains("Take it off the heat");
    boolean ready = verdict.equals("Ready to strain") || verdict.equals("Overdue: strain it");
    boolean wet = page.text().contains("of water or spirit has still to leave");
    // On the heat it is asked for at its usual hours; before them it only may come off.
    boolean mayComeOff = state.endsWith("may come off the heat");
    check(
        code,
        verdict.startsWith("Lost")
            || (ready ? toStrain || toTakeOff || mayComeOff : !toStrain && (!toTakeOff || wet)),
        "“%s”, verdict “%s” and tasks %s",
        state,
        verdict,
        tasks);
    check(code, !wet || !ready && !toStrain, "wet, yet “%s” and tasks %s", verdict, tasks);
    // What is more pressing than straining is said in its place.
    boolean pressing = state.matches(".*(not covered|floating|spoiled|on the heat).*");
    check(
        code,
        pressing || verdict.startsWith("Overdue") == state.contains("over:"),
        "verdict “%s” and state “%s”",
        verdict,
        state);
    fromTheOil(code, page);
  }

  /** The window by JSON, batch page, shelf, lid tag and calendar. */
  private void window(String code, DocumentContext json, Document page, Element spot)
      throws Exception {
    String tag = page("/batches/" + code + "/tag").text();
    List<VEvent> calendar = calendar("/batches/" + code + "/calendar");
    String fact = fact(page, "Strain");
    if (json.<String>read("$.window.countsIn").equals("hours")) {
      same(code, "beads", Map.of("batch", label(page), "shelf", label(spot)));
      double earliest = number(json, "$.window.earliest");
      double latest = number(json, "$.window.latest");
      for (String told : List.of(fact, tag)) {
        List<Double> hours = hours(told);
        check(
            code,
            hours.size() >= 2 && close(hours.get(0), earliest) && close(hours.get(1), latest),
            "hours %s–%s, but “%s”",
            earliest,
            latest,
            told);
      }
      check(
          code,
          calendar.stream().noneMatch(e -> e.getSummary().getValue().startsWith("Strain ")),
          "a day in the calendar for a method of hours");
      stove(code, page, earliest, latest);
      return;
    }
    String earliest = json.read("$.earliest");
    if (earliest == null) {
      check(code, fact.contains("counted from when the oil follows"), "no date yet, but %s", fact);
      check(code, dates(tag).size() < 2, "no date yet, but the tag says %s", tag);
      check(code, calendar.stream().noneMatch(AgreementTest::ofStraining), "a date by calendar");
      return;
    }
    LocalDate from = LocalDate.parse(earliest);
    LocalDate usual = LocalDate.parse(json.read("$.usual"));
    LocalDate latest = LocalDate.parse(json.read("$.latest"));
    same(
        code,
        "earliest",
        Map.of(
            "json", from, "batch", dates(label(page)).get(0), "shelf", dates(label(spot)).get(0)));
    same(
        code,
        "usual",
        Map.of(
            "json", usual, "batch", dates(label(page)).get(1), "shelf", dates(label(spot)).get(1)));
    same(
        code,
        "latest",
        Map.of(
            "json",
            latest,
            "batch",
            dates(label(page)).get(2),
            "shelf",
            dates(label(spot)).get(2)));
    List<LocalDate> listed = dates(fact);
    same(code, "fact", Map.of("json", usual, "batch", listed.get(listed.size() - 1)));
    List<LocalDate> onTag = dates(tag.substring(tag.indexOf("strain ")));
    same(code, "tag", Map.of("json", List.of(from, latest), "tag", onTag.subList(0, 2)));
    for (VEvent event : calendar) {
      String what = event.getSummary().getValue();
      if (what.startsWith("May be strained")) {
        same(code, "window by calendar", Map.of("json", from, "calendar", begins(event)));
        same(code, "end by calendar", Map.of("json", latest.plusDays(1), "calendar", ends(event)));
      } else if (what.startsWith("Strain ")) {
        LocalDate day = begins(event);
        check(code, day.equals(usual), "usually %s, but the calendar says %s", usual, day);
      }
    }
  }

  /** The window and the pull of a pot, by the stove and by the batch page. */
  private void stove(String code, Document page, double earliest, double latest) throws Exception {
    Document stove = page("/stove/" + code);
    List<Double> hours = hours(text(stove, ".pot [data-span]"));
    check(
        code,
        hours.size() >= 2 && close(hours.get(0), earliest) && close(hours.get(1), latest),
        "hours %s–%s, but the stove says %s",
        earliest,
        latest,
        hours);
    Matcher pull = PULL.matcher(page.text());
    Matcher gained = GAINED.matcher(text(stove, ".pot [data-f=pull]"));
    if (pull.find() && gained.find()) {
      double percent = Double.parseDouble(pull.group(1));
      check(
          code,
          Math.abs(percent - Double.parseDouble(gained.group(1))) < 1,
          "pull %s %%, but the stove says %s",
          percent,
          gained.group());
      pulls++;
    }
  }

  private static boolean ofStraining(VEvent event) {
    return event.getSummary().getValue().startsWith("Strain ")
        || event.getSummary().getValue().startsWith("May be strained");
  }

  /** What should come out, by the batch page and by the page for straining. */
  private void fromTheOil(String code, Document page) throws Exception {
    String fact = fact(page, "Should come out");
    Document strain = page("/batches/" + code + "/strain");
    String way = fact.substring(fact.indexOf(", ") + 2);
    String range = fact.substring(0, fact.indexOf(", "));
    boolean told = strain.text().contains("(" + range + ")");
    check(code, told, "should come out %s, %s, but the straining says otherwise", range, way);
  }

  private void bottles(
      String code, DocumentContext json, Document cellar, Document shelf, List<VEvent> dates)
      throws Exception {
    for (Map<String, Object> bottle : json.<List<Map<String, Object>>>read("$.bottles")) {
      if (Boolean.TRUE.equals(bottle.get("gone"))) {
        continue;
      }
      String letter = String.valueOf(bottle.get("letter"));
      String named = code + "-" + letter;
      Element spot = cellar.selectFirst(".spot:has(a[href=/cellar/" + code + "/" + letter + "])");
      if (spot == null) {
        continue;
      }
      bottled++;
      LocalDate until = LocalDate.parse(String.valueOf(bottle.get("bestBefore")));
      Document page = page("/cellar/" + code + "/" + letter);
      String good = page.selectFirst("p:contains(Good until) b").text();
      String label = page("/cellar/" + code + "/" + letter + "/label").text();
      String onLabel = label.substring(label.indexOf("best before"));
      same(
          named,
          "good until",
          Map.of(
              "json", until,
              "page", dates(good).get(0),
              "label", dates(onLabel).get(0),
              "cellar", dates(text(spot, "b[class*=mood-]")).get(0)));
      Optional<VEvent> event =
          dates.stream().filter(e -> e.getSummary().getValue().contains(named)).findFirst();
      check(
          named,
          event.isPresent() && begins(event.get()).equals(until),
          "until %s, but the calendar says %s",
          until,
          event.map(AgreementTest::begins));
      boolean toThrow = tasks(shelf, named).contains("Past its date: throw it out");
      check(
          named, toThrow == until.isBefore(today()), "until %s, to throw out: %s", until, toThrow);
    }
  }

  /** What the round asks for a thing. */
  private static List<String> tasks(Document shelf, String code) {
    return shelf.select("li.errand").stream()
        .filter(li -> li.select(".code").eachText().contains(code))
        .map(li -> li.selectFirst("b").text())
        .toList();
  }

  private void same(String of, String what, Map<String, ?> told) {
    check(of, told.values().stream().distinct().count() == 1, "%s: %s", what, told);
  }

  private void check(String of, boolean holds, String otherwise, Object... told) {
    checks++;
    if (!holds) {
      differ.add(of + ": " + otherwise.formatted(told));
    }
  }

  private Document page(String path) throws Exception {
    return Jsoup.parse(visit(keeper, path).andReturn().getResponse().getContentAsString());
  }

  private DocumentContext json(String code) throws Exception {
    return JsonPath.parse(
        visit(keeper, "/api/v1/batches/" + code).andReturn().getResponse().getContentAsString());
  }

  private List<VEvent> calendar(String path) throws Exception {
    String ics = visit(keeper, path).andReturn().getResponse().getContentAsString();
    return Biweekly.parse(ics).first().getEvents();
  }

  private static String text(@Nullable Element in, String selector) {
    return Optional.ofNullable(in).map(e -> e.selectFirst(selector)).map(Element::text).orElse("");
  }

  private static String label(Element in) {
    // The minutes on the heat run on between one page and the next.
    return in.selectFirst("svg.beads")
        .attr("aria-label")
        .replaceFirst("^(\\d+ h )?\\d+ min on the heat", "on the heat");
  }

  private static String fact(Document page, String name) {
    return page.select("dl dt").stream()
        .filter(dt -> dt.text().equals(name))
        .map(dt -> dt.nextElementSibling().text())
        .findFirst()
        .orElse("");
  }

  private static double number(DocumentContext json, String path) {
    return json.<Number>read(path).doubleValue();
  }

  private static boolean close(double told, double is) {
    return Math.abs(told - is) < 0.26;
  }

  private static LocalDate begins(VEvent event) {
    return day(event.getDateStart().getValue());
  }

  private static LocalDate ends(VEvent event) {
    return day(event.getDateEnd().getValue());
  }

  private static LocalDate day(biweekly.util.ICalDate date) {
    return LocalDate.of(
        date.getRawComponents().getYear(),
        date.getRawComponents().getMonth(),
        date.getRawComponents().getDate());
  }

  /** Every date in a text, in its order; one without a year is of this year. */
  private List<LocalDate> dates(String text) {
    Map<String, Integer> months =
        java.util.Arrays.stream(java.time.Month.values())
            .collect(
                Collectors.toMap(
                    m ->
                        m.getDisplayName(java.time.format.TextStyle.FULL, Locale.UK)
                            .substring(0, 3),
                    java.time.Month::getValue));
    List<LocalDate> found = new ArrayList<>();
    Matcher matcher =
        DATE.matcher(text.replaceAll("(\\d{1,2})–(\\d{1,2}) (\\p{L}{3,9})", "$1 $3–$2 $3"));
    while (matcher.find()) {
      Integer month = months.get(matcher.group(2).substring(0, 3));
      if (month != null) {
        int year =
            matcher.group(3) == null ? today().getYear() : Integer.parseInt(matcher.group(3));
        found.add(LocalDate.of(year, month, Integer.parseInt(matcher.group(1))));
      }
    }
    return found;
  }

  /** The first range of hours in a text. */
  private static List<Double> hours(String text) {
    Matcher matcher = SPAN.matcher(text);
    List<Double> found = new ArrayList<>();
    Function<String, Double> unit =
        named ->
            named.equals("min")
                ? 1 / 60.0
                : named.startsWith("day") ? 24.0 : named.startsWith("week") ? 168.0 : 1;
    if (matcher.find()) {
      double by = unit.apply(matcher.group(3));
      found.add(Double.parseDouble(matcher.group(1)) * by);
      if (matcher.group(2) != null) {
        found.add(Double.parseDouble(matcher.group(2)) * by);
      } else if (matcher.group(4) != null) {
        found.add(Double.parseDouble(matcher.group(4)) * unit.apply(matcher.group(5)));
      }
    }
    return found;
  }
}
