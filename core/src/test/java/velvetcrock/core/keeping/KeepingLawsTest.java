package velvetcrock.core.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.SplittableRandom;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import velvetcrock.core.heat.Ageing;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.KeepingOrder.StoredLeg;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.HerbState;

/** What holds for every best-before, whatever was charged, heated and stored. */
class KeepingLawsTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final List<Carrier> CARRIERS = List.copyOf(CATALOGUE.carriers());
  private static final LocalDate CHARGED = LocalDate.of(2026, 3, 1);

  /** Everything that decides, drawn from a seed. */
  private static final class Life {
    private final SplittableRandom random;
    private final LocalDate strained;
    private final List<CarrierDates> carriers;
    private final HerbState state;
    private final boolean wet;
    private final double celsius;
    private final double hours;
    private final Light light;
    private final Store store;

    Life(int seed) {
      random = new SplittableRandom(seed);
      strained = CHARGED.plusDays(random.nextInt(0, 70));
      carriers = List.of(carrier(), carrier());
      state = pick(HerbState.values());
      wet = state != HerbState.DRIED && random.nextBoolean();
      celsius = random.nextDouble(10, 95);
      hours =
          random.nextDouble(
              0.5, Math.min(60, 24 * (1 + ChronoUnit.DAYS.between(CHARGED, strained))));
      light = pick(Light.values());
      store =
          new Store(
              pick(Store.Place.values()),
              pick(Store.Glass.values()),
              pick(Store.Fill.values()),
              pick(Store.Antioxidant.values()));
    }

    private CarrierDates carrier() {
      return new CarrierDates(
          CARRIERS.get(random.nextInt(CARRIERS.size())),
          random.nextDouble(0.1, 3),
          CHARGED.plusDays(random.nextInt(-100, 900)),
          random.nextBoolean() ? CHARGED.minusDays(random.nextInt(0, 200)) : null,
          null);
    }

    private <T> T pick(T[] values) {
      return values[random.nextInt(values.length)];
    }

    KeepingOrder order() {
      return order(celsius, light, store, List.of());
    }

    KeepingOrder order(double atC, Light in, Store kept, List<StoredLeg> before) {
      return new KeepingOrder(
          CHARGED,
          strained,
          carriers,
          state,
          wet,
          Use.SKIN,
          KeepingOrder.oneLeg(CHARGED, strained, Trace.steady(atC, hours), in),
          before,
          kept);
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 300)
  void noOilOutlivesItsCarriersOwnDate(@Given int seed) {
    Life life = new Life(seed);
    Keeping keeping = Keeper.reckon(life.order());
    LocalDate own = Keeper.ownDate(life.carriers);

    assertThat(keeping.bestBefore())
        .isBeforeOrEqualTo(own.isBefore(life.strained) ? life.strained : own);
    assertThat(keeping.bestBefore()).isAfterOrEqualTo(life.strained);
    assertThat(keeping.daysFromStraining()).isNotNegative();
    assertThat(keeping.earliest()).isBetween(life.strained, keeping.bestBefore());
    assertThat(keeping.latest())
        .isBetween(keeping.bestBefore(), own.isBefore(life.strained) ? life.strained : own);
    assertThat(keeping.reckoning().lines()).isNotEmpty();
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void moreHeatMoreLightAndMoreAirNeverLengthen(@Given int seed) {
    Life life = new Life(seed);
    LocalDate plain = Keeper.reckon(life.order()).bestBefore();

    assertThat(
            Keeper.reckon(life.order(life.celsius + 5, life.light, life.store, List.of()))
                .bestBefore())
        .isBeforeOrEqualTo(plain);
    assertThat(
            Keeper.reckon(life.order(life.celsius, Light.WINDOW, life.store, List.of()))
                .bestBefore())
        .isBeforeOrEqualTo(plain);
    assertThat(
            Keeper.reckon(
                    life.order(life.celsius, life.light, life.store.at(Store.Fill.HALF), List.of()))
                .bestBefore())
        .isBeforeOrEqualTo(plain);
    assertThat(
            Keeper.reckon(
                    life.order(
                        life.celsius, life.light, life.store.in(Store.Glass.CLEAR), List.of()))
                .bestBefore())
        .isBeforeOrEqualTo(plain);
  }

  @ParameterizedTest
  @InstancioSource(samples = 200)
  void whatIsSaidToLengthenItDoesSoByThatManyDays(@Given int seed) {
    Life life = new Life(seed);
    Keeping plain = Keeper.reckon(life.order());

    for (Keeping.Gain gain : plain.lengthen()) {
      Store better =
          switch (gain.change()) {
            case FREEZER -> life.store.in(Store.Place.FREEZER);
            case FRIDGE -> life.store.in(Store.Place.FRIDGE);
            case COOL -> life.store.in(Store.Place.COOL);
            case AMBER -> life.store.in(Store.Glass.AMBER);
            case FULL -> life.store.at(Store.Fill.FULL);
            case VITAMIN_E -> life.store.with(Store.Antioxidant.VITAMIN_E);
            case ROSEMARY -> life.store.with(Store.Antioxidant.ROSEMARY);
          };
      int days =
          Keeper.reckon(life.order(life.celsius, life.light, better, List.of()))
              .daysFromStraining();
      assertThat(days - plain.daysFromStraining()).isEqualTo(gain.days()).isPositive();
    }
  }

  @ParameterizedTest
  @InstancioSource(samples = 100)
  void aMoveOnTheDayOfStrainingChangesNothing(@Given int seed) {
    Life life = new Life(seed);
    Store other = life.store.in(Store.Glass.CLEAR);

    assertThat(
            Keeper.reckon(
                    life.order(
                        life.celsius, life.light, life.store, List.of(new StoredLeg(other, 0))))
                .bestBefore())
        .isEqualTo(Keeper.reckon(life.order()).bestBefore());
  }

  @ParameterizedTest
  @EnumSource(Store.Place.class)
  void storeRunsFasterWhereItIsWarmer(Store.Place place) {
    Store store = new Store(place, Store.Glass.AMBER, Store.Fill.FULL, Store.Antioxidant.NONE);

    assertThat(store.rate())
        .isCloseTo(Ageing.rate(place.celsius()), org.assertj.core.api.Assertions.within(1e-12));
    assertThat(store.with(Store.Antioxidant.ROSEMARY).rate()).isLessThan(store.rate());
  }

  @Test
  void aTinyShareOfAnOldOilDoesNotCount() {
    CarrierDates good =
        new CarrierDates(CATALOGUE.carrier("olive"), 98, CHARGED.plusDays(500), null, null);
    CarrierDates old =
        new CarrierDates(CATALOGUE.carrier("grapeseed"), 2, CHARGED.plusDays(10), null, null);
    CarrierDates counting =
        new CarrierDates(CATALOGUE.carrier("grapeseed"), 6, CHARGED.plusDays(10), null, null);

    assertThat(Keeper.ownDate(List.of(good, old))).isEqualTo(CHARGED.plusDays(500));
    assertThat(Keeper.ownDate(List.of(good, counting))).isEqualTo(CHARGED.plusDays(10));
  }

  /** A date that would jump at 5 % says so below it. */
  @ParameterizedTest
  @CsvSource({"2, true", "4.9, true", "6, false"})
  void aShareTooSmallToCountIsToldWhereTheDateWouldBeEarlier(double share, boolean told) {
    KeepingOrder order =
        new KeepingOrder(
            CHARGED,
            CHARGED.plusDays(30),
            List.of(
                new CarrierDates(
                    CATALOGUE.carrier("olive"), 100 - share, CHARGED.plusDays(500), null, null),
                new CarrierDates(
                    CATALOGUE.carrier("hemp"), share, CHARGED.plusDays(60), null, null)),
            HerbState.DRIED,
            false,
            Use.SKIN,
            KeepingOrder.oneLeg(CHARGED, CHARGED.plusDays(30), Trace.none(), Light.DARK),
            List.of(),
            new Store(
                Store.Place.COOL, Store.Glass.AMBER, Store.Fill.FULL, Store.Antioxidant.NONE));

    assertThat(Keeper.reckon(order).leftOut()).isEqualTo(told);
  }

  @Test
  void withoutAnyDateThereIsNoAnswer() {
    CarrierDates undated = new CarrierDates(CATALOGUE.carrier("olive"), 1, null, null, null);
    assertThatThrownBy(
            () ->
                new KeepingOrder(
                    CHARGED,
                    CHARGED.plusDays(30),
                    List.of(undated),
                    HerbState.DRIED,
                    false,
                    Use.SKIN,
                    List.of(),
                    List.of(),
                    new Life(1).store))
        .hasMessageContaining("carriers[0].bestBefore");
  }
}
