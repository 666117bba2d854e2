package velvetcrock.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.instancio.junit.Given;
import org.instancio.junit.InstancioSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import velvetcrock.core.Reckoning;
import velvetcrock.core.charge.CarrierBlend;
import velvetcrock.core.heat.Appliance;
import velvetcrock.core.making.Firmness;
import velvetcrock.core.making.Ingredient;
import velvetcrock.core.making.Melt;
import velvetcrock.core.materia.Carrier;
import velvetcrock.core.materia.Catalogue;
import velvetcrock.core.materia.Cut;
import velvetcrock.core.materia.HerbState;
import velvetcrock.core.materia.Method;

/** What is wanted, the oil that it takes, and how schools and appliances serve it. */
class WantTest {
  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private static double oilMl(Want want) {
    return oilMl(want, Want.Pan.usual(CATALOGUE.wax("beeswax")));
  }

  private static double oilMl(Want want, Want.Pan pan) {
    return want.oilMl(CarrierBlend.of(CATALOGUE.carrier("olive")), pan, Reckoning.writer());
  }

  @Test
  void ownTasteAndOwnOverrunCount() {
    Want.Tins tins = new Want.Tins(12, 30, Firmness.SALVE);
    Want.Tins whipped = new Want.Tins(12, 30, Firmness.WHIPPED_BUTTER);
    Want.Pan own = new Want.Pan(CATALOGUE.wax("beeswax"), Map.of(Firmness.SALVE, 4.0), 0.8);

    assertThat(oilMl(tins, own)).isBetween(0.93 * oilMl(tins), 0.97 * oilMl(tins));
    assertThat(oilMl(whipped, own)).isLessThan(0.85 * oilMl(whipped));
  }

  static Stream<Arguments> whatCannotBe() {
    return Stream.of(
        wrong("want.oilMl", () -> new Want.Oil(0)),
        wrong("want.oilMl", () -> new Want.Oil(400_000)),
        wrong("want.oilG", () -> new Want.Weight(0.2)),
        wrong("want.bottles.count", () -> new Want.Bottles(0, 100)),
        wrong("want.bottles.ml", () -> new Want.Bottles(2, 6000)),
        wrong("want.bottles", () -> new Want.Bottles(300, 100)),
        wrong("want.tins.ml", () -> new Want.Tins(2, 0.5, Firmness.SALVE)),
        wrong("want.bars.ml", () -> new Want.Bars(2, 3000)),
        wrong("want.pads.count", () -> new Want.Pads(20_000, 100, 100, 40, 4)),
        wrong("widthMm", () -> new Want.Pads(2, 0, 100, 40, 4)),
        wrong("want", () -> new Want.Several(List.of())));
  }

  private static Arguments wrong(String field, Supplier<Want> want) {
    return Arguments.of(field, want);
  }

  @ParameterizedTest
  @MethodSource("whatCannotBe")
  void whatCannotBeIsRefusedAtItsField(String field, Supplier<Want> want) {
    assertThatThrownBy(want::get).hasMessageContaining(field + ":");
  }

  @Test
  void bottlesTakeWhatTheyHoldAndWeightsGoByDensity() {
    assertThat(oilMl(new Want.Bottles(3, 100))).isEqualTo(300);
    assertThat(oilMl(new Want.Weight(913))).isCloseTo(1000, within(1.0));
    assertThat(oilMl(new Want.Several(List.of(new Want.Oil(120))))).isEqualTo(120);
  }

  @ParameterizedTest
  @EnumSource(Firmness.class)
  void aPotTakesLessOilThanItHolds(Firmness kind) {
    double each = oilMl(new Want.Tins(10, 30, kind));

    assertThat(each).isBetween(100.0, 310.0);
    assertThat(oilMl(new Want.Tins(20, 30, kind))).isCloseTo(2 * each, within(1e-6));
  }

  @ParameterizedTest
  @InstancioSource(samples = 40)
  void severalWantsTakeTheSumOfEach(@Given int tins, @Given int bars) {
    Want some = new Want.Tins(1 + Math.floorMod(tins, 50), 30, Firmness.SALVE);
    Want more = new Want.Bars(1 + Math.floorMod(bars, 50), 40);

    assertThat(oilMl(new Want.Several(List.of(some, more))))
        .isCloseTo(oilMl(some) + oilMl(more), within(1e-6));
  }

  /** y where anybody does it so. */
  @ParameterizedTest
  @CsvSource({
    "COLD, y, y, y, n, n",
    "SOLAR, y, n, y, y, n",
    "TWO_STAGE, y, n, n, n, n",
    "SPIRIT, n, y, n, n, n",
    "WARM, y, y, n, y, y",
    "CROCK, y, y, n, n, y",
    "SIMMER, y, n, n, n, y",
    "OVEN, y, n, n, n, y"
  })
  void schoolsGoWithTheirMethods(
      Method method, char covering, char fine, char eye, char wilted, char fresh) {
    assertThat(School.COVERING.goesWith(method)).isEqualTo(covering == 'y');
    assertThat(School.FINE.goesWith(method)).isEqualTo(fine == 'y');
    assertThat(School.BY_EYE.goesWith(method)).isEqualTo(eye == 'y');
    assertThat(School.WILTED.goesWith(method)).isEqualTo(wilted == 'y');
    assertThat(School.FRESH.goesWith(method)).isEqualTo(fresh == 'y');
  }

  @Test
  void theFineSchoolGrindsAndTheOthersTakeTheCutAtHand() {
    assertThat(School.FINE.cut(Cut.CUT)).isEqualTo(Cut.GROUND);
    assertThat(School.FINE.cut(Cut.POWDER)).isEqualTo(Cut.POWDER);
    assertThat(School.COVERING.cut(Cut.WHOLE)).isEqualTo(Cut.WHOLE);
    assertThat(School.FRESH.state()).isEqualTo(HerbState.FRESH);
    assertThat(School.WILTED.suits(CATALOGUE.herb("st-johns-wort"), false)).isTrue();
    assertThat(School.FRESH.suits(CATALOGUE.herb("yarrow"), false)).isFalse();
    assertThat(School.FRESH.suits(CATALOGUE.herb("yarrow"), true)).isTrue();
  }

  /** y where the appliance serves warm, crock, simmer, oven. */
  @ParameterizedTest
  @CsvSource({
    "GAS_RING, y, n, y, n",
    "ELECTRIC_PLATE, y, n, y, n",
    "SLOW_COOKER, y, y, n, n",
    "DEHYDRATOR, y, n, n, n",
    "OVEN, n, n, n, y",
    "YOGHURT_MAKER, y, n, n, n",
    "SUNNY_WINDOW, n, n, n, n",
    "CUPBOARD, n, n, n, n"
  })
  void appliancesServeTheirMethods(
      Appliance appliance, char warm, char crock, char simmer, char oven) {
    assertThat(appliance.serves(Method.WARM)).isEqualTo(warm == 'y');
    assertThat(appliance.serves(Method.TWO_STAGE)).isEqualTo(warm == 'y');
    assertThat(appliance.serves(Method.CROCK)).isEqualTo(crock == 'y');
    assertThat(appliance.serves(Method.SIMMER)).isEqualTo(simmer == 'y');
    assertThat(appliance.serves(Method.OVEN)).isEqualTo(oven == 'y');
    assertThat(appliance.serves(Method.COLD)).isFalse();
    assertThat(appliance.serves(Method.SPIRIT)).isFalse();
    assertThat(appliance.holds()).isPositive();
  }

  /** The oil that the planner asks for makes the tins at the pots, of every kind. */
  @ParameterizedTest
  @EnumSource(Firmness.class)
  void thePotsAgreeWithThePlanner(Firmness kind) {
    Want.Pan pan = new Want.Pan(CATALOGUE.wax("beeswax"), Map.of(kind, 0.8), 0.6);
    boolean whipped = kind == Firmness.WHIPPED_BUTTER;
    double oilG =
        oilMl(new Want.Tins(12, 30, kind), pan)
            * CATALOGUE.carrier("olive").densityAt(Carrier.ROOM_C);
    Melt melt =
        Melt.solve(
            List.of(
                new Melt.Wanted(Ingredient.of(CATALOGUE.carrier("olive"), oilG, 20), false),
                new Melt.Wanted(Ingredient.of(CATALOGUE.wax("beeswax"), 1), true)),
            OptionalDouble.of(kind.hardness().middle() + 0.8),
            OptionalDouble.empty());

    assertThat(melt.fillsMl(whipped ? 0.6 : 0)).isCloseTo(360, within(0.5));
  }
}
