package velvetcrock.push;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import velvetcrock.kitchen.Household;
import velvetcrock.kitchen.Households;
import velvetcrock.web.CurrentHousehold;
import velvetcrock.web.InHousehold;
import velvetcrock.web.WorthCalling;
import velvetcrock.web.WorthCalling.Call;

/**
 * Calls closed phones, each once for each thing that wants somebody; while everybody sleeps or is
 * out, only for what cannot wait.
 */
@Component
class Caller {
  private static final Logger LOG = LoggerFactory.getLogger(Caller.class);
  private static final int MOST_TOLD = 3;

  private final List<WorthCalling> places;
  private final Phones phones;
  private final PushPost post;
  private final Households households;
  private final CurrentHousehold current;
  private final JsonMapper json;
  private final Clock clock;

  Caller(
      List<WorthCalling> places,
      Phones phones,
      PushPost post,
      Households households,
      CurrentHousehold current,
      JsonMapper json,
      Clock clock) {
    this.places = places;
    this.phones = phones;
    this.post = post;
    this.households = households;
    this.current = current;
    this.json = json;
    this.clock = clock;
  }

  private record House(UUID householdId, String displayName) implements InHousehold {}

  /** What is sent: what a phone shows, and where it leads. */
  record Message(String words, String page, String tag) {}

  /** Looks into every household that has a phone to call. */
  public void call() {
    if (!post.on()) {
      return;
    }
    for (UUID household : phones.households()) {
      try {
        current.actingAs(
            new House(household, ""),
            () -> {
              callPhones();
              return null;
            });
      } catch (RuntimeException one) {
        // One household's trouble is not another's silence.
        LOG.warn("The phones of household {} could not be called", household, one);
      }
    }
  }

  /** Names of what wants somebody in the household at hand. */
  Set<String> wanting() {
    return wanted().stream().map(Call::key).collect(Collectors.toCollection(LinkedHashSet::new));
  }

  private List<Call> wanted() {
    boolean there = somebodyIsThere();
    return places.stream()
        .flatMap(place -> place.calls().stream())
        .filter(call -> there || call.wakes())
        .toList();
  }

  private boolean somebodyIsThere() {
    Household house = households.current();
    LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), house.zone());
    // A day that ends after midnight goes on into the next.
    return Stream.of(now.toLocalDate(), now.toLocalDate().minusDays(1))
        .flatMap(day -> house.hours().on(day).stream())
        .anyMatch(span -> !now.isBefore(span.from()) && now.isBefore(span.until()));
  }

  private void callPhones() {
    List<Call> wanted = wanted();
    Set<String> keys = wanted.stream().map(Call::key).collect(Collectors.toSet());
    for (Phones.Phone phone : phones.all()) {
      List<Call> fresh =
          wanted.stream().filter(call -> !phone.called().contains(call.key())).toList();
      PushPost.Outcome outcome =
          fresh.isEmpty()
              ? PushPost.Outcome.TAKEN
              : post.send(phone, json.writeValueAsString(message(fresh)));
      switch (outcome) {
        case GONE -> phones.remove(phone.id());
        case TAKEN -> {
          if (!phone.called().equals(keys)) {
            phones.called(phone, keys);
          }
        }
        case FAILED -> LOG.info("A phone could not be called; it is tried again in a minute");
      }
    }
  }

  private static Message message(List<Call> fresh) {
    String words =
        fresh.stream().limit(MOST_TOLD).map(Call::words).collect(Collectors.joining("\n"));
    int more = fresh.size() - MOST_TOLD;
    Set<String> pages = fresh.stream().map(Call::page).collect(Collectors.toSet());
    return new Message(
        more > 0 ? words + "\nand " + more + " more" : words,
        pages.size() == 1 ? fresh.get(0).page() : "/round",
        fresh.get(0).key());
  }
}
