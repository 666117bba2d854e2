package velvetcrock.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.annotation.AnnotationConfigApplicationContext;
import org.springframework.core.env.MapPropertySource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** The store is asked once until the household writes, and always by whoever writes. */
class HeldAnswersTest {
  private static final Duration SOON = Duration.ofSeconds(20);

  private final HouseholdChanges changes = mock();
  private final CurrentHousehold current = mock();
  private final AtomicInteger asked = new AtomicInteger();
  private AnnotationConfigApplicationContext house = new AnnotationConfigApplicationContext();

  /** What there is of a herb, and how often it was asked so far. */
  static class Store {
    private final AtomicInteger asked;

    Store(AtomicInteger asked) {
      this.asked = asked;
    }

    @HeldUntilChanged
    public List<Integer> lots(String herb, String... more) {
      return List.of(asked.incrementAndGet());
    }

    @HeldUntilChanged(HouseholdPart.PLANS)
    public int promised() {
      return asked.incrementAndGet();
    }

    @HeldUntilChanged(rows = 1_000_000)
    public int huge() {
      return asked.incrementAndGet();
    }

    @HeldUntilChanged
    public double sum() {
      return 3 + asked.incrementAndGet() * 1e-12;
    }

    @HeldUntilChanged
    public Optional<String> none() {
      asked.incrementAndGet();
      return Optional.empty();
    }
  }

  private Store store(boolean checked) {
    house = new AnnotationConfigApplicationContext();
    house
        .getEnvironment()
        .getPropertySources()
        .addFirst(new MapPropertySource("checked", Map.of("velvetcrock.answers-checked", checked)));
    house.registerBean(HouseholdChanges.class, () -> changes);
    house.registerBean(CurrentHousehold.class, () -> current);
    house.registerBean(Store.class, asked);
    house.register(HeldAnswers.class);
    house.refresh();
    return house.getBean(Store.class);
  }

  private void athome(UUID household, long written) {
    athome(household, written, written);
  }

  private void athome(UUID household, long written, long ofPlans) {
    when(current.id()).thenReturn(household);
    when(current.who()).thenReturn(Optional.of(mock(InHousehold.class)));
    when(changes.seen()).thenReturn(written);
    when(changes.now()).thenReturn(written);
    when(changes.seen(HouseholdPart.PLANS)).thenReturn(ofPlans);
    when(changes.now(HouseholdPart.PLANS)).thenReturn(ofPlans);
  }

  @BeforeEach
  void atRequest() {
    athome(UUID.randomUUID(), 3);
    RequestContextHolder.setRequestAttributes(
        new ServletRequestAttributes(new MockHttpServletRequest()));
  }

  @AfterEach
  void over() {
    RequestContextHolder.resetRequestAttributes();
    TransactionSynchronizationManager.setActualTransactionActive(false);
    TransactionSynchronizationManager.setCurrentTransactionReadOnly(false);
    house.close();
  }

  @Test
  void whatIsAskedOfTheSameIsAskedOnceUntilSomethingIsWritten() {
    Store store = store(false);
    UUID here = current.id();
    assertThat(store.lots("yarrow", "dried")).isEqualTo(store.lots("yarrow", "dried"));
    assertThat(asked).hasValue(1);

    store.lots("yarrow", "fresh");
    store.lots("rose", "dried");
    assertThat(asked).hasValue(3);

    athome(here, 4);
    store.lots("yarrow", "dried");
    assertThat(asked).hasValue(4);
  }

  @Test
  void whatIsOfOnePartAloneIsHeldUntilThatIsWritten() {
    Store store = store(false);
    UUID here = current.id();
    int promised = store.promised();
    athome(here, 4, 3);
    assertThat(store.promised()).isEqualTo(promised);

    athome(here, 5, 5);
    assertThat(store.promised()).isNotEqualTo(promised);
  }

  @Test
  void checkedAMarkOfTheWrongPartIsFound() {
    Store store = store(true);
    UUID here = current.id();
    store.promised();
    athome(here, 4, 3);
    assertThatThrownBy(store::promised).hasMessageContaining("promised");
  }

  @Test
  void thatThereIsNoneIsHeldToo() {
    Store store = store(false);
    assertThat(store.none()).isEmpty();
    assertThat(store.none()).isEmpty();
    assertThat(asked).hasValue(1);
  }

  @Test
  void anotherHouseholdIsToldItsOwn() {
    Store store = store(false);
    List<Integer> ours = store.lots("yarrow");
    athome(UUID.randomUUID(), 3);
    assertThat(store.lots("yarrow")).isNotEqualTo(ours);
  }

  @Test
  void whoeverWritesAsksTheStoreAndWhoeverOnlyReadsNeedNot() {
    Store store = store(false);
    store.lots("yarrow");
    TransactionSynchronizationManager.setActualTransactionActive(true);
    store.lots("yarrow");
    store.lots("yarrow");
    assertThat(asked).hasValue(3);

    TransactionSynchronizationManager.setCurrentTransactionReadOnly(true);
    store.lots("yarrow");
    assertThat(asked).hasValue(3);
  }

  @Test
  void nothingIsHeldForNobodyNorOutsideOfARequest() {
    Store store = store(false);
    when(current.who()).thenReturn(Optional.empty());
    store.lots("yarrow");
    store.lots("yarrow");
    assertThat(asked).hasValue(2);

    athome(UUID.randomUUID(), 3);
    RequestContextHolder.resetRequestAttributes();
    store.lots("yarrow");
    store.lots("yarrow");
    assertThat(asked).hasValue(4);
  }

  @Test
  void checkedAnAnswerThatChangesThoughNothingWasWrittenIsFound() {
    Store store = store(true);
    store.none();
    store.none();
    assertThat(asked).hasValue(2);

    store.lots("yarrow");
    assertThatThrownBy(() -> store.lots("yarrow")).hasMessageContaining("lots");
    when(changes.now()).thenReturn(4L);
    assertThat(store.lots("yarrow")).hasSize(1);
  }

  /** As sums do whose rows are read in another order. */
  @Test
  void checkedAnAnswerMayDifferInItsLastDigits() {
    Store store = store(true);
    double sum = store.sum();
    assertThat(store.sum()).isNotEqualTo(sum).isCloseTo(sum, within(1e-9));
  }

  @Test
  void whatIsLargerThanAllThatMayBeHeldIsNotHeld() {
    Store store = store(false);

    int once = store.huge();

    await().atMost(SOON).until(() -> store.huge() > once);
  }
}
