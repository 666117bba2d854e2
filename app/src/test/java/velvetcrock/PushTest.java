package velvetcrock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Time;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;
import velvetcrock.core.Refused;
import velvetcrock.push.PushHand;
import velvetcrock.web.SomebodyWent;

/** Closed phones are called through a push service, where an operator allows one. */
class PushTest extends AppTest {
  private static final String CONTACT = "mailto:keeper@kitchen.example";

  @TempDir Path dir;
  @Autowired JdbcTemplate jdbc;

  private PushService service;
  private PushHand hand;

  @BeforeEach
  void aService() throws Exception {
    service = new PushService();
    hand = new PushHand(context, List.of(service.origin()), CONTACT, dir.resolve("keys"));
    service.calledBy(hand.publicKey());
  }

  @AfterEach
  void closed() {
    service.close();
    // A phone left over would be called by the next test.
    run(() -> jdbc.update("delete from push_phone where household_id = ?", house.id()));
  }

  private void run(Runnable work) {
    as(
        keeper,
        () -> {
          transactions(work);
          return null;
        });
  }

  private void transactions(Runnable work) {
    context.getBean(TransactionTemplate.class).executeWithoutResult(status -> work.run());
  }

  private void aPhone() {
    run(() -> hand.add(service.endpoint(), service.publicKey(), service.secret()));
  }

  private List<String> phones() {
    List<String> all = new ArrayList<>();
    run(() -> all.addAll(hand.endpoints()));
    return all;
  }

  private void timerOver(String reason) throws Exception {
    send(keeper, "/round/timer", "minutes", "5", "reason", reason, "key", UUID.randomUUID() + "");
    run(
        () ->
            jdbc.update(
                "update round_note set until = ? where household_id = ? and words = ?",
                Timestamp.from(Instant.now().minusSeconds(1)),
                house.id(),
                reason));
  }

  @Test
  void whatComesToWantSomebodyIsCalledOnceAndOnlyThePhoneReadsIt() throws Exception {
    aPhone();
    hand.call();
    assertThat(service.read()).isEmpty();

    timerOver("let it drip");
    hand.call();
    hand.call();

    assertThat(service.refused()).isEmpty();
    assertThat(service.read())
        .singleElement()
        .asString()
        .contains("\"words\":\"let it drip: time is up\"", "\"page\":\"/round\"");
  }

  @Test
  void severalThingsAreOneCallAndWhatWasSeenAlreadyIsNone() throws Exception {
    timerOver("the first");
    aPhone();
    hand.call();
    assertThat(service.read()).isEmpty();

    timerOver("the second");
    timerOver("the third");
    hand.call();
    assertThat(service.read()).singleElement().asString().contains("the second", "the third");
    assertThat(service.read().get(0)).doesNotContain("the first");
  }

  @Test
  void theRoundCallsWhileSomebodyIsThereAndATimerAlways() throws Exception {
    aPhone();
    charge(3);
    var now = LocalTime.now(house.zone());
    // They got up and went to bed some hours ago, or they are up.
    for (boolean up : List.of(false, true)) {
      var wakes = now.plusHours(up ? -2 : 2);
      run(
          () ->
              jdbc.update(
                  "update household set wakes = ?, sleeps = ?, away_days = '' where id = ?",
                  Time.valueOf(wakes.withNano(0)),
                  Time.valueOf(wakes.plusHours(4).withNano(0)),
                  house.id()));
      if (!up) {
        timerOver("the tincture");
        hand.call();
        assertThat(service.read()).singleElement().asString().contains("the tincture");
        assertThat(service.read().get(0)).doesNotContain("Shake");
      } else {
        hand.call();
        assertThat(service.read()).hasSize(2);
        assertThat(service.read().get(1)).contains("hake");
      }
    }
  }

  @Test
  void aPhoneThatIsGoneIsForgottenAndOneThatIsOutOfReachIsTriedAgain() throws Exception {
    aPhone();
    timerOver("the bath");
    service.answers(503);
    hand.call();
    assertThat(phones()).hasSize(1);

    service.answers(201);
    hand.call();
    assertThat(service.read()).hasSize(1);

    service.answers(410);
    timerOver("the rest");
    hand.call();
    assertThat(phones()).isEmpty();
  }

  @Test
  void onlyServicesThatAreAllowedAreAskedAndNoneUntilOneIs() {
    assertThat(hand.allows(service.endpoint())).isTrue();
    assertThat(hand.allows("http://127.0.0.1:1/phone")).isFalse();
    PushHand hosts =
        new PushHand(context, List.of("push.example"), CONTACT, dir.resolve("more-keys"));
    assertThat(hosts.allows("https://push.example/a")).isTrue();
    assertThat(hosts.allows("https://eu.push.example/a")).isTrue();
    for (String other :
        List.of(
            "http://push.example/a",
            "https://push.example:8443/a",
            "https://push.example@127.0.0.1/a",
            "https://notpush.example/a",
            "https://push.example.evil.example/a",
            "file:///etc/passwd",
            "not an address",
            "https://push.example/" + "a".repeat(1000))) {
      assertThat(hosts.allows(other)).as(other).isFalse();
    }
    assertThatThrownBy(() -> run(() -> hand.add("https://a.example/1", "k", "s")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("not allowed in this house");

    PushHand off = new PushHand(context, List.of(), CONTACT, dir.resolve("no-keys"));
    assertThat(off.on()).isFalse();
    assertThat(off.allows("https://push.example/a")).isFalse();
    assertThat(dir.resolve("no-keys")).doesNotExist();
  }

  @Test
  void theKeysOfTheHouseStayAndAreItsOwn() throws Exception {
    PushHand again = new PushHand(context, List.of(service.origin()), CONTACT, dir.resolve("keys"));
    assertThat(again.publicKey()).isEqualTo(hand.publicKey());
    assertThat(Files.getPosixFilePermissions(dir.resolve("keys"))).hasSize(2);
  }

  @Test
  void whoeverGoesIsCalledNoMoreAndAnotherHouseNever() throws Exception {
    aPhone();
    Somebody stranger =
        new Somebody(households.found("Next door", "Europe/Oslo", "METRIC", true).id(), "Ivo");
    assertThat(phones()).hasSize(1);
    as(
        stranger,
        () -> {
          transactions(() -> assertThat(hand.endpoints()).isEmpty());
          return null;
        });

    as(
        keeper,
        () -> {
          transactions(() -> context.publishEvent(new SomebodyWent(house.id(), "Una")));
          return null;
        });
    assertThat(phones()).isEmpty();
  }

  @Test
  void thePageSaysThatNothingLeavesAHouseThatAllowsNoService() throws Exception {
    String page = visit(keeper, "/calls").andReturn().getResponse().getContentAsString();
    assertThat(page)
        .contains("No push service is allowed in this house")
        .doesNotContain("calls.js");
    send(keeper, "/calls", "endpoint", service.endpoint(), "publicKey", "k", "secret", "s");
    assertThat(phones()).isEmpty();
  }
}
