package velvetcrock.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import velvetcrock.core.caution.Caution;
import velvetcrock.core.caution.Cautions;
import velvetcrock.core.caution.Purpose;
import velvetcrock.core.charge.HerbPortion;
import velvetcrock.core.keeping.CarrierDates;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;
import velvetcrock.core.materia.Part;
import velvetcrock.core.yield.Expression;
import velvetcrock.core.yield.Strainer;

class ComparisonTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Cautions CAUTIONS = Cautions.shipped();
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 2);

  private static Comparison compare(Want want, int days, String carrier, HerbState state) {
    return compare(want, days, carrier, state, Purpose.SKIN, OptionalDouble.empty());
  }

  private static Comparison compare(
      Want want,
      int days,
      String carrier,
      HerbState state,
      Purpose purpose,
      OptionalDouble oilPerHerb) {
    return Comparison.of(
        new PlanOrder(
            want,
            TODAY.plusDays(days),
            CATALOGUE.herb("yarrow"),
            Part.FLOWER,
            state,
            Cut.CUT,
            List.of(new CarrierDates(CATALOGUE.carrier(carrier), 1, null, null, null)),
            Arrays.asList(Method.values()),
            oilPerHerb,
            purpose,
            TODAY),
        CATALOGUE,
        CAUTIONS);
  }

  private static Way way(Comparison comparison, Method method) {
    return comparison.ways().stream().filter(w -> w.method() == method).findFirst().orElseThrow();
  }

  @Test
  void aBottleForTomorrowLeavesOnlyHeat() {
    Comparison tomorrow = compare(new Want.Oil(200), 1, "olive", HerbState.DRIED);

    assertThat(tomorrow.ways()).hasSize(8);
    assertThat(tomorrow.ways().stream().filter((Way w) -> w.days().inTime()).map(Way::method))
        .containsExactly(Method.WARM, Method.CROCK, Method.SIMMER, Method.OVEN);
    assertThat(way(tomorrow, Method.CROCK).hours()).isEqualTo(12);
    assertThat(way(tomorrow, Method.COLD).days().readyOn()).isEqualTo(TODAY.plusDays(36));
  }

  @Test
  void withMonthsToGoEverythingIsInTimeAndBeginsAsLateAsItCan() {
    Comparison comparison = compare(new Want.Oil(200), 90, "olive", HerbState.DRIED);

    assertThat(comparison.ways()).allMatch((Way w) -> w.days().inTime());
    Way cold = way(comparison, Method.COLD);
    assertThat(cold.days().readyOn()).isEqualTo(TODAY.plusDays(90));
    assertThat(cold.days().startOn()).isEqualTo(TODAY.plusDays(90 - 36));
    assertThat(cold.pull()).isCloseTo(0.90, within(0.005));
    assertThat(cold.keepingSpentDays()).isCloseTo(35, within(1e-9));
    assertThat(way(comparison, Method.SOLAR).keepingSpentDays())
        .isGreaterThan(cold.keepingSpentDays());
    assertThat(way(comparison, Method.WARM).keepingSpentDays()).isLessThan(cold.keepingSpentDays());
  }

  @Test
  void aShorterTimeStillWithinTheWindowIsTaken() {
    Way cold = way(compare(new Want.Oil(200), 26, "olive", HerbState.DRIED), Method.COLD);

    assertThat(cold.hours()).isEqualTo(26 * 24 - 12);
    assertThat(cold.days().inTime()).isTrue();
    assertThat(cold.days().startOn()).isEqualTo(TODAY);
  }

  @ParameterizedTest
  @InstancioSource(samples = 50)
  void whatIsChargedYieldsWhatIsWanted(@Given int seed) {
    double wanted = 10 + Math.floorMod(seed, 3000);
    Way way = compare(new Want.Oil(wanted), 60, "olive", HerbState.DRIED).ways().get(0);
    HerbPortion herb =
        HerbPortion.usual(
            CATALOGUE.herb("yarrow"), Part.FLOWER, Cut.CUT, HerbState.DRIED, way.herbMassG());

    assertThat(Strainer.predict(way.oilMl(), List.of(herb), Expression.SQUEEZE).yieldMl())
        .isCloseTo(wanted, within(0.01));
  }

  @Test
  void aDozenTinsOfSalveTakeLessOilThanTheyHold() {
    Comparison tins = compare(new Want.Tins(12, 30, Firmness.SALVE), 60, "olive", HerbState.DRIED);
    Comparison whipped =
        compare(new Want.Tins(12, 30, Firmness.WHIPPED_BUTTER), 60, "olive", HerbState.DRIED);

    assertThat(tins.needOilMl()).isBetween(310.0, 320.0);
    assertThat(whipped.needOilMl()).isLessThan(tins.needOilMl());
  }

  @Test
  void aSolidFatPullsNothingColdAndSaysWhy() {
    Comparison coconut = compare(new Want.Oil(200), 90, "coconut", HerbState.DRIED);

    assertThat(way(coconut, Method.COLD).pull()).isZero();
    assertThat(way(coconut, Method.COLD).cautions())
        .extracting(Caution::code)
        .contains("solid-carrier");
    assertThat(way(coconut, Method.WARM).pull()).isPositive();
  }

  /** A clock dries nothing: what holds until it is shown dry is two weeks in the fridge. */
  @Test
  void freshHerbIsPromisedALongLifeOnlyOnceItIsShownDry() {
    Comparison fresh = compare(new Want.Oil(200), 90, "olive", HerbState.FRESH);
    Way cold = way(fresh, Method.COLD);
    Way warm = way(fresh, Method.WARM);

    assertThat(cold.keeps().water()).isEqualTo(Promise.Water.STAYS);
    assertThat(cold.keeps().onceDry()).isEqualTo(cold.days().readyOn().plusDays(14));
    assertThat(warm.keeps().water()).isEqualTo(Promise.Water.CAN_LEAVE);
    assertThat(warm.keeps().bestBefore()).isEqualTo(warm.days().readyOn().plusDays(14));
    assertThat(warm.keeps().onceDry()).isAfter(warm.days().readyOn().plusMonths(6));
    assertThat(warm.cautions()).extracting(Caution::code).contains("drive-dry");
  }

  @Test
  void theSpiritWayBringsItsFireCaution() {
    assertThat(
            way(compare(new Want.Oil(200), 90, "olive", HerbState.DRIED), Method.SPIRIT).cautions())
        .extracting(Caution::code)
        .contains("spirit-fire");
  }

  @Test
  void whatCannotBeIsRefusedAtItsField() {
    assertThatThrownBy(() -> compare(new Want.Oil(200), -1, "olive", HerbState.DRIED))
        .hasMessageContaining("by:");
    assertThatThrownBy(() -> new Want.Oil(-3)).hasMessageContaining("want.oilMl");
    assertThatThrownBy(() -> new Want.Tins(0, 30, Firmness.SALVE))
        .hasMessageContaining("want.tins.count");
    assertThatThrownBy(
            () ->
                compare(
                    new Want.Oil(200),
                    30,
                    "olive",
                    HerbState.DRIED,
                    Purpose.KITCHEN,
                    OptionalDouble.empty()))
        .hasMessageContaining("not a herb for eating");
    assertThatThrownBy(
            () ->
                compare(
                    new Want.Oil(200),
                    30,
                    "olive",
                    HerbState.DRIED,
                    Purpose.SKIN,
                    OptionalDouble.of(1.2)))
        .hasMessageContaining("oilPerHerb");
  }
}
