package velvetcrock.core.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetcrock.core.heat.Ageing;
import velvetcrock.core.heat.Trace;
import velvetcrock.core.keeping.Keeping.Change;
import velvetcrock.core.keeping.Keeping.Rule;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.HerbState;

class KeeperTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final LocalDate CHARGED = LocalDate.of(2026, 6, 1);
  private static final LocalDate STRAINED = CHARGED.plusDays(35);
  private static final Store COOL =
      new Store(Store.Place.COOL, Store.Glass.AMBER, Store.Fill.FULL, Store.Antioxidant.NONE);

  private static KeepingOrder order(
      String carrier,
      LocalDate bestBefore,
      HerbState state,
      boolean water,
      Use use,
      Light light,
      Store store) {
    return new KeepingOrder(
        CHARGED,
        STRAINED,
        List.of(new CarrierDates(CATALOGUE.carrier(carrier), 1, bestBefore, null, null)),
        state,
        water,
        use,
        KeepingOrder.oneLeg(CHARGED, STRAINED, Trace.none(), light),
        List.of(),
        store);
  }

  private static KeepingOrder dried(LocalDate bestBefore, Light light, Store store) {
    return order("olive", bestBefore, HerbState.DRIED, false, Use.SKIN, light, store);
  }

  @Test
  void untracedDaysInTheDarkSpendADayEach() {
    Keeping keeping = Keeper.reckon(dried(CHARGED.plusDays(200), Light.DARK, COOL));

    assertThat(keeping.startDays()).isEqualTo(200);
    assertThat(keeping.spentDays()).isEqualTo(35);
    assertThat(keeping.decidedBy()).isEqualTo(Rule.CARRIER_DATE);
    assertThat(keeping.bestBefore()).isEqualTo(CHARGED.plusDays(200));
  }

  @Test
  void aSunnyWindowSpendsTwoAndAHalfTimesAsFastAndAgeingDecides() {
    Keeping keeping =
        Keeper.reckon(dried(CHARGED.plusDays(200), Light.WINDOW, COOL.in(Store.Place.ROOM)));

    assertThat(keeping.spentDays()).isEqualTo(87.5);
    assertThat(keeping.decidedBy()).isEqualTo(Rule.AGEING);
    assertThat(keeping.daysFromStraining()).isEqualTo((int) Math.floor(112.5 / Ageing.rate(21)));
    assertThat(keeping.lengthen())
        .extracting(Keeping.Gain::change)
        .contains(Change.FRIDGE, Change.ROSEMARY);
  }

  @Test
  void noOilOfDriedHerbIsGivenMoreThanAYearOutsideTheFridge() {
    LocalDate far = CHARGED.plusYears(4);
    assertThat(Keeper.reckon(dried(far, Light.DARK, COOL)).bestBefore())
        .isEqualTo(STRAINED.plusMonths(12));
    Keeping fridge = Keeper.reckon(dried(far, Light.DARK, COOL.in(Store.Place.FRIDGE)));
    assertThat(fridge.bestBefore()).isEqualTo(STRAINED.plusMonths(24));
    assertThat(fridge.decidedBy()).isEqualTo(Rule.TWENTY_FOUR_MONTHS_FRIDGE);
  }

  @Test
  void freeWaterLeavesFourteenDaysInTheFridgeAndNoneElsewhere() {
    LocalDate far = CHARGED.plusYears(2);
    Store fridge = COOL.in(Store.Place.FRIDGE);
    assertThat(
            Keeper.reckon(order("olive", far, HerbState.FRESH, true, Use.SKIN, Light.DARK, fridge))
                .daysFromStraining())
        .isEqualTo(14);
    assertThat(
            Keeper.reckon(order("olive", far, HerbState.FRESH, true, Use.SKIN, Light.DARK, COOL))
                .daysFromStraining())
        .isZero();
  }

  @Test
  void freshHerbForEatingThatStoodWarmIsThrownOut() {
    Keeping keeping =
        Keeper.reckon(
            order(
                "olive",
                CHARGED.plusYears(1),
                HerbState.FRESH,
                true,
                Use.KITCHEN,
                Light.DARK,
                COOL.in(Store.Place.FRIDGE)));

    assertThat(keeping.decidedBy()).isEqualTo(Rule.STOOD_WARM);
    assertThat(keeping.daysFromStraining()).isZero();
  }

  @Test
  void freshHerbForEatingMadeColdHasFourDaysFromCharging() {
    KeepingOrder cold =
        new KeepingOrder(
            CHARGED,
            CHARGED,
            List.of(
                new CarrierDates(CATALOGUE.carrier("olive"), 1, CHARGED.plusYears(1), null, null)),
            HerbState.FRESH,
            true,
            Use.KITCHEN,
            KeepingOrder.oneLeg(CHARGED, CHARGED, Trace.none(), Light.DARK),
            List.of(),
            COOL.in(Store.Place.FRIDGE));

    assertThat(Keeper.reckon(cold).bestBefore()).isEqualTo(CHARGED.plusDays(4));
  }

  /** Nothing stands beside "good until today" as if it had more than a year before it. */
  @ParameterizedTest
  @EnumSource(Store.Place.class)
  void noLegIsLongerThanItIsGood(Store.Place place) {
    for (Use use : Use.values()) {
      for (boolean water : new boolean[] {false, true}) {
        for (LocalDate own : List.of(STRAINED.plusDays(3), CHARGED.plusYears(4))) {
          Keeping keeping =
              Keeper.reckon(
                  order("olive", own, HerbState.DRIED, water, use, Light.DARK, COOL.in(place)));
          double stands = keeping.legs().stream().skip(1).mapToDouble(Keeping.Leg::days).sum();

          assertThat(stands)
              .as("%s %s %s %s", place, use, water, own)
              .isLessThanOrEqualTo(keeping.daysFromStraining() + 1e-9);
        }
      }
    }
  }

  /** Hot enough to be out of the danger in minutes, and yet: spores survive it. */
  @ParameterizedTest
  @ValueSource(doubles = {43, 65, 80, 95})
  void freshHerbForEatingThatWasWarmedHasNoDayAtAll(double celsius) {
    KeepingOrder warmed =
        new KeepingOrder(
            CHARGED,
            CHARGED,
            List.of(
                new CarrierDates(CATALOGUE.carrier("olive"), 1, CHARGED.plusYears(1), null, null)),
            HerbState.FRESH,
            false,
            Use.KITCHEN,
            KeepingOrder.oneLeg(CHARGED, CHARGED, Trace.steady(celsius, 1), Light.DARK),
            List.of(),
            COOL.in(Store.Place.FRIDGE));

    assertThat(Keeper.reckon(warmed).decidedBy()).isEqualTo(Rule.STOOD_WARM);
    assertThat(Keeper.reckon(warmed).daysFromStraining()).isZero();
  }

  @Test
  void driedHerbForEatingHasThreeMonthsInTheFridgeAndNoneElsewhere() {
    LocalDate far = CHARGED.plusYears(2);
    assertThat(
            Keeper.reckon(
                    order(
                        "olive",
                        far,
                        HerbState.DRIED,
                        false,
                        Use.KITCHEN,
                        Light.DARK,
                        COOL.in(Store.Place.FRIDGE)))
                .bestBefore())
        .isEqualTo(STRAINED.plusMonths(3));
    assertThat(
            Keeper.reckon(
                    order("olive", far, HerbState.DRIED, false, Use.KITCHEN, Light.DARK, COOL))
                .decidedBy())
        .isEqualTo(Rule.KITCHEN_NOT_IN_FRIDGE);
  }

  @Test
  void halfEmptyWarmAndClearSpendFaster() {
    Store worst =
        new Store(Store.Place.WARM, Store.Glass.CLEAR, Store.Fill.HALF, Store.Antioxidant.NONE);
    assertThat(worst.rate()).isCloseTo(Ageing.rate(26) * 1.69, within(1e-9));
    assertThat(COOL.with(Store.Antioxidant.VITAMIN_E).rate())
        .isCloseTo(Ageing.rate(16) / 1.25, within(1e-9));
  }

  /** One guess alone moves the date to where that guess is at its end, days of the whole life. */
  @Test
  void theEndsOfADateAreThoseOfItsGuessesInQuadrature() {
    LocalDate ownDate = CHARGED.plusDays(3000);
    Store clear = COOL.in(Store.Place.ROOM).in(Store.Glass.CLEAR);
    KeepingOrder order =
        new KeepingOrder(
            CHARGED,
            CHARGED,
            List.of(new CarrierDates(CATALOGUE.carrier("olive"), 1, ownDate, null, null)),
            HerbState.DRIED,
            false,
            Use.SKIN,
            List.of(new InfusingLeg("infusing", 0, Trace.steady(125, 36), Light.DARK)),
            List.of(),
            clear);
    Keeping keeping = Keeper.reckon(order);
    double infused = 1.5;
    double middle = life(70, 1.3);
    double shorter = Math.hypot(Math.log(life(80, 1.3) / middle), Math.log(life(70, 1.6) / middle));
    double longer = Math.hypot(Math.log(life(60, 1.3) / middle), Math.log(life(70, 1.1) / middle));

    assertThat(keeping.decidedBy()).isEqualTo(Rule.AGEING);
    assertThat(keeping.bestBefore()).isEqualTo(CHARGED.plusDays((long) (middle - infused)));
    assertThat(keeping.earliest())
        .isEqualTo(CHARGED.plusDays((long) Math.max(0, middle * Math.exp(-shorter) - infused)));
    assertThat(keeping.latest())
        .isEqualTo(CHARGED.plusMonths(12))
        .isBefore(CHARGED.plusDays((long) (middle * Math.exp(longer) - infused)));
  }

  /** Days that 36 hours at 125 °C and then clear glass at 21 °C leave of 3000, by hand. */
  private static double life(double kilojoule, double glass) {
    double perKelvin = kilojoule / 0.008314462618;
    double oven = Math.exp(perKelvin * (1 / 293.15 - 1 / 398.15)) * 1.5;
    double store = Math.exp(perKelvin * (1 / 293.15 - 1 / 294.15)) * glass;
    return oven >= 3000 ? 1.5 * 3000 / oven : 1.5 + (3000 - oven) / store;
  }

  /** Water, eating and a carrier's own date leave no width. */
  @Test
  void whatIsNotDecidedByAgeingHasNoWidthBeyondIt() {
    Keeping year = Keeper.reckon(dried(CHARGED.plusYears(4), Light.DARK, COOL));
    assertThat(year.decidedBy()).isEqualTo(Rule.TWELVE_MONTHS);
    assertThat(year.earliest()).isEqualTo(year.bestBefore()).isEqualTo(year.latest());
  }

  @Test
  void theCarriersOwnDateIsTheEarlierOfPrintedAndOpened() {
    CarrierDates opened =
        new CarrierDates(CATALOGUE.carrier("hemp"), 1, CHARGED.plusYears(1), CHARGED, null);
    CarrierDates pressed = new CarrierDates(CATALOGUE.carrier("olive"), 1, null, null, CHARGED);
    assertThat(opened.ownDate()).contains(CHARGED.plusMonths(6));
    assertThat(pressed.ownDate()).contains(CHARGED.plusMonths(18));
  }

  @Test
  void everythingThatIsWrongIsSaidAtOnce() {
    assertThatThrownBy(
            () ->
                new KeepingOrder(
                    STRAINED,
                    CHARGED,
                    List.of(new CarrierDates(CATALOGUE.carrier("jojoba"), 1, null, null, null)),
                    HerbState.DRIED,
                    false,
                    Use.KITCHEN,
                    List.of(),
                    List.of(),
                    COOL))
        .hasMessageContaining("strainedOn")
        .hasMessageContaining("carriers[0].bestBefore")
        .hasMessageContaining("not an oil for eating");
  }
}
