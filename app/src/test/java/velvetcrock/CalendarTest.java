package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.flash;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import biweekly.Biweekly;
import biweekly.component.VEvent;
import java.net.URI;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import velvetcrock.core.Range;
import velvetcrock.core.batch.Strained;
import velvetcrock.core.batch.Straining;
import velvetcrock.core.yield.Expression;

/** The household's calendar: its secret address, and what it tells over time. */
class CalendarTest extends AppTest {

  private String address() throws Exception {
    return URI.create(
            (String)
                send(keeper, "/calendar")
                    .andExpect(flash().attributeExists("address"))
                    .andReturn()
                    .getFlashMap()
                    .get("address"))
        .getPath();
  }

  /** What somebody who is not signed in reads there, by uid. */
  private Map<String, VEvent> read(String address) throws Exception {
    String written =
        mvc.perform(get(address))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsString();
    return events(written);
  }

  private static Map<String, VEvent> events(String written) {
    return Biweekly.parse(written).first().getEvents().stream()
        .collect(Collectors.toMap(e -> e.getUid().getValue(), Function.identity()));
  }

  private static List<String> titles(Map<String, VEvent> events) {
    return events.values().stream().map(e -> e.getSummary().getValue()).toList();
  }

  @Test
  void theAddressIsSecretShownOnceAndMadeVoid() throws Exception {
    String code = charge(3);
    assertThat(visit(keeper, "/calendar").andReturn().getResponse().getContentAsString())
        .contains("Make an address");
    String first = address();

    assertThat(titles(read(first))).anyMatch(t -> t.startsWith("Strain " + code));
    assertThat(visit(keeper, "/calendar").andReturn().getResponse().getContentAsString())
        .contains("made by Una")
        .doesNotContain(first.substring("/calendar/".length()));
    String second = address();
    mvc.perform(get(first)).andExpect(status().isNotFound());
    read(second);
    send(keeper, "/calendar/revoke").andExpect(status().is3xxRedirection());
    mvc.perform(get(second)).andExpect(status().isNotFound());
    mvc.perform(get("/calendar/guessed.ics")).andExpect(status().isNotFound());
  }

  @Test
  void itTellsOfOneHouseholdAlone() throws Exception {
    String code = charge(3);
    Somebody stranger =
        new Somebody(households.found("Elsewhere", "Europe/Oslo", "METRIC", true).id(), "Eve");
    String theirs =
        URI.create((String) send(stranger, "/calendar").andReturn().getFlashMap().get("address"))
            .getPath();

    assertThat(titles(read(theirs))).noneMatch(t -> t.contains(code));
    visit(stranger, "/batches/" + code + "/calendar").andExpect(status().isNotFound());
  }

  @Test
  void aJarHasItsWindowItsDayAndItsLooks() throws Exception {
    String code = charge(3);
    Map<String, VEvent> told =
        events(
            visit(keeper, "/batches/" + code + "/calendar")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString());

    assertThat(titles(told))
        .hasSize(5)
        .anyMatch(t -> t.startsWith("May be strained: " + code))
        .anyMatch(t -> t.startsWith("Strain " + code))
        .filteredOn(t -> t.startsWith("Shake and look"))
        .hasSize(3);
  }

  @Test
  void whatDidNotChangeKeepsItsNumberAndWhatDidGetsAHigherOne() throws Exception {
    String code = charge(3);
    String address = address();
    Map<String, VEvent> first = read(address);
    Map<String, VEvent> again = read(address);

    assertThat(again.keySet()).isEqualTo(first.keySet());
    again.forEach(
        (uid, event) -> {
          assertThat(event.getSequence().getValue()).isZero();
          assertThat(event.getDateTimeStamp()).isEqualTo(first.get(uid).getDateTimeStamp());
        });

    getUpLater();
    Map<String, VEvent> later = read(address);
    assertThat(later.keySet()).isEqualTo(first.keySet());
    assertThat(later.entrySet())
        .filteredOn(e -> e.getKey().endsWith("-daily") || e.getKey().endsWith("-weekly"))
        .hasSize(2)
        .allMatch(e -> e.getValue().getSequence().getValue() == 1);
    assertThat(later.entrySet())
        .filteredOn(e -> e.getKey().endsWith("-strain"))
        .allMatch(e -> e.getValue().getSequence().getValue() == 0);
  }

  /** The household gets up later. */
  private void getUpLater() throws Exception {
    send(
            keeper,
            "/kitchen/hours",
            "wakes",
            "09:15",
            "sleeps",
            "23:00",
            "awayFrom",
            "10:00",
            "awayUntil",
            "12:00")
        .andExpect(status().is3xxRedirection());
  }

  private static Strained strained() {
    return new Strained(
        330, "", Expression.SQUEEZE, Range.exactly(340), new Straining(false, false, true));
  }

  @Test
  void whatIsStrainedIsCancelledAndSettlingAndUseByTakeItsPlace() throws Exception {
    String code = charge(40);
    String address = address();
    Map<String, VEvent> before = read(address);
    String strain =
        before.keySet().stream().filter(uid -> uid.endsWith("-strain")).findFirst().orElseThrow();
    as(keeper, () -> acts.append(code, strained(), null, null, "s" + code));
    Map<String, VEvent> after = read(address);

    assertThat(after.get(strain).getStatus().isCancelled()).isTrue();
    assertThat(after.get(strain).getSequence().getValue()).isEqualTo(1);
    assertThat(titles(after)).anyMatch(t -> t.startsWith("Pour off what has settled: " + code));
    assertThat(read(address).get(strain).getSequence().getValue()).isEqualTo(1);
    assertThat(
            events(visit(keeper, "/calendar/all").andReturn().getResponse().getContentAsString()))
        .doesNotContainKey(strain);
  }

  /** Alarms are chosen by kind, and another address keeps the choice. */
  @Test
  void itCallsForWhatWasChosen() throws Exception {
    charge(3);
    String usual = text(address());
    assertThat(usual).contains("BEGIN:VALARM").contains("SUMMARY:Shake and look");
    int before = alarms(usual);

    send(keeper, "/calendar/calls", "calls", "VISIT").andExpect(status().is3xxRedirection());
    String visits = text(address());
    assertThat(alarms(visits)).isPositive().isNotEqualTo(before);
    assertThat(visits).contains("DESCRIPTION:Shake and look");
    assertThat(visit(keeper, "/calendar").andReturn().getResponse().getContentAsString())
        .containsPattern("value=\"VISIT\"\\s+checked")
        .doesNotContainPattern("value=\"STRAIN\"\\s+checked");

    send(keeper, "/calendar/calls").andExpect(status().is3xxRedirection());
    assertThat(alarms(text(address()))).isZero();
    send(keeper, "/calendar/calls", "calls", "SIREN").andExpect(status().isUnprocessableContent());
  }

  private String text(String path) throws Exception {
    return mvc.perform(get(path)).andReturn().getResponse().getContentAsString();
  }

  private static int alarms(String calendar) {
    return calendar.split("BEGIN:VALARM", -1).length - 1;
  }
}
